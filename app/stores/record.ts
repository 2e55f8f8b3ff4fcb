import type { Tool } from '#core/footprint/tool'
import type { Holder } from '#core/model/holder'
import type { Work } from '#core/model/work'
import type { Wall } from '#core/wall/wall'
import type { Shop } from '#core/shop/shop'
import type { Problem } from './backend'

/** What each kind of record holds. */
export interface Contents {
  shops: Shop
  tools: Tool
  holders: Holder
  works: Work
  walls: Wall
}
export type RecordKind = keyof Contents
export const RECORD_KINDS = ['shops', 'tools', 'holders', 'works', 'walls'] as const satisfies readonly RecordKind[]

/** A record as this page knows it. Its data is replaced, never changed in place. */
export interface Kept<K extends RecordKind = RecordKind> {
  kind: K
  id: string
  /** the shop it belongs to; its own id for a shop */
  shop: string
  /** version it was last read or saved at; 0 before it was ever saved */
  version: number
  /** null once it is deleted */
  data: Contents[K] | null
}

export const keyOf = (record: { kind: RecordKind; id: string }) => `${record.kind}/${record.id}`

/** The kind and id in a key. */
export function ofKey(key: string): { kind: RecordKind; id: string } {
  const slash = key.indexOf('/')
  return { kind: key.slice(0, slash) as RecordKind, id: key.slice(slash + 1) }
}

const OURS = ['version', 'createdAt', 'updatedAt', 'deleted', 'shop']

/** A record as the server sends it, taken in. */
export function taken<K extends RecordKind>(kind: K, sent: Record<string, unknown>): Kept<K> {
  const { deleted, shop, version, id } = sent as { deleted: boolean; shop?: string; version: number; id: string }
  const own = Object.fromEntries(
    Object.entries(sent).filter(([key]) => !OURS.includes(key) && (kind !== 'shops' || key !== 'id')),
  )
  return { kind, id, shop: shop ?? id, version, data: deleted ? null : (own as unknown as Contents[K]) }
}

/** A record as it is sent to the server. */
export const sending = (record: Kept) => ({
  ...record.data,
  ...(record.kind === 'shops' ? {} : { shop: record.shop }),
  version: record.version,
})

/** A record as one of many changes that are sent together. */
export const asChange = (record: Kept) =>
  record.data === null
    ? { kind: record.kind, remove: { id: record.id, version: record.version } }
    : { kind: record.kind, save: { ...sending(record), id: record.id } }

/** What the server answers to many changes, in their order. */
export interface ManyAnswer {
  results: { status: number; record?: Record<string, unknown>; problem?: Problem }[]
}

function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, ordered(inner)]),
  )
}

/** True when two records say the same, whatever order they say it in. */
export const sameData = (a: unknown, b: unknown): boolean => JSON.stringify(ordered(a)) === JSON.stringify(ordered(b))
