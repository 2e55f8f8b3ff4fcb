import type { Knex } from 'knex'
import { demoProjects } from '../../demo/projects'
import { insertProject } from '../records/projects'

/** Loads the sample shops into a database that never had a shop. */
export async function seedDemo(knex: Knex): Promise<void> {
  await knex.transaction(async (trx) => {
    const [row] = await trx('shops').count({ shops: '*' })
    if (Number(row?.shops) > 0) return
    for (const project of demoProjects()) await insertProject(trx, project)
  })
}
