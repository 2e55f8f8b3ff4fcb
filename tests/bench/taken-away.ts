import { readFileSync } from 'node:fs'

/** Processor time so far, in ticks: all of it, and what the machine's host gave to others meanwhile. */
function ticks(): { all: number; taken: number } | null {
  try {
    const [, ...counts] = readFileSync('/proc/stat', 'utf8').split('\n')[0]!.trim().split(/\s+/)
    // user nice system idle iowait irq softirq steal: what is guests' stands in the first two already
    const [user = 0, nice = 0, system = 0, idle = 0, iowait = 0, irq = 0, softirq = 0, taken = 0] = counts.map(Number)
    return { all: user + nice + system + idle + iowait + irq + softirq + taken, taken }
  } catch {
    return null
  }
}

/**
 * Begins to watch what part of the processors' time the machine's host gives to others: a virtual machine is slower by that, at
 * some hours by more than half.
 * @returns tells the part from then on, 0 to 1; null where the machine doesn't tell
 */
export function watchTakenAway(): () => number | null {
  const from = ticks()
  return () => {
    const to = ticks()
    if (!from || !to || to.all === from.all) return null
    return (to.taken - from.taken) / (to.all - from.all)
  }
}
