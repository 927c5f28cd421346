import { effectScope, onScopeDispose } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { sharedByJob } from './sharedByJob'

const open = vi.hoisted(() => ({ session: {}, view: {} }))
vi.mock('./openJob', () => ({ useJobSession: () => open.session, useJobView: () => open.view }))

describe('what a drawing and its panel share', () => {
  beforeEach(() => {
    open.session = {}
    open.view = {}
  })
  const made = vi.fn()
  const gone = vi.fn()
  const useShared = sharedByJob(() => {
    made()
    onScopeDispose(gone)
    return {}
  })
  const used = () => {
    const scope = effectScope()
    return { scope, shared: scope.run(useShared)! }
  }

  it('is made once, goes with the last of them, and is made anew for whoever comes later', () => {
    const [panel, drawing] = [used(), used()]
    expect(drawing.shared).toBe(panel.shared)
    expect(made).toHaveBeenCalledTimes(1)
    panel.scope.stop()
    expect(gone).not.toHaveBeenCalled()
    drawing.scope.stop()
    expect(gone).toHaveBeenCalledTimes(1)
    const later = used()
    expect(later.shared).not.toBe(panel.shared)
    later.scope.stop()
    expect(gone).toHaveBeenCalledTimes(2)
  })

  it('is another for another job', () => {
    const first = used()
    open.view = {}
    expect(used().shared).not.toBe(first.shared)
  })
})
