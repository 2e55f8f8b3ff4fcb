import { FITS, type Fit } from '../shop/shop'
import type { Choice } from './form'

/** Questions that several forms ask in the same words, so that the checks can offer another answer to them. */

const FIT_WHEN: Record<Fit, string> = {
  snug: 'nothing rattles; swells tight in a damp shop',
  sliding: 'in and out with one hand',
  easy: 'for tools grabbed without looking',
}

/** How freely something goes in. @param about one sentence, which says what goes into what */
export const fitQuestion = (about: string, when: Partial<Record<Fit, string>> = {}): Choice => ({
  key: 'fit',
  label: 'Fit',
  about,
  type: 'option',
  usual: 'sliding',
  values: FITS.map((value) => ({ value, label: value, when: when[value] ?? FIT_WHEN[value] })),
})

/** Room between neighbours. @param what stands next to each other, such as 'heads' */
export const gapQuestion = (what: string): Choice => ({
  key: 'gap',
  label: 'Gap',
  about: `Between neighbouring ${what}: room for fingers.`,
  type: 'length',
  setting: 'gap',
  min: 0,
  max: 500,
})

/** Room at the ends. @param what stands outermost, @param board whose end it is */
export const marginQuestion = (what: string, board: string): Choice => ({
  key: 'margin',
  label: 'Margin',
  about: `At the ends: from the outermost ${what} to the ${board}’s end.`,
  type: 'length',
  setting: 'margin',
  min: 0,
  max: 500,
})

/** How the places are spaced. */
export const pitchQuestion = (about: string): Choice => ({
  key: 'pitch',
  label: 'Pitch',
  about,
  type: 'option',
  usual: 'neighbour',
  values: [
    { value: 'neighbour', label: 'by neighbour', when: 'each gap the same: the shorter board' },
    { value: 'even', label: 'even', when: 'every place takes any of the tools: they can swap' },
  ],
})

/** Height of the board by which the holder is fixed. @param behind what it stands behind, such as 'the rail' */
export const backHeightQuestion = (behind: string): Choice => ({
  key: 'backHeight',
  label: 'Back height',
  about: `Of the board behind ${behind}, by which it is fixed.`,
  type: 'length',
  setting: 'backHeight',
  min: 20,
  max: 1000,
})

/** How many boards are glued up to one that holds pins. */
export const pinLayersQuestion: Choice = {
  key: 'layers',
  label: 'Layers',
  about: 'Boards glued on each other, where one is too thin to hold a pin.',
  type: 'option',
  usual: '1',
  values: [
    { value: '1', label: '1', when: 'one board as it is' },
    { value: '2', label: '2', when: 'a deeper hold for thick pins' },
  ],
}

/** Which board or sheet a part is cut from. */
export const stockQuestion = (key: string, label: string, part: string): Choice => ({
  key,
  label,
  about: `The board the ${part} is cut from.`,
  type: 'stock',
  of: ['board', 'sheet'],
})

/** Which rod a part is cut from. */
export const rodQuestion = (key: string, label: string, part: string): Choice => ({
  key,
  label,
  about: `The rod the ${part} are cut from.`,
  type: 'stock',
  of: ['rod'],
})
