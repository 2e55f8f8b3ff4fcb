/** How a router makes an opening wider than its cutter: so many passes, the fence moved by so much between them. */
export interface RouterPasses {
  passes: number
  /** fence moved between passes, mm; 0 for one pass */
  offset: number
}

/** Part of the cutter's diameter that each further pass takes at most, so that no ridge stays. */
export const PASS_SHARE = 0.9

/**
 * Passes side by side for a slot or groove.
 * @param width of the opening, mm
 * @param cutter diameter, mm
 * @returns passes and the fence's offset, or null when the cutter is wider than the opening
 * @source workshop practice; docs/rules.md, fit.router
 */
export function routerPasses(width: number, cutter: number): RouterPasses | null {
  const over = width - cutter
  if (over < -1e-6) return null
  if (over <= 1e-6) return { passes: 1, offset: 0 }
  const passes = 1 + Math.ceil(over / (PASS_SHARE * cutter) - 1e-9)
  return { passes, offset: over / (passes - 1) }
}

/**
 * Passes downwards for a depth.
 * @param depth mm
 * @param deepest greatest depth a pass, mm, over nought
 */
export const passesDown = (depth: number, deepest: number): number => Math.ceil(depth / deepest - 1e-9)
