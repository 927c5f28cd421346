import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { root } from './lib/paths.mjs'
import { clockEnvironment, withoutTestClock } from './lib/testClock.mjs'

const DATE = '2028-02-29T10:00:00Z'
/** What a process says of the time: its own, a thread's, and what it writes on an answer. */
const PROGRAM = `
import { createServer } from 'node:http'
import { Worker } from 'node:worker_threads'
const server = createServer((_asked, answer) => answer.end()).listen(0, async () => {
  const answer = await fetch('http://127.0.0.1:' + server.address().port)
  server.close()
  console.log([new Date().toISOString(), Date.now() === new Date().getTime() || 'a tick', answer.headers.get('date'),
    new Date(2020, 0, 1).getFullYear(), new Date(0) instanceof Date, typeof Date()].join('|'))
})`
function say(environment: NodeJS.ProcessEnv): string[] {
  const { stdout, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', PROGRAM], {
    env: environment,
    encoding: 'utf8',
    cwd: join(root),
  })
  if (!stdout) throw new Error(stderr)
  return stdout.trim().split('|')
}

describe('the clock of a test run', () => {
  it('is that of every process of it, on what it answers too', () => {
    const [now, , answered, ...rest] = say({ ...withoutTestClock(process.env), ...clockEnvironment(DATE) })
    for (const time of [now!, answered!]) expect(Math.abs(Date.parse(time) - Date.parse(DATE))).toBeLessThan(60_000)
    expect(rest).toEqual(['2020', 'true', 'string'])
  })
  it('is left out where a process goes by the machine’s own', () => {
    const [now] = say(withoutTestClock({ ...process.env, ...clockEnvironment(DATE) }))
    expect(now).not.toContain('2028-02-29')
  })
  it('is refused for what is no date', () => {
    expect(() => clockEnvironment('tomorrow')).toThrow('VINDEX_DATE is "tomorrow"')
  })
})
