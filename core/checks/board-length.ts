import { formatLength } from '../units/format-length'
import { limitFrom, offer, TOLERANCE, type Check } from './subject'

/** Whether each board can be had and handled in one length. */
export const checkBoardLengths: Check = (subject) => {
  const { input, model } = subject
  const limit = limitFrom(subject, 'longestBoard')
  const longest = model.boards.reduce((a, b) => (b.length > a.length ? b : a))
  const level = longest.length > limit + TOLERANCE ? 'watch' : 'pass'
  return [
    {
      id: 'board length',
      check: 'board length',
      title: 'Board length',
      level,
      seats: [],
      board: longest.id,
      says: `${longest.name}: ${formatLength(longest.length, input.shop)}; the longest you have settled on is ${formatLength(limit, input.shop)}.${level === 'watch' ? ' Split the tools over two holders.' : ''}`,
      figure: longest.figures.length,
      limitFigure: 'longestBoard',
      measured: { value: longest.length, limit, sense: 'at most', quantity: 'length', print: 'nearest' },
      candidates:
        level === 'pass'
          ? []
          : [
              ...offer(input, 'Pitch by neighbour', 'pitch', 'neighbour'),
              ...offer(input, 'Let the end heads overhang', 'ends', 'overhang'),
            ],
    },
  ]
}
