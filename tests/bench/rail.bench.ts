import { bench, describe } from 'vitest'
import { worstOf } from '#core/checks/verdict'
import { design } from '#core/choose/design'
import { holderViews } from '#core/drawing/views'
import { mallet, railOf } from '../core/samples'
import { calibrate } from './calibrate'

const rail = (count: number) =>
  railOf(Array.from({ length: count }, (_, i) => mallet(`t${i}`, 22 + (i % 9), 60 + ((i * 7) % 40))))

describe('planning a finger rail: model, working and checks', () => {
  bench('a fixed calibration loop', () => void calibrate())
  for (const count of [8, 40, 200]) {
    const input = rail(count)
    bench(`${count} tools`, () => void worstOf(design(input).verdicts))
  }
})

describe('drawing it', () => {
  for (const count of [8, 40, 200]) {
    const { model, input } = design(rail(count))
    if (model) bench(`${count} tools`, () => void holderViews(model, input.tools, input.shop))
  }
})
