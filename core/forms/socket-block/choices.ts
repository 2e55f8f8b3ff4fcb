import type { Choice } from '../form'
import { backHeightQuestion, fitQuestion, gapQuestion, marginQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How freely a shank goes into its bore.', {
    snug: 'nothing wobbles; swells tight in a damp shop',
  }),
  {
    key: 'hole',
    label: 'Bores',
    about: 'How deep they go. A bit or key always stands on a floor.',
    type: 'option',
    usual: 'through',
    values: [
      { value: 'through', label: 'through', when: 'the tool hangs by its shoulder; dust falls out' },
      { value: 'blind', label: 'blind', when: 'nothing stands out below; not for edges' },
    ],
  },
  {
    key: 'bores',
    label: 'Sizes',
    about: 'Whether each bore suits its own tool.',
    type: 'option',
    usual: 'own',
    values: [
      { value: 'own', label: 'each its own', when: 'nothing wobbles' },
      { value: 'one', label: 'one for all', when: 'any tool lives anywhere, now and later; one bit' },
    ],
  },
  {
    key: 'rows',
    label: 'Rows',
    about: 'From back to front; the tools fill them in their order.',
    type: 'option',
    usual: '1',
    values: [
      { value: '1', label: '1', when: 'everything is seen and reached' },
      { value: '2', label: '2', when: 'half as long' },
      { value: '3', label: '3', when: 'for small things; the last row is behind the others' },
      { value: '4', label: '4', when: 'for bits; the last row is behind the others' },
    ],
  },
  {
    key: 'arrange',
    label: 'Arranged',
    about: 'How the bores of the rows stand to each other.',
    type: 'option',
    usual: 'rows',
    values: [
      { value: 'rows', label: 'row by row', when: 'each row by its own neighbours: the shortest' },
      { value: 'square', label: 'square', when: 'an even grid: any tool swaps with any other' },
      { value: 'staggered', label: 'staggered', when: 'an even grid, every other row between: less deep' },
    ],
  },
  {
    key: 'layers',
    label: 'Layers',
    about: 'Boards glued on each other to a thicker block.',
    type: 'option',
    usual: '1',
    values: [
      { value: '1', label: '1', when: 'one board as it is' },
      { value: '2', label: '2', when: 'twice as deep a hold' },
      { value: '3', label: '3', when: 'for long shanks; glue them one after the other' },
    ],
  },
  {
    key: 'dust',
    label: 'Dust hole',
    about: 'A small hole through the floor of a blind bore.',
    type: 'option',
    usual: 'no',
    values: [
      { value: 'no', label: 'none', when: 'nothing falls through' },
      { value: 'yes', label: 'with one', when: 'dust falls out' },
    ],
  },
  {
    key: 'back',
    label: 'Back board',
    about: 'Where the back stands, by which the block is fixed.',
    type: 'option',
    usual: 'below',
    values: [
      { value: 'below', label: 'below it', when: 'below the block: handles may lean over it to the wall' },
      { value: 'behind', label: 'up behind', when: 'up behind the handles: keeps them off the wall' },
    ],
  },
  gapQuestion('handles'),
  marginQuestion('handle', 'block'),
  backHeightQuestion('the block'),
  stockQuestion('blockStock', 'Block from', 'block'),
  stockQuestion('backStock', 'Back from', 'back'),
]
