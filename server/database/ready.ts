import { seedDemo } from '../demo/seed'
import { database } from './connection'
import { migrate } from './migrate'

/** How often, and how long apart, the database is asked for before the start is given up. */
const TRIES = 20
const APART = 500

async function prepare(): Promise<void> {
  const knex = database()
  for (let left = TRIES; ; left--) {
    try {
      await knex.raw('select 1')
      break
    } catch (error) {
      if (left === 0) throw error
      await new Promise((resolve) => setTimeout(resolve, APART))
    }
  }
  await migrate(knex)
  if (!process.env.FINGERLING_NO_DEMO) await seedDemo(knex)
}

let prepared: Promise<void> | null = null

/** Resolves when the database is there and in its newest form; begun once. */
export function ready(): Promise<void> {
  prepared ??= prepare()
  return prepared
}
