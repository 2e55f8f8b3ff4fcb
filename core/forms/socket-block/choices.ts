import type { Choice } from '../form'
import { backHeightQuestion, fitQuestion, gapQuestion, marginQuestion, stockQuestion } from '../questions'
import { tiltQuestion } from '../tilting'

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
    key: 'pocket',
    label: 'Pocket',
    about: 'Whether a through bore widens in steps to the handle’s profile, where one was measured.',
    type: 'option',
    usual: 'plain',
    values: [
      { value: 'plain', label: 'plain', when: 'one bit a tool; it rests on its shoulder' },
      {
        value: 'matched',
        label: 'to its profile',
        when: 'the handle sinks in and nothing wobbles; several bits a tool',
      },
    ],
  },
  {
    key: 'mouth',
    label: 'Mouths',
    about: 'The edge round each bore.',
    type: 'option',
    usual: 'square',
    values: [
      { value: 'square', label: 'square', when: 'as the bit leaves it, eased' },
      { value: 'flared', label: 'flared', when: 'a tip finds its hole without looking' },
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
    key: 'stand',
    label: 'Rows stand',
    about: 'On one block, or each on a board of its own between two cheeks, the back one highest.',
    type: 'option',
    usual: 'level',
    values: [
      { value: 'level', label: 'level', when: 'one block: the least work' },
      { value: 'stepped', label: 'on steps', when: 'the back row is seen and gripped over the front one' },
    ],
  },
  { key: 'rise', label: 'Rise', about: 'From the top of a row to the top of the one behind it.', type: 'length', setting: 'rowRise', min: 5, max: 200, onlyFor: { key: 'stand', value: 'stepped' } }, // prettier-ignore
  tiltQuestion('How far the block leans forward, between two cheeks.', {
    '0': 'level: what stands in it stands upright',
    '5': 'labels and handles turn a little to the eye',
    '10': 'handles come towards the hand',
    '15': 'for a block that hangs low, and is looked down on',
    '20': 'as far as tools stay in by their weight without a deep bore',
  }),
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
