import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { startService, type Service } from '../service'

declare module 'vitest' {
  interface ProvidedContext {
    address: string
    data: string
  }
}

let service: Service

/** A MariaDB and an application of their own, in a folder of their own, for all server tests. */
export async function setup(project: TestProject) {
  const data = mkdtempSync(join(tmpdir(), 'fingerling-server-test-'))
  service = await startService(data)
  project.provide('address', service.address)
  project.provide('data', data)
}

export async function teardown() {
  await service.stop()
  rmSync(service.data, { recursive: true, force: true })
}
