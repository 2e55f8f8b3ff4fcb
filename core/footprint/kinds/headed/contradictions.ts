import type { Contradiction, Kind } from '../../kind'

/** Figures of a headed tool that can't both be right. */
export const contradictions: Kind['contradictions'] = ({ measures: m }) => {
  const found: Contradiction[] = []
  const { handleWidth, handleThickness, headWidth, headLength, faceReach } = m
  if (headWidth !== undefined && handleWidth !== undefined && headWidth <= handleWidth) {
    found.push({
      fields: ['headWidth', 'handleWidth'],
      message: (say) =>
        `The head (${say(headWidth)}) is no wider than the handle (${say(handleWidth)}): nothing would hold it up.`,
    })
  }
  if (headLength !== undefined && handleThickness !== undefined && headLength <= handleThickness) {
    found.push({
      fields: ['headLength', 'handleThickness'],
      message: (say) =>
        `The head (${say(headLength)} long) is no longer than the handle is thick (${say(handleThickness)}).`,
    })
  }
  if (faceReach !== undefined && headLength !== undefined && faceReach >= headLength) {
    found.push({
      fields: ['faceReach', 'headLength'],
      message: (say) => `The face can’t reach ${say(faceReach)} from the handle on a head of ${say(headLength)}.`,
    })
  }
  return found
}
