import type { FullSheet } from '../build-up'

/** A way to look for sheets of which the sides of what lay along one cut tell what was cut from what. */
export interface Agreeing {
  /** Whether there is more to be tried. */
  readonly goes: boolean
  /** How many rounds of the other ways it is worth to go on; 0 for what is tried before them. */
  readonly worth: number
  /**
   * Goes on by one step.
   * @param limit what the sheets may cost, mm²
   * @returns full sheets that go together: of all pieces, or of as many as was found
   */
  next(limit: number, over: () => boolean): readonly FullSheet[]
}
