import type { Kind } from '../../kind'
import { card, silhouette } from './shapes'
import { fields, options } from './fields'
import { contradictions } from './contradictions'
import { neck } from './neck'

/** Tools with a head on a handle that goes through it or into it: mallets, hammers, hatchets. */
export const kind: Kind = {
  id: 'headed',
  name: 'Headed, struck',
  covers: 'mallets, hammers, hatchets',
  fields,
  options,
  attitudes: [
    { turn: 0, label: 'face out' },
    { turn: 1, label: 'face right' },
    { turn: 2, label: 'face to the wall' },
    { turn: 3, label: 'face left' },
  ],
  contradictions,
  card,
  silhouette,
  neck,
}
