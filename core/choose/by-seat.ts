import type { Figure } from '../working/figure'
import type { Design } from './design'

/** The derived figures of one tool's place, in the order they were worked out. */
export interface SeatFigures {
  id: string
  /** from the datum end, the first is 1 */
  place: number
  name: string
  figures: Figure[]
}

/** The id of the seat that a figure would be of by its own id, if there is such a seat; null for one of the whole holder. */
export const ownerOf = (id: string): string | null => /:([^:]+)$/.exec(id)?.[1] ?? null

/** The places of a design: the model's, or those of the holder where there was nothing to draw. */
function placesOf({ model, input }: Design): Omit<SeatFigures, 'figures'>[] {
  if (model) return model.seats.map(({ id, place, name }) => ({ id, place, name }))
  return input.holder.seats.map(({ id, tool }, i) => ({ id, place: i + 1, name: input.tools.get(tool)?.name ?? '' }))
}

/**
 * A design's derived figures, each once: those of the whole holder, and those of each tool's place. Without a model only
 * the places that got as far as having figures are there.
 */
export function figuresBySeat(design: Design): { whole: Figure[]; seats: SeatFigures[] } {
  const places = placesOf(design).map((place) => ({ ...place, figures: [] as Figure[] }))
  const byId = new Map(places.map((place) => [place.id, place.figures]))
  const whole: Figure[] = []
  for (const figure of design.working) {
    if (figure.origin.kind !== 'derived') continue
    const list = byId.get(ownerOf(figure.id) ?? '') ?? whole
    list.push(figure)
  }
  return { whole, seats: design.model ? places : places.filter((place) => place.figures.length > 0) }
}
