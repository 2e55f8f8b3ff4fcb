import type { Kind } from './kind'
import { kinds } from './registry'

/** Every kind of tool, in the order of their files. */
export const allKinds: readonly Kind[] = kinds

const byId = new Map(kinds.map((kind) => [kind.id, kind]))

/** The kind with this id, or undefined. */
export const kindOf = (id: string): Kind | undefined => byId.get(id)
