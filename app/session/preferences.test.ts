import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { hearServer } from '~/sync/clock'
import { usePreferencesStore } from './preferences'

vi.hoisted(() => {
  vi.stubGlobal('localStorage', undefined)
  vi.stubGlobal('navigator', { language: 'en-GB' })
})

const DEVICE = Date.UTC(2026, 10, 3, 9)
const HOUR = 3_600_000

describe('what somebody enters', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    vi.useFakeTimers({ now: DEVICE })
    return () => vi.useRealTimers()
  })

  it('is stamped by the server’s clock where the device’s is seven hours fast', () => {
    hearServer(new Date(DEVICE - 7 * HOUR).toUTCString(), DEVICE, DEVICE)
    expect(Math.abs(Date.parse(usePreferencesStore().signed().at) - (DEVICE - 7 * HOUR))).toBeLessThan(1_000)
  })
  it('names who said it where the name is known', () => {
    const preferences = usePreferencesStore()
    expect(preferences.signed()).not.toHaveProperty('by')
    preferences.person = '  Wren '
    expect(preferences.signed().by).toBe('Wren')
  })
})
