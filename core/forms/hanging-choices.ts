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
      { value: 'screwed', label: 'screwed on', when: 'straight to a panel or to studs: stays where it is' },
      { value: 'strip', label: 'on a strip', when: 'a bevelled strip and a foot: moved in seconds' },
    ],
  },
  { ...stockQuestion('stripStock', 'Strip and foot from', 'strip'), onlyFor: { key: 'hung', value: 'strip' } },
]
