import { readProject } from '#core/exchange/project/read'
import type { ProjectDto } from '#core/exchange/project/project.dto'
import beeShed from './bee-shed.json'
import netStore from './net-store.json'

function read(shopId: string, file: unknown): { shopId: string; project: ProjectDto } {
  const project = readProject(JSON.stringify(file))
  if (!project.ok) throw new Error(`demo ${shopId}: ${JSON.stringify(project.problems)}`)
  return { shopId, project: project.value }
}

/** The sample shops, made up for Fingerling, with the ids they are kept under. */
export const demoProjects = () => [read('net-store', netStore), read('bee-shed', beeShed)]
