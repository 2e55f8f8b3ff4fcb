import { describe, expect, it } from 'vitest'
import { runStep } from '../../scripts/lib/step.mjs'

const heard = () => {
  let text = ''
  return { write: (more: string) => (text += more), text: () => text }
}
const script = (code: string) => ['-e', code]

describe('a step of the whole test', () => {
  it('passes what is said on, and passes when the program does', async () => {
    const out = heard()
    const done = await runStep('kerf', process.execPath, script('console.log("3 mm"); console.error("hm")'), {}, out)
    expect(done).toMatchObject({ name: 'kerf', passed: true })
    expect(out.text()).toContain('3 mm\n')
    expect(out.text()).toContain('hm\n')
  })

  it('keeps the last lines of one that fails, since those name what failed', async () => {
    const code = 'for (let n = 1; n <= 100; n++) console.log("line " + n); process.exitCode = 3'
    const out = heard()
    const done = await runStep('lines', process.execPath, script(code), {}, out)
    expect(done.passed).toBe(false)
    expect(done.end.split('\n')).toEqual(Array.from({ length: 40 }, (_, i) => `line ${i + 61}`))
    expect(out.text()).toContain('line 1\n')
  })

  it('has not passed when its program is stopped or not there', async () => {
    const stopped = await runStep('stopped', process.execPath, script('process.kill(process.pid)'), {}, heard())
    expect(stopped.passed).toBe(false)
    const missing = await runStep('missing', 'no-such-program', [], {}, heard())
    expect(missing.passed).toBe(false)
    expect(missing.end).toContain('no-such-program')
  })

  it('ends with its program, not with what that left running', async () => {
    const code = `require('node:child_process').spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)'],
      { stdio: 'inherit', detached: true }).unref()`
    const done = await runStep('leaves', process.execPath, script(code), {}, heard())
    expect(done).toMatchObject({ passed: true })
    expect(done.seconds).toBeLessThan(30)
  })

  it('hands its surroundings on', async () => {
    const done = await runStep(
      'env',
      process.execPath,
      script('process.exitCode = +process.env.WANTED'),
      { WANTED: '0' },
      heard(),
    )
    const not = await runStep(
      'env',
      process.execPath,
      script('process.exitCode = +process.env.WANTED'),
      { WANTED: '1' },
      heard(),
    )
    expect([done.passed, not.passed]).toEqual([true, false])
  })
})
