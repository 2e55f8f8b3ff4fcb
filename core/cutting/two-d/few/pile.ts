/** Blocks that go into a rest of a sheet, piled on those that go into the rests which it is a part of. */
export class Pile {
  blocks = new Int32Array(4096)
  /** How many there are. */
  top = 0
  /** How many were looked at since it was last counted; to find out which to look at counts as well, by how long it takes. */
  looked = 0

  /** Makes room for so many more; `blocks` is another array then. */
  makeRoom(count: number): void {
    if (this.top + count <= this.blocks.length) return
    const more = new Int32Array(2 * (this.top + count))
    more.set(this.blocks.subarray(0, this.top))
    this.blocks = more
  }
}
