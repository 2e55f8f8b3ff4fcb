/** How many of something, in words: `1 tool`, `3 tools`. */
export const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`

/**
 * What a proposal for a wall changes, in words; nothing where nothing hangs yet and everything has a place.
 * @param hung how many holders hang there
 */
export function changesIn(proposal: { moved: number; left: readonly unknown[] } | null, hung: number): string {
  if (!proposal) return ''
  const parts = [
    ...(hung > 0 ? [`moves ${proposal.moved} of ${hung}`] : []),
    ...(proposal.left.length > 0 ? [`${proposal.left.length} without a place`] : []),
  ]
  return parts.length > 0 ? `: ${parts.join(', ')}` : ''
}
