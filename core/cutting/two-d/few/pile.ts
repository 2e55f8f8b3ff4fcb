/** Blocks that go into a rest, on those of the rests that it was left of. */
export class Pile {
  blocks = new Int32Array(4096)
  /** How many there are. */
  top = 0
  /** How many were looked at to find them, as many at once counting as it takes that long. */
  looked = 0

  /** Makes room for so many more. */
  makeRoom(count: number): void {
    if (this.top + count <= this.blocks.length) return
    const more = new Int32Array(2 * (this.top + count))
    more.set(this.blocks.subarray(0, this.top))
    this.blocks = more
  }
}
