import type { Choice } from '../form'
import { fitQuestion, gapQuestion, marginQuestion, pitchQuestion, stockQuestion } from '../questions'

export const choices: readonly Choice[] = [
  fitQuestion('How freely a bar or handle goes into its slots.'),
  pitchQuestion('How the slots are spaced up the posts.'),
  {
    key: 'slope',
    label: 'Slots',
    about: 'How far they slope down and back from the front edge.',
    type: 'option',
    usual: '20',
    values: [
      { value: '0', label: 'straight in', when: 'for what is not knocked' },
      { value: '10', label: '10° down', when: 'a little lower behind: the posts stay short' },
      { value: '20', label: '20° down', when: 'nothing slides out' },
      { value: '30', label: '30° down', when: 'for what is smooth and heavy' },
    ],
  },
  {
    key: 'sides',
    label: 'Slots in',
    about: 'Which edges of the posts.',
    type: 'option',
    usual: 'front',
    values: [
      { value: 'front', label: 'the front', when: 'everything in one row, at hand' },
      {
        value: 'both',
        label: 'both edges',
        when: 'every second one behind, in a frame: half as high; those go in and out sideways',
      },
    ],
  },
  {
    key: 'posts',
    label: 'Posts',
    about: 'How many stand side by side.',
    type: 'option',
    usual: '2',
    values: [
      { value: '2', label: '2', when: 'one at either end' },
      { value: '3', label: '3', when: 'one in the middle as well: long, springy things stay straight' },
    ],
  },
  gapQuestion('heads'),
  marginQuestion('head', 'post'),
  { key: 'span', label: 'Span', about: 'From the outside of the first post to the outside of the last; follows from the shortest tool.', type: 'derived length', min: 80, max: 3000 }, // prettier-ignore
  stockQuestion('postStock', 'Posts from', 'posts'),
  stockQuestion('backStock', 'Back from', 'back'),
]
