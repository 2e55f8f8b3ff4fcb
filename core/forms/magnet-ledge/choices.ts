import type { Choice } from '../form'
import { gapQuestion, marginQuestion, pitchQuestion, stockQuestion } from '../questions'
import { tiltQuestion } from '../tilting'

export const choices: readonly Choice[] = [
  pitchQuestion('How the tools are spaced along the ledge.'),
  {
    key: 'magnets',
    label: 'Magnets',
    about: 'What holds the tools.',
    type: 'option',
    usual: 'discs',
    values: [
      { value: 'discs', label: 'discs', when: 'sunk from behind: tools lie on wood, edges meet no steel' },
      { value: 'strip', label: 'a bought strip', when: 'screwed on: tools may stick anywhere along it' },
    ],
  },
  {
    key: 'discs',
    label: 'Discs',
    about: 'How many are sunk, from behind, under a thin cover of wood.',
    type: 'option',
    usual: 'each',
    onlyFor: { key: 'magnets', value: 'discs' },
    values: [
      { value: 'each', label: 'by weight', when: 'as many under each tool as it takes' },
      { value: 'most', label: 'all alike', when: 'under every tool as many as the heaviest takes: they can swap' },
    ],
  },
  {
    key: 'rows',
    label: 'Ledges',
    about: 'One over the other; the tools fill them in their order.',
    type: 'option',
    usual: '1',
    values: [
      { value: '1', label: '1', when: 'everything in one line' },
      { value: '2', label: '2', when: 'half as long' },
      { value: '3', label: '3', when: 'a case for a whole set' },
    ],
  },
  tiltQuestion('How far the ledge leans back, between two cheeks.', {
    '0': 'upright: friction alone holds',
    '10': 'a little of the weight lies on the ledge',
    '20': 'for heavier steel',
    '30': 'holds most; it stands out further',
  }),
  gapQuestion('tools'),
  marginQuestion('tool', 'ledge'),
  { key: 'cover', label: 'Cover', about: 'Wood left between the discs and the tools.', type: 'length', setting: 'discCover', min: 0.5, max: 10, onlyFor: { key: 'magnets', value: 'discs' } }, // prettier-ignore
  stockQuestion('ledgeStock', 'Ledge from', 'ledge'),
  stockQuestion('backStock', 'Back from', 'back'),
]
