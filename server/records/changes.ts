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

const bus = new EventEmitter().setMaxListeners(0)

/** Tells every page that listens. Called after the transaction is over. */
export const announce = (change: Change): void => void bus.emit('change', change)

/** Listens for changes. @returns a function that ends it */
export function listen(hear: (change: Change) => void): () => void {
  bus.on('change', hear)
  return () => bus.off('change', hear)
}
