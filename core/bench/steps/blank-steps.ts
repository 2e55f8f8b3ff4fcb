import type { Board } from '../../model/model'
import { ripsSafely, SHORTEST_RIP, shortestRip } from '../../shop/held-safely'
import type { Row } from '../../shop/lists'
import type { Shop } from '../../shop/shop'
import { usualGlue } from '../../shop/usual-choice'
import { formatAngle } from '../../units/angle'
import { formatLength } from '../../units/format-length'
import { EDGES } from '../marks'
import { NO_SAW } from './cutting-steps'
import { bevelOf, cutOf, layersOf } from './features'
import { sawFor } from './machines'
import { narrowRips } from './sawing-cautions'
import { step, wants, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { theName, theNames, upper } from './words'

/** Boards with the same bevel on the same width and thickness: one set-up of the saw. */
function alikeBevels(boards: readonly Board[]): Board[][] {
  const groups = new Map<string, Board[]>()
  for (const b of boards.filter((x) => x.bevel)) {
    const key = `${b.bevel!.tilt} ${b.width.toFixed(2)} ${b.thickness}`
    groups.set(key, [...(groups.get(key) ?? []), b])
  }
  return [...groups.values()]
}

/** How a saw is tilted and led for a bevel. @param wide the wide face, as it is printed */
function tilted(saw: Row<'saws'> | null, tilt: string, wide: string): string[] {
  const comes = `the wide face comes out at ${wide}.`
  if (saw?.kind === 'track saw' || saw?.kind === 'circular saw') return [`Tilt the saw to ${tilt} and set its guide by a test cut: ${comes}`] // prettier-ignore
  if (saw?.kind === 'jigsaw') return [`Tilt its base to ${tilt} and lead it along a straight edge that is clamped on, slowly, for the blade wanders; then plane to the line: ${comes}`] // prettier-ignore
  const side = 'the fence goes on the side that the blade leans away from.'
  const leans = saw?.tiltsTo && saw.tiltsTo !== 'either side' ? `${saw.name} tilts to the ${saw.tiltsTo}: ${side}` : upper(side) // prettier-ignore
  return [`Tilt the blade to ${tilt} and set the fence by a test cut: ${comes}`, leans]
}

const tooShort = (shop: Shop): string => `Nothing shorter than ${formatLength(shortestRip(shop), shop)} is held safely at this saw: rip the bevel along a longer piece, and cut it to length afterwards.` // prettier-ignore

/** Strips ripped at their bevel, and layers glued up. */
export function blankSteps({ model, shop }: Bench): Step[] {
  const bevels = alikeBevels(model.boards).flatMap((alike): Step[] => {
    const b = alike.reduce((most, x) => (x.length > most.length ? x : most))
    const { tilt } = b.bevel!
    // what is too short is ripped off a longer piece
    const saw = sawFor(shop, 'rip', {
      long: Math.max(b.length, SHORTEST_RIP),
      fence: b.width,
      thickness: b.thickness,
      tilt,
    })
    const ids = alike.map((x) => x.id)
    return [
      step({
        id: `bevel:${alike[0]!.id}`,
        kind: 'bevel',
        title: alike.length === 1 ? `Rip the bevel of ${theName(b.name)}` : `Rip the bevels of ${theNames(alike.map((x) => x.name))}`, // prettier-ignore
        parts: ids,
        settings: [
          { label: 'Saw', value: saw?.name ?? NO_SAW },
          { label: 'Tilt', value: formatAngle(tilt) },
          { label: 'Wide face', value: formatLength(b.width, shop) },
          { label: 'Narrow face', value: formatLength(b.width - b.thickness * Math.tan((tilt * Math.PI) / 180), shop) },
        ],
        says: [
          ...tilted(saw, formatAngle(tilt), formatLength(b.width, shop)),
          `Flatten the sharp edge by ${formatLength(shop.settings.stripFlat, shop)}, so that dust below it does not hold it off.`,
        ],
        cautions: [
          ...(saw && !ripsSafely(saw, Math.min(...alike.map((x) => x.length))) ? [tooShort(shop)] : []),
          ...narrowRips([saw]),
          `The bevel leaves an edge that cuts: gloves off at the saw, and flatten it at once.`,
        ],
        makes: ids.map(bevelOf),
        wants: wants(...ids.map((id) => cutOf(id, 1))),
        minutes: MINUTES.setUp + MINUTES.bevel * alike.length,
        show: { look: 'side', boards: [b.id] },
      }),
    ]
  })
  const layers = model.boards
    .filter((b) => b.layers > 1)
    .map((b): Step => {
      const glue = usualGlue(shop)
      return step({
        id: `layer:${b.id}`,
        kind: 'layer',
        title: `Glue ${theName(b.name)} up from ${b.layers} layers`,
        parts: [b.id],
        settings: [
          { label: 'Glue', value: glue?.name ?? 'wood glue' },
          ...(glue ? [{ label: 'Clamped for', value: `${glue.clampTime} min` }] : []),
        ],
        says: [
          'Grain the same way in all of them; a thin even coat on one face of each pair.',
          `Line the datum ends and the ${EDGES[b.placement.lies].from}s up, two brads in the waste keep them from sliding; clamp from the middle outwards.`,
          'Wipe off what squeezes out before it skins over.',
        ],
        makes: [layersOf(b.id)],
        wants: wants(...Array.from({ length: b.layers }, (_, n) => cutOf(b.id, n + 1))),
        minutes: MINUTES.layer + MINUTES.glue * (b.layers - 1),
        sets: glue?.clampTime ?? 60,
        show: { look: 'board', boards: [b.id] },
      })
    })
  return [...bevels, ...layers]
}
