/**
 * A sheet as a tree of edge-to-edge cuts. A node with kids is cut into them side by side along its axis (0 along the
 * stock's length, 1 along its width); a leaf is a part or waste. Axes alternate from a node to its kids, and a node has
 * at most one kid that is waste. Sizes carry one kerf on each axis, so that kids' sizes add up to their node's.
 */
export interface Node {
  l: number
  w: number
  axis: 0 | 1
  kids: Node[] | null
  /** Index of the piece in a leaf, -1 in waste and in a node with kids. */
  piece: number
  up: Node | null
  /** Of waste while a tree is copied: its place in the list of waste. */
  slot: number
}

export const leaf = (l: number, w: number, piece: number, up: Node | null): Node => ({
  l,
  w,
  axis: 0,
  kids: null,
  piece,
  up,
  slot: 0,
})

const isWaste = (node: Node): boolean => node.kids === null && node.piece < 0

/** @param waste gets the copies of the waste, each at its slot */
export function copyTree(node: Node, waste: Node[], up: Node | null = null): Node {
  const copy: Node = { l: node.l, w: node.w, axis: node.axis, kids: null, piece: node.piece, up, slot: 0 }
  if (node.kids) {
    const kids: Node[] = new Array(node.kids.length)
    for (let i = 0; i < kids.length; i++) kids[i] = copyTree(node.kids[i]!, waste, copy)
    copy.kids = kids
  } else if (node.piece < 0) waste[node.slot] = copy
  return copy
}

/** Gathers the nodes of a tree into `all`, the root first. */
export function gather(node: Node, all: Node[]): void {
  all.push(node)
  if (node.kids) for (const kid of node.kids) gather(kid, all)
}

export function gatherWaste(node: Node, all: Node[]): void {
  if (node.kids) for (const kid of node.kids) gatherWaste(kid, all)
  else if (node.piece < 0) all.push(node)
}

export function gatherPieces(node: Node, all: number[]): void {
  if (node.kids) for (const kid of node.kids) gatherPieces(kid, all)
  else if (node.piece >= 0) all.push(node.piece)
}

/** Makes a node waste, joined with the waste beside it, upwards as far as that goes. */
export function clear(node: Node): void {
  node.kids = null
  node.piece = -1
  const up = node.up
  if (!up) return
  const kids = up.kids!
  for (let i = 0; i < kids.length; i++) {
    const other = kids[i]!
    if (other === node || !isWaste(other)) continue
    if (up.axis === 0) node.l += other.l
    else node.w += other.w
    kids.splice(i, 1)
    break
  }
  if (kids.length === 1) clear(up)
}

/**
 * Puts a piece of the size l x w into a piece of waste that holds it, the first cut along `axis`. What is left over
 * and thinner than `same` is nothing.
 * @param over gets the pieces of waste that are left of it
 */
export function place(waste: Node, piece: number, l: number, w: number, axis: 0 | 1, same: number, over: Node[]): void {
  const restL = waste.l - l
  const restW = waste.w - w
  const restAlong = axis === 0 ? restL : restW
  const restAcross = axis === 0 ? restW : restL
  if (restAlong <= same) {
    if (restAcross <= same) {
      waste.piece = piece
      return
    }
    split(waste, piece, l, w, (1 - axis) as 0 | 1, over)
  } else if (restAcross <= same) split(waste, piece, l, w, axis, over)
  else {
    const strip = cutOff(waste, axis === 0 ? l : waste.l, axis === 0 ? waste.w : w, axis, over)
    split(strip, piece, l, w, (1 - axis) as 0 | 1, over)
  }
}

/** Cuts a leaf l x w off a piece of waste across its whole other axis and puts the piece there. */
function split(waste: Node, piece: number, l: number, w: number, axis: 0 | 1, over: Node[]): void {
  cutOff(waste, axis === 0 ? l : waste.l, axis === 0 ? waste.w : w, axis, over).piece = piece
}

/** Cuts a strip off a piece of waste along the axis; the waste keeps the rest. @returns the strip, a waste leaf */
function cutOff(waste: Node, l: number, w: number, axis: 0 | 1, over: Node[]): Node {
  const up = waste.up
  if (up && up.axis === axis) {
    const strip = leaf(l, w, -1, up)
    if (axis === 0) waste.l -= l
    else waste.w -= w
    up.kids!.splice(up.kids!.indexOf(waste), 0, strip)
    over.push(waste)
    return strip
  }
  const strip = leaf(l, w, -1, waste)
  const rest = axis === 0 ? leaf(waste.l - l, waste.w, -1, waste) : leaf(waste.l, waste.w - w, -1, waste)
  waste.axis = axis
  waste.kids = [strip, rest]
  over.push(rest)
  return strip
}
