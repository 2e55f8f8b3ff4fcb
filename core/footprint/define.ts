import type { Outline } from '../geometry/outline'
import { boundsOf, silhouetteOf, type Body, type View } from './body'
import { cardOf, type Measure } from './card'
import type { Kind, Measuring, OptionDeclaration, Say, Attitude, Contradiction, FieldDeclaration } from './kind'
import type { ProfilePoint } from './tool'

/** A kind's figures for drawing: as measured, typical ones in the gaps. mm */
export type Figures<K extends string> = Record<K, number>

/** What else a kind's drawing may depend on. */
export interface Drawn {
  options: Record<string, string>
  profile: readonly ProfilePoint[]
  outline: Outline | null
  /** whether a figure was measured, and is no typical one */
  has: (field: string) => boolean
}

/** One measurement, as a kind declares it. */
export interface FieldSpec<K extends string> {
  label: string
  hold: string
  sane: readonly [number, number]
  /** mm, or from figures declared before it */
  typical: number | ((f: Figures<K>) => number)
  optional?: string
  noughtAllowed?: boolean
  /** where its line stands on the card */
  line: (f: Figures<K>, d: Drawn) => Measure
  /** for a balance point: with which weight, and where the reading lies on which axis */
  balance?: { with: 'bare' | 'battery'; axis: 'x' | 'y' | 'z'; at: (reading: number, f: Figures<K>) => number }
}

/** Two or more figures that can't be right together. Looked at once all of them are measured. */
export interface Clash<K extends string> {
  fields: K[]
  when: (f: Figures<K>, d: Drawn) => boolean
  says: (say: Say, f: Figures<K>) => string
}

export interface KindSpec<K extends string> {
  id: string
  name: string
  covers: readonly string[]
  /** in the order in which a person with a rule in hand would take them */
  fields: Record<K, FieldSpec<K>>
  options?: readonly OptionDeclaration[]
  /** which end to keep from harm; the first is taken until another is chosen */
  delicate: readonly { value: string; label: string }[]
  /** the figure by which one is told from its like, as a chisel by its width */
  knownBy?: K
  profile?: Kind['profile']
  outline?: Kind['outline']
  stacks?: NoInfer<K>
  battery?: boolean
  /** the view that shows best what it is; the side, where not said */
  shown?: View
  attitudes?: readonly Attitude[]
  clashes?: readonly Clash<K>[]
  /** what is warned of where it is kept */
  cautions?: (d: Drawn) => readonly string[]
  bodies: (f: Figures<K>, d: Drawn) => Body[]
  captions?: Partial<Record<View, string>>
  neck?: Kind['neck']
  blade?: Kind['blade']
  shank?: Kind['shank']
}

/** The four ways to turn a tool with a face. */
export const FACE_TURNS: readonly Attitude[] = [
  { turn: 0, label: 'face out' },
  { turn: 1, label: 'face right' },
  { turn: 2, label: 'face to the wall' },
  { turn: 3, label: 'face left' },
]

/** The two ways to turn a tool that looks the same from both sides. */
export const FLAT_TURNS: readonly Attitude[] = [
  { turn: 0, label: 'flat to the wall' },
  { turn: 1, label: 'out from the wall' },
]

/**
 * Makes a kind of tool from its declaration: figures, card, silhouette, envelope, contradictions.
 */
export function defineKind<K extends string>(spec: KindSpec<K>): Kind {
  const entries = Object.entries(spec.fields) as [K, FieldSpec<K>][]

  /** Typical figures follow what is measured: the ones before them first. */
  function figuresOf(measures: Record<string, number>): Figures<K> {
    const f = {} as Figures<K>
    for (const [key, field] of entries) {
      f[key] = measures[key] ?? (typeof field.typical === 'function' ? field.typical(f) : field.typical)
    }
    return f
  }
  const drawnOf = (tool: Measuring): Drawn => ({
    options: optionsOf(tool.options),
    profile: tool.profile ?? [],
    outline: tool.outline ?? null,
    has: (field) => tool.measures[field] !== undefined,
  })
  const options: OptionDeclaration[] = [
    ...(spec.options ?? []),
    { key: 'delicate', label: 'Keep from harm', values: spec.delicate },
  ]
  const optionsOf = (chosen: Record<string, string>) =>
    Object.fromEntries(options.map((o) => [o.key, chosen[o.key] ?? o.values[0]!.value]))

  const typical = figuresOf({})
  const bodies: Kind['bodies'] = (tool) => spec.bodies(figuresOf(tool.measures), drawnOf(tool))
  const silhouette: Kind['silhouette'] = (tool) => silhouetteOf(bodies(tool))

  return {
    id: spec.id,
    name: spec.name,
    covers: spec.covers,
    fields: entries.map(([key, field]): FieldDeclaration => ({
      key,
      label: field.label,
      hold: field.hold,
      sane: field.sane,
      typical: typical[key],
      ...(field.optional === undefined ? {} : { optional: field.optional }),
      ...(field.noughtAllowed ? { noughtAllowed: true } : {}),
      ...(field.balance ? { balance: field.balance.with } : {}),
    })),
    options,
    knownBy: spec.knownBy ?? null,
    profile: spec.profile ?? null,
    outline: spec.outline ?? null,
    stacks: spec.stacks ?? null,
    battery: spec.battery ?? false,
    shown: spec.shown ?? 'side',
    attitudes: spec.attitudes ?? [{ turn: 0, label: 'face out' }],
    contradictions: (tool) =>
      (spec.clashes ?? []).flatMap((clash): Contradiction[] => {
        if (clash.fields.some((key) => tool.measures[key] === undefined)) return []
        const f = tool.measures as Figures<K>
        return clash.when(f, drawnOf(tool)) ? [{ fields: clash.fields, message: (say) => clash.says(say, f) }] : []
      }),
    cautions: (tool) => spec.cautions?.(drawnOf(tool)) ?? [],
    bodies,
    silhouette,
    envelope: (tool) => boundsOf(silhouette(tool)),
    card: (tool) => {
      const f = figuresOf(tool.measures)
      const d = drawnOf(tool)
      const lines = Object.fromEntries(entries.map(([key, field]) => [key, field.line(f, d)]))
      return cardOf(silhouetteOf(spec.bodies(f, d)), lines, spec.captions ?? {})
    },
    balancedAt: (key, tool) => {
      const balance = spec.fields[key as K]?.balance
      const reading = tool.measures[key]
      if (!balance || reading === undefined) return null
      return { axis: balance.axis, at: balance.at(reading, figuresOf(tool.measures)) }
    },
    ...(spec.neck ? { neck: spec.neck } : {}),
    ...(spec.blade ? { blade: spec.blade } : {}),
    ...(spec.shank ? { shank: spec.shank } : {}),
  }
}
