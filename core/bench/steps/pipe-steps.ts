import { pipePair, shortSide } from '../../fit/pipe'
import { kerfOf } from '../../shop/pieces-of-stock'
import { formatAngle } from '../../units/angle'
import { formatLength } from '../../units/format-length'
import { cutOf, slantOf } from './features'
import { sawFor } from './machines'
import { step, wants, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { theName, theNames } from './words'

/** The slanted mouths of pipes: one card for those alike. */
export function pipeSteps({ model, shop }: Bench): Step[] {
  const pipes = model.rods.filter((r) => r.pipe && r.pipe.slant > 0)
  const groups = new Map<string, typeof pipes>()
  for (const r of pipes) {
    const look = `${r.length.toFixed(3)} ${r.diameter} ${r.pipe!.slant}`
    groups.set(look, [...(groups.get(look) ?? []), r])
  }
  return [...groups.values()].map((alike) => {
    const [{ id, length, diameter, pipe }] = alike as [(typeof pipes)[number]]
    const { slant } = pipe!
    const saw = sawFor(shop, 'cross', { long: diameter, fence: 0, thickness: diameter, tilt: 0 })
    const short = shortSide(length, diameter, slant)
    const pair = pipePair(length, diameter, slant, kerfOf(shop))
    return step({
      id: `slant:${id}`,
      kind: 'shape',
      title: alike.length === 1 ? `Cut the mouth of ${theName(alike[0]!.name)}` : `Cut the mouths of ${theNames(alike.map((r) => r.name))}`, // prettier-ignore
      parts: alike.map((r) => r.id),
      settings: [
        { label: 'Saw', value: saw?.name ?? 'a fine-toothed handsaw' },
        { label: 'Slant', value: `${formatAngle(slant)} from square` },
        { label: 'Long side', value: formatLength(length, shop) },
        { label: 'Short side', value: formatLength(short, shop) },
      ],
      says: [
        ...(alike.length > 1 ? [`Two come out of one piece of ${formatLength(pair, shop)} by one cut through its middle: the mouth of the one is that of the other.`] : []), // prettier-ignore
        'A strip of paper wrapped round it, edge on edge, gives a square line; the slant is marked on both sides, from the long side to the short one.',
        'Scrape and sand the rim round, inside too: a handle is to slide in without looking.',
      ],
      cautions: [
        'Pipe is under tension, and closes on the blade: clamp it in a V, a fine blade, slowly, wedge the cut open and stand aside. Never held by hand.',
      ],
      makes: alike.map((r) => slantOf(r.id)),
      wants: wants(...alike.map((r) => cutOf(r.id, 1))),
      minutes: MINUTES.setUp + MINUTES.cut * Math.ceil(alike.length / 2),
      show: { look: 'side', boards: alike.map((r) => r.id) },
    })
  })
}
