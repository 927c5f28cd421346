import { afterEach, describe, expect, it, vi } from 'vitest'
import { clockError, clockOff, hearServer, timeNow } from './clock'

vi.hoisted(() => vi.stubGlobal('localStorage', undefined))

const NOW = Date.UTC(2026, 10, 3, 9)
const said = (after: number) => new Date(NOW + after).toUTCString()

describe('the clock that a pour is reckoned by', () => {
  afterEach(() => {
    hearServer(said(0), NOW, NOW)
    vi.useRealTimers()
  })
  it('is put right by the server where somebody has changed it', () => {
    vi.useFakeTimers({ now: NOW })
    hearServer(said(2 * 3_600_000), NOW - 200, NOW + 200)
    expect(clockError.value).toBe(2 * 3_600_000 + 500)
    expect(timeNow()).toBe(NOW + 2 * 3_600_000 + 500)
    hearServer(said(0), NOW, NOW)
    expect(clockError.value).toBe(0)
    expect(timeNow()).toBe(NOW)
  })
  it('goes on where it is put right: an answer of whole seconds does not turn it back', () => {
    const stamps: number[] = []
    for (let passed = 0; passed < 3_000; passed += 100) {
      vi.useFakeTimers({ now: NOW + passed })
      // Two hours ahead, said in whole seconds.
      hearServer(new Date(NOW + passed + 2 * 3_600_000).toUTCString(), NOW + passed - 50, NOW + passed)
      stamps.push(timeNow())
    }
    expect(stamps).toEqual([...stamps].sort((a, b) => a - b))
    expect(new Set(stamps).size).toBe(stamps.length)
    // Somebody sets the device's clock right meanwhile.
    hearServer(said(0), NOW, NOW)
    expect(clockError.value).toBe(0)
  })
  it('is left alone for less than a minute', () => {
    hearServer(said(-59_000), NOW, NOW)
    expect(clockError.value).toBe(0)
    hearServer(said(-61_000), NOW, NOW)
    expect(clockError.value).toBe(-60_500)
  })
  it('is said in words', () => {
    const words = (error: number) => {
      hearServer(said(error), NOW, NOW)
      return clockOff.value
    }
    expect([-7_200_000, 7_200_000, 300_000, 5_400_000, 0].map(words)).toEqual([
      '2 h 0 min ahead of',
      '2 h 0 min behind',
      '5 min behind',
      '1 h 30 min behind',
      '',
    ])
  })
  it('takes nothing from an answer that says no time, or took too long', () => {
    hearServer(null, NOW, NOW)
    hearServer('tomorrow', NOW, NOW)
    hearServer(said(7_200_000), NOW, NOW + 6_000)
    hearServer(said(7_200_000), NOW, NOW - 1)
    expect(clockError.value).toBe(0)
  })
})
