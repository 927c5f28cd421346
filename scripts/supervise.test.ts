import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { stateOf } from './lib/processes.mjs'
import { supervise, TIMING } from './lib/supervise.mjs'

const QUICK = { ...TIMING, every: 2, patience: 2, longest: 4, busy: 500 }
interface State {
  used: number
  isWaiting: boolean
  isStopped: boolean
}
const still: State = { used: 0, isWaiting: false, isStopped: false }

/** A part that answers while it is told to, and counts what is done to it. */
function part() {
  let end = (_: unknown) => {}
  const made = {
    pid: 1,
    answers: true,
    starts: 0,
    looks: 0,
    failing: 0,
    state: { ...still },
    said: [] as string[],
    kill: vi.fn(async () => void (made.answers = true)),
    stop: vi.fn(async () => void (made.answers = true)),
    end: () => end(0),
    async start() {
      made.starts++
      if (made.starts > 1 && made.failing-- > 0) throw new Error('not yet')
      const ended = new Promise((resolve) => (end = resolve))
      return { pid: 1, ended, isAnswering: async () => made.answers, kill: made.kill, stop: made.stop }
    },
  }
  return made
}
const closing: { stop: () => Promise<void> }[] = []
afterEach(async () => {
  for (const each of closing.splice(0)) await each.stop()
})
async function watched(made: ReturnType<typeof part>, timing = QUICK) {
  const start = { name: 'it', start: made.start, say: (words: string) => made.said.push(words) }
  const supervised = await supervise(start, timing, () => {
    made.looks++
    return made.state
  })
  closing.push(supervised)
  return supervised
}

describe('a part that is watched', () => {
  it('is started again when it has ended, and when it is frozen', async () => {
    const made = part()
    await watched(made)
    made.end()
    await vi.waitFor(() => expect(made.starts).toBe(2))
    made.state = { ...still, isStopped: true }
    made.answers = false
    await vi.waitFor(() => expect(made.starts).toBe(3))
    expect(made.kill).toHaveBeenCalledTimes(2)
    expect(made.said.filter((words) => words.endsWith('starting it again'))).toEqual([
      'it has ended: starting it again',
      'it does not answer: starting it again',
    ])
  })
  it('is left alone while it waits for the processor, however long', async () => {
    const made = part()
    await watched(made)
    made.state = { ...still, isWaiting: true }
    made.answers = false
    await vi.waitFor(() => expect(made.looks).toBeGreaterThan(30))
    expect(made.starts).toBe(1)
  })
  it('is asked to end when it works on and on without an answer', async () => {
    const made = part()
    await watched(made)
    made.answers = false
    await vi.waitFor(() => {
      made.state = { ...made.state, used: made.state.used + 100, isWaiting: true }
      expect(made.starts).toBe(2)
    })
    expect(made.stop).toHaveBeenCalledTimes(1)
    expect(made.kill).not.toHaveBeenCalled()
  })
  it('is tried again when a start fails, and given up only when none succeeds', async () => {
    const made = part()
    const { failed } = await watched(made, { ...QUICK, starts: 4 })
    made.failing = 3
    made.end()
    await vi.waitFor(() => expect(made.said.at(-1)).toMatch(/^it is up again/))
    expect(made.said.filter((words) => words === 'it did not start: not yet; trying again')).toHaveLength(3)
    made.failing = 100
    made.end()
    await expect(failed).rejects.toThrow('it does not stay up: not yet')
  })
})

describe('the state of a process', () => {
  it('tells one that is stopped from one that works', async () => {
    const child = spawn(process.execPath, ['-e', 'for (;;) {}'])
    try {
      await vi.waitFor(() => expect(stateOf(child.pid).used).toBeGreaterThan(50), 10_000)
      child.kill('SIGSTOP')
      await vi.waitFor(() => expect(stateOf(child.pid).isStopped).toBe(true), 10_000)
      expect(stateOf(child.pid).isWaiting).toBe(false)
    } finally {
      child.kill('SIGKILL')
    }
    await once(child, 'exit')
    expect(stateOf(child.pid)).toEqual({ used: 0, isWaiting: false, isStopped: false })
  })
})
