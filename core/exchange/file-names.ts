import type { HolderModel, Opening } from '../model/model'

/** Whether a tool can be tried in an opening cut in card: it is bored, or open at an edge. */
export const canBeTried = ({ bores, opensTo }: Opening): boolean => bores.length > 0 || opensTo !== null

/** Names of the files that a holder's model can be taken along as. */
export const filesOf = (model: Pick<HolderModel, 'boards' | 'rods' | 'seats'>): string[] => [
  'templates.pdf',
  ...(model.boards.some((b) => b.openings.some(canBeTried)) ? ['test-piece.pdf'] : []),
  'dossier.pdf',
  ...(model.seats.length > 0 ? ['labels.pdf', 'labels.csv'] : []),
  'parts.csv',
  'hardware.csv',
  'cutting.csv',
  'plan.json',
  'parts.3mf',
  'holder.glb',
  ...model.boards.filter((b) => b.openings.length > 0).map((b) => `${b.id}-marks.csv`),
  ...model.boards.flatMap((b) => [`${b.id}.svg`, `${b.id}.dxf`, `${b.id}.stl`]),
  ...model.rods.map((r) => `${r.id}.stl`),
]
