import type { Knex } from 'knex'
import { demoProjects } from '../../demo/projects'
import { announce, type Change } from '../records/changes'
import { insertProject, restoreProject } from '../records/projects'

/** Loads the sample shops into a database that never had a shop. */
export async function seedDemo(knex: Knex): Promise<void> {
  await knex.transaction(async (trx) => {
    const [row] = await trx('shops').count({ shops: '*' })
    if (Number(row?.shops) > 0) return
    for (const project of demoProjects()) await insertProject(trx, project)
  })
}

/**
 * Brings the sample shops back to what they were at first; every other shop stays as it is.
 * @returns the ids of the sample shops
 */
export async function resetDemo(knex: Knex): Promise<string[]> {
  const projects = demoProjects()
  const changes = await knex.transaction(async (trx) => {
    const all: Change[] = []
    for (const project of projects) all.push(...(await restoreProject(trx, project)))
    return all
  })
  changes.forEach(announce)
  return projects.map((p) => p.shopId)
}
