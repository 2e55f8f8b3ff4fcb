import type { Rod } from '../model/model'
import { remedy, TOLERANCE, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** At most so many other rods are tried. */
const MOST = 3

const otherRods = ({ input }: Subject, is: (thickness: number) => boolean): Remedy[] =>
  input.shop.stock
    .filter((s) => s.form === 'rod' && is(s.thickness))
    .sort((a, b) => a.thickness - b.thickness)
    .slice(0, MOST)
    .map((s) => remedy(`Take ${s.name}`, { kind: 'choice', key: 'rodStock', value: s.id }))

/** Thicker rods of the shop as a way out, the thinnest of them first. */
export const thickerRods = (subject: Subject, { diameter }: Rod): Remedy[] =>
  otherRods(subject, (thickness) => thickness > diameter + TOLERANCE)

/** Thinner rods of the shop as a way out. */
export const thinnerRods = (subject: Subject, { diameter }: Rod): Remedy[] =>
  otherRods(subject, (thickness) => thickness < diameter - TOLERANCE)

/** What is said where nothing is known of a rod's material. */
export const unknownRod = (rod: Rod, id: string, check: string, title: string): Verdict => ({
  id,
  check,
  title,
  level: 'watch',
  says: `How stiff and strong ${rod.material || 'this rod'} is is not known. Put it among the shop’s materials.`,
  seats: [],
  candidates: [],
})
