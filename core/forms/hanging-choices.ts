import type { Choice } from './form'
import { stockQuestion } from './questions'

/** How a holder hangs: asked of every form alike. */
export const hangingChoices: readonly Choice[] = [
  {
    key: 'hung',
    label: 'Hung',
    about: 'How the holder is fixed to the wall.',
    type: 'option',
    usual: 'screwed',
    values: [
      { value: 'screwed', label: 'to a panel', when: 'screwed straight on, anywhere: stays where it is' },
      { value: 'studs', label: 'to studs', when: 'screwed through the lining, wherever a stud stands behind it' },
      { value: 'strip', label: 'on a strip', when: 'a bevelled strip and a foot: moved in seconds' },
      { value: 'clip', label: 'over a strip', when: 'hooks over it and under it: slid off sideways, never pulled up' },
    ],
  },
  {
    key: 'lock',
    label: 'Lock slat',
    about: 'A loose slat between the wall strip and the foot, against riding up.',
    type: 'option',
    usual: 'none',
    onlyFor: { key: 'hung', value: 'strip' },
    values: [
      { value: 'none', label: 'none', when: 'its weight keeps it down: lifted off with one hand' },
      { value: 'slat', label: 'with one', when: 'a snug tool can’t pull it up; push the slat out to move it' },
    ],
  },
  {
    ...stockQuestion('stripStock', 'Strip and foot from', 'strip'),
    onlyFor: { key: 'hung', value: ['strip', 'clip'] },
  },
]
