import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, type EffectScope } from 'vue'
import { useInstrument } from './useInstrument'

/* A stream whose ends the test holds in its hand. VueUse asks once, when it loads, whether there is a page. */
const { opened, FakeEventSource } = vi.hoisted(() => {
  const opened: FakeEventSource[] = []
  class FakeEventSource {
    readyState = 1
    onopen?: () => void
    onerror?: (event: unknown) => void
    onmessage?: (event: { data: string; lastEventId: string }) => void
    constructor(readonly url: string) {
      opened.push(this)
    }
    close(): void {
      this.readyState = 2
    }
    sends(value: number, at: number): void {
      this.onmessage?.({ data: JSON.stringify({ value, at }), lastEventId: '' })
    }
    fails(): void {
      this.readyState = 2
      this.onerror?.({ type: 'error' })
    }
  }
  vi.stubGlobal('window', globalThis)
  vi.stubGlobal('document', { createElement: () => ({}) })
  vi.stubGlobal('EventSource', FakeEventSource)
  return { opened, FakeEventSource }
})

describe('an instrument that streams', () => {
  let scope: EffectScope
  let level: ReturnType<typeof useInstrument>
  const last = () => opened.at(-1)!

  beforeEach(() => {
    vi.useFakeTimers()
    opened.length = 0
    scope = effectScope()
    level = scope.run(() => useInstrument('level', () => 0.05))!
  })
  afterEach(() => {
    scope.stop()
    vi.useRealTimers()
  })

  it('opens nothing before it is asked to', () => {
    expect(opened).toEqual([])
    expect(level.state.value).toBe('off')
    level.connect()
    expect(level.state.value).toBe('connecting')
    expect(last()).toBeInstanceOf(FakeEventSource)
    expect(last().url).toBe('/api/instruments/level?manner=steady&truth=0.05')
  })

  it('comes back by itself after its stream failed, and keeps the last reading in sight until then', async () => {
    level.connect()
    for (let i = 0; i < 10; i++) last().sends(0.05, i)
    expect(level.state.value).toBe('live')
    const before = level.held.value
    expect(before).toBeDefined()

    last().fails()
    await nextTick()
    expect(level.state.value).toBe('lost')
    expect(level.held.value).toEqual(before)
    for (const tries of [2, 3]) {
      await vi.advanceTimersByTimeAsync(1_000)
      expect(opened).toHaveLength(tries)
      last().fails()
    }
    await vi.advanceTimersByTimeAsync(1_000)
    last().sends(0.06, 99)
    expect(level.state.value).toBe('live')
  })

  it('is lost after a silence, though nothing was said to have failed', async () => {
    level.connect()
    last().sends(0.05, 1)
    await vi.advanceTimersByTimeAsync(1_400)
    expect(level.state.value).toBe('live')
    await vi.advanceTimersByTimeAsync(500)
    expect(level.state.value).toBe('lost')
    last().sends(0.05, 2)
    expect(level.state.value).toBe('live')
  })

  it('stays off once it was put away', async () => {
    level.connect()
    const { readyState } = last()
    level.disconnect()
    expect([readyState, last().readyState]).toEqual([1, 2])
    await vi.advanceTimersByTimeAsync(5_000)
    expect(opened).toHaveLength(1)
    expect(level.state.value).toBe('off')
  })

  it('asks anew when it is to behave otherwise', async () => {
    level.connect()
    level.manner.value = 'noisy'
    await nextTick()
    expect(opened).toHaveLength(2)
    expect(last().url).toContain('manner=noisy')
  })
})
