import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { faults, type Asked } from './cut-checker'
import { panels } from './cut-instances'
import type { PlanFile } from '#core/exchange/plan-file'

const root = fileURLToPath(new URL('../..', import.meta.url))
const project = {
  format: 'fingerling-project',
  formatVersion: 1,
  shop: { name: 'S', bits: [22, 25, 28, 30, 32, 35, 38], settings: { gap: 22 } },
  tools: [
    [27.5, 62],
    [29, 70],
    [31.2, 88],
  ].map(([handleWidth, headWidth]) => ({
    name: 'Mallet',
    kind: 'headed',
    sure: 'caliper',
    mass: 0.6,
    measures: { handleWidth, headWidth, headLength: 120 },
  })),
  holders: [{ name: 'Rail', form: 'finger-rail', seats: ['t1', 't2', 't3'] }],
}

/** Runs it as a person does. */
const cli = (args: string[], input = '') =>
  spawnSync('npm', ['run', '-s', 'cli', '--', ...args], { cwd: root, input, encoding: 'utf8', timeout: 30000 })

const plans = (output: string) => JSON.parse(output).plans as PlanFile[]

describe('the command line', () => {
  it('plans a project from standard input, to the worked example', () => {
    const { status, stdout, stderr } = cli(['plan', '-'], JSON.stringify(project))
    expect([status, stderr]).toEqual([0, ''])
    const [plan] = plans(stdout)
    expect(plan!.boards[0]).toMatchObject({ length: 304, role: 'rail' })
    expect(plan!.boards[0]!.openings.map((o) => [o.centre.x, o.width])).toEqual([
      [51, 32],
      [139, 32],
      [240, 35],
    ])
    expect(plan!.marks[0]!.chain.map((l) => l.printed)).toEqual([51, 88, 101, 64])
    expect(plan!.seats).toHaveLength(3)
    expect(plan!.verdict).toBe('pass')
    const length = plan!.working.find((f) => f.id === 'length')!
    expect([length.printed, length.reckoned]).toEqual(['304 mm', '240 + 44 + 20'])
  })

  it('ends without a word when nobody reads what it prints any more', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'fingerling-cli-')), 'project.json')
    writeFileSync(file, JSON.stringify(project))
    const script = `npm run -s cli -- plan "$0" | true; echo "\${PIPESTATUS[0]}"`
    const { stdout, stderr } = spawnSync('bash', ['-c', script, file], { cwd: root, encoding: 'utf8', timeout: 30000 })
    expect([stdout.trim(), stderr]).toEqual(['0', ''])
  })

  it('reads a file, and one holder of it', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'fingerling-cli-')), 'project.json')
    const second = { ...project.holders[0], name: 'Even', choices: { pitch: 'even' } }
    writeFileSync(file, JSON.stringify({ ...project, holders: [...project.holders, second] }))
    expect(plans(cli(['plan', file]).stdout).map((p) => p.boards[0]!.length)).toEqual([304, 317])
    expect(plans(cli(['plan', file, '--holder', 'h2']).stdout).map((p) => p.holder.name)).toEqual(['Even'])
  })

  it.each([
    ['no such command', ['spoon'], '', 'There is no command spoon'],
    ['no file', ['plan'], '', 'Which file?'],
    ['a file that is not there', ['plan', '/nowhere.json'], '', 'Can’t read /nowhere.json'],
    ['no JSON', ['plan', '-'], '{"tools": NaN}', 'JSON has no “NaN”'],
    [
      'a size below nought',
      ['plan', '-'],
      JSON.stringify({ ...project, tools: [{ name: 'a', kind: 'headed', measures: { headWidth: -3 } }] }),
      'tools[0].measures: Head width: a size can’t be negative',
    ],
    ['a holder that is not there', ['plan', '-', '--holder', 'h9'], JSON.stringify(project), 'No holder has the id h9'],
  ])('says what is wrong with %s and ends with 2', (_, args, input, says) => {
    const { status, stdout, stderr } = cli(args, input)
    expect([status, stdout]).toEqual([2, ''])
    expect(stderr).toContain(says)
  })

  it('reads a list of tools, names its bad rows and prints the good ones', () => {
    const list =
      'Tool,Shelf,Handle width (in),Head width,Head length\nMallet,top,1 1/8,70,120\nBeetle,top,wide,88,150\n'
    const read = cli(['tools', '-'], list)
    expect(read.status).toBe(1)
    expect(read.stderr).toContain('Shelf: no such column is known; left out')
    expect(read.stderr).toContain('row 3, Handle width (in): Can’t read “wide” as a length')
    expect(JSON.parse(read.stdout).tools).toMatchObject([
      { name: 'Mallet', kind: 'headed', measures: { handleWidth: 28.575, headWidth: 70, headLength: 120 } },
    ])
    const again = cli(['tools', '-', '--as', 'csv', '--unit', 'in'], read.stdout)
    expect([again.status, again.stderr]).toEqual([0, ''])
    expect(again.stdout).toContain('Handle width (in)')
    expect(cli(['tools', '-', '--unit', 'ell'], list).status).toBe(2)
    expect(cli(['tools', '-'], 'PK\u0003\u0004').status).toBe(2)
  })

  it('plans the cutting of what comes in, within the time it is given', () => {
    const instance = {
      id: 'shelf',
      kind: '2d',
      kerf: 3,
      stock: [
        { id: 'ply', length: 1220, width: 610, isOffcut: false },
        { id: 'offcut', length: 400, width: 300, isOffcut: true },
      ],
      parts: [
        { id: 'back', length: 600, width: 300, count: 3 },
        { id: 'end', length: 300, width: 400, canRotate: true },
      ],
    }
    const started = Date.now()
    const { status, stdout, stderr } = cli(['cut', '-', '--seconds', '2', '--seed', '5'], JSON.stringify(instance))
    expect([status, stderr]).toEqual([0, ''])
    expect(Date.now() - started).toBeLessThan(12_000)
    const plan = JSON.parse(stdout)
    expect(faults(instance as Asked, plan)).toEqual([])
    expect(plan).toMatchObject({ id: 'shelf', unplaced: [], bought: 1220 * 610, proven: true, seed: 5 })
    expect(plan.placements).toHaveLength(4)
  })

  it('has other searches beside it for what takes longer', () => {
    const { instance, best } = panels(1033)
    const run = spawnSync('npx', ['tsx', '--tsconfig', 'tsconfig.cli.json', 'tests/core/search-beside-run.ts'], {
      ...{ cwd: root, encoding: 'utf8', timeout: 30000 },
    })
    expect(run.stderr.replace(/^npm warn.*\n/gm, '')).toBe('')
    const { plan, stopped } = JSON.parse(run.stdout)
    expect(faults(instance, plan)).toEqual([])
    expect(plan).toMatchObject({ proven: true, bought: best * instance.stock[0]!.length * instance.stock[0]!.width! })
    expect(stopped).toBeNull()
  })

  it('ends in time with the best there is where the least can’t be met', () => {
    // by area all would go into one sheet, by their shapes they don't
    const sizes = [400, 401, 402, 403, 404]
    const instance = {
      kind: '2d' as const,
      kerf: 3,
      stock: [{ id: 'ply', length: 1220, width: 610 }],
      parts: sizes.map((length, i) => ({ id: `p${i}`, length, width: 320 + i, canRotate: true })),
    }
    const started = Date.now()
    const { status, stdout, stderr } = cli(['cut', '-', '--seconds', '6'], JSON.stringify(instance))
    expect([status, stderr]).toEqual([0, ''])
    expect(Date.now() - started).toBeLessThan(9000)
    const plan = JSON.parse(stdout)
    expect(faults(instance as Asked, plan)).toEqual([])
    expect(plan).toMatchObject({ bought: 2 * 1220 * 610, atLeast: 1220 * 610, proven: false, endedByClock: true })
  })

  it('says what can’t be cut, and what in an instance can’t be used', () => {
    const bars = {
      kind: '1d',
      kerf: 3,
      stock: [{ id: 'bar', length: 900, count: 1 }],
      parts: [{ id: 'p', length: 600, count: 2 }],
    }
    const cut = cli(['cut', '-', '--seconds', '1'], JSON.stringify(bars))
    expect(cut.status).toBe(1)
    expect(JSON.parse(cut.stdout).unplaced).toEqual([{ partId: 'p', count: 1 }])
    const wrong = cli(['cut', '-'], JSON.stringify({ ...bars, kerf: -1 }))
    expect([wrong.status, wrong.stdout]).toEqual([2, ''])
    expect(wrong.stderr).toContain('kerf: -1 is no kerf')
    expect(cli(['cut', '-', '--seconds', 'soon'], '{}').stderr).toContain('--seconds wants')
    expect(cli(['cut', '-', '--seed', '1.5'], '{}').stderr).toContain('--seed wants')
  })
})
