/** What is warned of where discs or strips are handled. */
export const STRONG_MAGNETS =
  'Strong magnets: keep them from medical implants, cards and drives; one that is swallowed is an emergency. They leap together and splinter: glasses on, one at a time.'
