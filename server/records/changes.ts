import { EventEmitter } from 'node:events'
import type { RecordKind } from './record'

/** A record was saved or deleted. */
export interface Change {
  kind: RecordKind
  id: string
  version: number
  /** the shop it belongs to, or its own id for a shop */
  shop: string
}

/** Many records were changed at once: what they are is to be read anew. */
export interface ManyChanged {
  shops: string[]
  /** the window it came from */
  by: string
}

const bus = new EventEmitter().setMaxListeners(0)

/** Tells every page that listens. Called after the transaction is over. */
export const announce = (change: Change): void => void bus.emit('change', change)

/** Tells every page that many records changed. Called after the transaction is over. */
export const announceMany = (many: ManyChanged): void => void bus.emit('many', many)

/** Listens for many changes at once. @returns a function that ends it */
export function listenMany(hear: (many: ManyChanged) => void): () => void {
  bus.on('many', hear)
  return () => bus.off('many', hear)
}

/** Listens for changes. @returns a function that ends it */
export function listen(hear: (change: Change) => void): () => void {
  bus.on('change', hear)
  return () => bus.off('change', hear)
}
