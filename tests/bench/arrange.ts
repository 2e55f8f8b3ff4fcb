// How near the best an arrangement comes: of few holders the best of all, searched to the end; of many, five long searches.
import { randomFrom } from '#core/cutting/random'
import { usualShop } from '#core/shop/usual'
import { arranging, standsFor, type Arrangement } from '#core/wall/arrange'
import { bestPlaces } from '#core/wall/arrange-best'
import type { WallBox, WallPiece } from '#core/wall/extent'
import { newWall, type Thing, type Wall } from '#core/wall/wall'

const SECONDS = Number(process.argv[2] ?? 10)
const WALLS = Number(process.argv[3] ?? 20)
const shop = usualShop()

/** A wall with a bench, an outlet and now and then a window, and some holders of mixed sizes. */
function generated(seed: number, holders: number): { wall: Wall; pieces: WallPiece[] } {
  const random = randomFrom(seed)
  const from = (low: number, high: number): number => low + random() * (high - low)
  const thing = (kind: Thing['kind'], x: number, z: number, width: number, height: number): Thing => ({ id: `${kind}${x}`, kind, name: '', x, z, width, height }) // prettier-ignore
  const things = [
    thing('bench', Math.round(from(0, 1500)), 0, 1700, 850),
    thing('outlet', Math.round(from(200, 3200)), 1100, 80, 80),
  ]
  if (random() < 0.5) things.push(thing('window', Math.round(from(1500, 2500)), 900, 800, 600))
  const pieces = Array.from({ length: holders }, (_, i): WallPiece => {
    const [w, h] = [from(150, holders > 20 ? 400 : 700), from(90, holders > 20 ? 200 : 320)]
    const boards: WallBox = { x0: 0, x1: w, z0: 0, z1: h * 0.6 }
    return { holder: `h${i}`, name: `Holder ${i}`, boards, all: { x0: -from(0, 20), x1: w + from(0, 20), z0: -h * from(0, 0.5), z1: h * from(0.6, 1.2) }, mass: from(0.5, 7), screws: [], fixings: [], out: 0, hook: null, above: 60, use: Math.floor(from(0, 4)) } // prettier-ignore
  })
  return { wall: { ...newWall('w', 'mm'), things }, pieces }
}

function search(
  wall: Wall,
  pieces: readonly WallPiece[],
  seed: number,
  seconds: number,
): { best: Arrangement; first: number } {
  const start = performance.now()
  const end = start + seconds * 1000
  const run = arranging(wall, pieces, shop, { seed, rounds: 1e9, over: () => performance.now() > end })
  let first = 0
  for (;;) {
    const { value, done } = run.next()
    first ||= performance.now() - start
    if (done) return { best: value, first }
  }
}

/** Seconds that a proof may take. */
const PROOF = 120

let [worst, within, known] = [0, 0, 0]
for (let w = 1; w <= WALLS; w++) {
  const { wall, pieces } = generated(w, 8)
  const start = performance.now()
  const { best, first } = search(wall, pieces, 1, SECONDS)
  const taken = (performance.now() - start) / 1000
  const end = performance.now() + PROOF * 1000
  const places = pieces.map((piece) => ({ piece, stands: standsFor(wall, shop, piece) }))
  const proof = bestPlaces(places, [], {
    given: best.cost + 1e-6,
    nodes: Infinity,
    over: () => performance.now() > end,
  })
  const over = best.cost / proof.cost - 1
  if (proof.ended) {
    known++
    worst = Math.max(worst, over)
    if (over <= 0.03) within++
  }
  console.log(`8 holders, wall ${w}: ${best.cost.toFixed(0)} mm after ${taken.toFixed(1)} s, first after ${first.toFixed(0)} ms, ${(100 * over).toFixed(2)} % over ${proof.ended ? 'the best there is' : `the best found in ${PROOF} s`}`) // prettier-ignore
}
console.log(`8 holders: the best is known of ${known} of ${WALLS}; ${within} of them within 3 % of it, at most ${(100 * worst).toFixed(2)} % over`) // prettier-ignore
const large = generated(99, 40)
const forty = search(large.wall, large.pieces, 1, SECONDS)
const long = Math.min(...[2, 3, 4, 5, 6].map((seed) => search(large.wall, large.pieces, seed, 3 * SECONDS).best.cost))
console.log(`40 holders: first after ${forty.first.toFixed(0)} ms, ${forty.best.left.length} without a place; after ${SECONDS} s ${(100 * (forty.best.cost / long - 1)).toFixed(2)} % over the best of five searches of ${3 * SECONDS} s`) // prettier-ignore
