import { boredBy, chooseBit } from '../../fit/bore'
import type { ProfilePoint } from '../../footprint/tool'
import type { Bit } from '../../shop/shop'

/** A bore of a pocket, and how deep it goes from the face; mm. */
export interface PocketBore {
  bit: Bit
  depth: number
}

/** A step shallower than this is not worth a bit of its own, mm. */
const LEAST_STEP = 4

/** Diameter of a handle at a height, straight between the points measured; mm. */
export function diameterAt(profile: readonly ProfilePoint[], height: number): number {
  const after = profile.findIndex((p) => p.at >= height)
  if (after === 0) return profile[0]!.diameter
  if (after < 0) return profile.at(-1)!.diameter
  const [a, b] = [profile[after - 1]!, profile[after]!]
  return a.diameter + ((height - a.at) / (b.at - a.at)) * (b.diameter - a.diameter)
}

/** The greatest diameter up to a height: what has to pass the wood above it. mm */
export const widestTo = (profile: readonly ProfilePoint[], height: number): number =>
  Math.max(diameterAt(profile, height), ...profile.filter((p) => p.at <= height).map((p) => p.diameter))

/** Up to which height a handle goes into a hole: where its greatest diameter reaches `most`; mm. */
function heightFor(profile: readonly ProfilePoint[], most: number, sink: number): number {
  if (widestTo(profile, 0) > most) return 0
  let at = 0
  for (const p of [...profile.filter((q) => q.at < sink), { at: sink, diameter: diameterAt(profile, sink) }]) {
    if (p.diameter > most) {
      const from = diameterAt(profile, at)
      return at + ((most - from) / (p.diameter - from)) * (p.at - at)
    }
    at = p.at
  }
  return sink
}

/**
 * The bores of a pocket that matches a handle, the widest first, each as deep as the handle is too wide for the next.
 * @param profile diameters at rising heights from the end that goes in first, @param sink how far the handle goes in
 * @param more added to each diameter: doubt and fit, @param shank hole of the bore that goes on below; mm
 * @returns none where no bit is wide enough, or the shank's own bore is
 * @source reckoning of the socket block; docs/rules.md, socket.pocket
 */
export function pocketBores(
  profile: readonly ProfilePoint[],
  { sink, more, shank, bits }: { sink: number; more: number; shank: number; bits: readonly Bit[] },
): PocketBore[] {
  const mouth = chooseBit({ needed: widestTo(profile, sink) + more, bits })
  if (!mouth || boredBy(mouth) <= shank) return []
  const narrower = bits
    .filter((b) => boredBy(b) < boredBy(mouth) && boredBy(b) > shank)
    .sort((a, b) => boredBy(b) - boredBy(a))
  const found: PocketBore[] = []
  let [current, upTo] = [mouth, sink]
  for (const bit of narrower) {
    const height = heightFor(profile, boredBy(bit) - more, sink)
    if (height < LEAST_STEP || upTo - height < LEAST_STEP) continue
    found.push({ bit: current, depth: sink - height })
    ;[current, upTo] = [bit, height]
  }
  return [...found, { bit: current, depth: sink }]
}
