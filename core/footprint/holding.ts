/**
 * The ways in which a holder can hold a tool, in words that follow 'to'. A kind of tool says which of them suit it, a form of
 * holder which of them it offers.
 */
export const WAYS = {
  neck: 'hang by its neck',
  bore: 'stand in a bore',
  collar: 'stand in a collar and a toe',
  kerf: 'hang by its plate in a kerf',
  sole: 'lie on its sole',
  deck: 'stand on its base plate',
  saddle: 'hang by its grip in a notch',
  arms: 'hang between two arms',
  pin: 'hang on a pin',
  button: 'hang by its button in a notch',
  shelf: 'stand on a shelf',
  magnet: 'stick to a magnet',
  recess: 'lie in its outline',
  bar: 'be clipped on a bar',
} as const

export type Way = keyof typeof WAYS
