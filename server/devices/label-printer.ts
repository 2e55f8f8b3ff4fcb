import { Problem } from '../http/problem'

/** Tape in a new cassette, what is lost before the first label of a run and between two, and how high a letter is; mm. */
const CASSETTE = 8000
const LEAD = 10
const BETWEEN = 3
const LETTER = 2.4

/** What a label says, and how wide it may be, mm. */
export interface ToPrint {
  name: string
  size: string
  room: number
}

/** How the printer stands: tape left, mm; within reach or not. */
export interface PrinterState {
  tape: number
  connected: boolean
}

/** What came out: each label with its width, and the tape that it took. mm */
export interface Printed extends PrinterState {
  labels: { name: string; size: string; width: number }[]
  used: number
}

export const PRINTER_BUTTONS = ['new tape', 'carry away', 'bring back'] as const
export type PrinterButton = (typeof PRINTER_BUTTONS)[number]

/** A stand-in for a label printer with a cassette of tape. */
export class LabelPrinter {
  private tape = CASSETTE
  private connected = true

  state(): PrinterState {
    return { tape: this.tape, connected: this.connected }
  }

  press(button: PrinterButton): PrinterState {
    if (button === 'new tape') this.tape = CASSETTE
    else this.connected = button === 'bring back'
    return this.state()
  }

  /**
   * Prints a run of labels, all or none.
   * @throws Problem 409 when it is out of reach or has too little tape left
   */
  print(wanted: readonly ToPrint[]): Printed {
    if (!this.connected)
      throw new Problem(409, 'Out of reach', 'The label printer is out of reach: nothing was printed.')
    const labels = wanted.map(({ name, size, room }) => ({ name, size, width: Math.min(room, Math.max(name.length, size.length) * LETTER + 3) })) // prettier-ignore
    const used = LEAD + labels.reduce((sum, l) => sum + l.width + BETWEEN, 0)
    if (used > this.tape) throw new Problem(409, 'No tape', 'The tape is too short for these labels: put a new one in.')
    this.tape -= used
    return { labels, used, ...this.state() }
  }
}

export const labelPrinter = new LabelPrinter()
