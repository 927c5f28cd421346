import { effectScope, nextTick, ref, shallowRef } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { VersionedBatch } from '~~/core/edit/batch'
import { useOthersEdits } from './useOthersEdits'

/* A stream whose ends the test holds in its hand. VueUse asks once, when it loads, whether there is a page. */
const { Source } = vi.hoisted(() => {
  class Source {
    static readonly opened: Source[] = []
    onopen?: () => void
    onmessage?: (event: { data: string; lastEventId: string }) => void
    onerror?: (event: unknown) => void
    readyState = 0
    isClosed = false
    constructor(readonly url: string) {
      Source.opened.push(this)
    }
    say(version: number) {
      this.onopen?.()
      this.onmessage?.({ data: JSON.stringify({ version }), lastEventId: '' })
    }
    close() {
      this.isClosed = true
    }
  }
  vi.stubGlobal('window', globalThis)
  vi.stubGlobal('document', {
    visibilityState: 'visible',
    createElement: () => ({}),
    addEventListener: () => {},
    removeEventListener: () => {},
  })
  vi.stubGlobal('EventSource', Source)
  return { Source }
})

function openJob(at = 3) {
  const session = {
    id: 'a/b',
    version: ref(at),
    waiting: shallowRef<readonly VersionedBatch[]>([]),
    refresh: vi.fn(async () => undefined),
  }
  const scope = effectScope()
  scope.run(() => useOthersEdits(session as never))
  return { session, close: () => scope.stop() }
}
const last = () => Source.opened.at(-1)!

describe('what others do to the job that is open', () => {
  beforeEach(() => {
    Source.opened.length = 0
    vi.useFakeTimers()
    return () => vi.useRealTimers()
  })

  it('is read when the server has a newer version, and not when it has ours', async () => {
    const { session, close } = openJob(3)
    expect(last().url).toBe('/api/jobs/a%2Fb/events')
    last().say(3)
    await nextTick()
    expect(session.refresh).not.toHaveBeenCalled()
    last().say(4)
    await nextTick()
    expect(session.refresh).toHaveBeenCalledTimes(1)
    close()
    expect(last().isClosed).toBe(true)
  })

  it('waits for what waits here, and is read then', async () => {
    const { session, close } = openJob(3)
    session.waiting.value = [{ id: 'x', version: 3, commands: [] }]
    last().say(5)
    await nextTick()
    expect(session.refresh).not.toHaveBeenCalled()
    // Ours became version 4; another's is version 5.
    session.version.value = 4
    session.waiting.value = []
    await nextTick()
    expect(session.refresh).toHaveBeenCalledTimes(1)
    close()
  })

  it('is not asked for of a job that was made here and is not on the server yet', async () => {
    const { session, close } = openJob(0)
    expect(Source.opened).toHaveLength(0)
    session.version.value = 1
    await nextTick()
    expect(Source.opened).toHaveLength(1)
    close()
  })

  it('is looked for at every breath while there is no stream', async () => {
    const { session, close } = openJob(3)
    await vi.advanceTimersByTimeAsync(10_000)
    expect(session.refresh).toHaveBeenCalledTimes(1)
    last().say(3)
    session.refresh.mockClear()
    await vi.advanceTimersByTimeAsync(30_000)
    expect(session.refresh).not.toHaveBeenCalled()
    close()
  })
})
