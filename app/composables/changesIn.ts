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
