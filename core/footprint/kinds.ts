import type { Kind } from './kind'
import { kinds } from './registry'

/** Every kind of tool, in the order of their folders. */
export const allKinds: readonly Kind[] = kinds

/** The kind with this id, or undefined. */
export const kindOf = (id: string): Kind | undefined => kinds.find((kind) => kind.id === id)
