import { fork } from 'node:child_process'
import { once } from 'node:events'
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { root } from './lib/paths.mjs'

const project = mkdtempSync(join(tmpdir(), 'vindex-mutants-'))
function write(file: string, text: string): void {
  mkdirSync(dirname(join(project, file)), { recursive: true })
  writeFileSync(join(project, file), text)
}
const sum = (body: string) => `export const sum = (a: number, b: number) => ${body}\nexport const untried = () => 1\n`
symlinkSync(join(root, 'node_modules'), join(project, 'node_modules'))
write('package.json', '{ "type": "module" }')
write(
  'vitest.config.ts',
  `export default { test: { projects: [{ test: { name: 'core', isolate: false, include: ['core/**/*.test.ts'] } }] } }`,
)
write('core/sum.ts', sum('a + b'))
write('core/twice.ts', `import { sum } from './sum'\nexport const twice = (a: number) => sum(a, a)\n`)
const tries = (name: string, body: string) =>
  `import { it, expect } from 'vitest'\n${name}\nit('holds', () => ${body})\n`
write('core/sum.test.ts', tries(`import { sum } from './sum'`, 'expect(sum(1, 2)).toBe(3)'))
write('core/twice.test.ts', tries(`import { twice } from './twice'`, 'expect(twice(2)).toBe(4)'))

const runner = fork(join(root, 'scripts', 'lib', 'mutantRunner.mjs'), { cwd: project, stdio: 'ignore' })
const ready = once(runner, 'message')
afterAll(() => {
  runner.kill('SIGKILL')
  rmSync(project, { recursive: true, force: true })
})
async function tell(change: { file?: string; text?: string; tests?: string[][] }) {
  await ready
  runner.send(change)
  return (await once(runner, 'message'))[0] as { passed?: boolean; error?: string }
}
const BOTH = [['core/sum.test'], ['core/twice.test']]
const file = 'core/sum.ts'

describe('the runner of mutants', () => {
  it('notices what a test notices, straight in a file and through another', async () => {
    expect(await tell({ tests: BOTH })).toEqual({ passed: true })
    expect(await tell({ file, text: sum('a - b'), tests: [['core/sum.test']] })).toEqual({ passed: false })
    expect(await tell({ file, text: sum('a - b'), tests: [['core/twice.test']] })).toEqual({ passed: false })
  })
  it('counts no mutant that nothing can notice, straight after one that was caught', async () => {
    expect(await tell({ file, text: sum('a * b'), tests: BOTH })).toEqual({ passed: false })
    const unseen = sum('a + b').replace('=> 1', '=> 2')
    expect(await tell({ file, text: unseen, tests: BOTH })).toEqual({ passed: true })
    // The other file failed in an earlier run, and is not asked now.
    expect(await tell({ file, text: sum('a - b'), tests: [['core/twice.test']] })).toEqual({ passed: false })
    expect(await tell({ file, text: unseen, tests: [['core/sum.test']] })).toEqual({ passed: true })
    expect(await tell({ file, text: sum('a + b'), tests: BOTH })).toEqual({ passed: true })
  })
  it('says so where there is no such test, instead of calling it caught', async () => {
    expect((await tell({ tests: [['core/nothing']] })).error).toContain('no test is called core/nothing')
  })
})
