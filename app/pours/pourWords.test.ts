import { describe, expect, it } from 'vitest'
import { strengthWords, timeWords } from './pourWords'

const NOW = Date.UTC(2026, 10, 27, 12, 40)
const HOUR = 3_600_000
const words = (hours: number, zone = 'UTC') => timeWords(NOW + hours * HOUR, NOW, zone)

describe('how hard it is', () => {
  it('is told in hundredths, and of hardly any that there is hardly any', () => {
    expect(strengthWords(0.304)).toBe('It has about 30 in 100 of its strength.')
    expect(strengthWords(0.02)).toBe('It has about 2 in 100 of its strength.')
    expect(strengthWords(0.004)).toBe('It has next to none of its strength yet.')
  })
})

describe('a time on the clock of a pour', () => {
  it('is told to the minute today, and where it is over', () => {
    expect(words(0.4)).toBe('13:04')
    expect(words(-20)).toBe('Thu 16:40')
  })
  it('is told by the next whole hour on another day: nobody knows the minute', () => {
    expect(words(20)).toBe('Sat 09:00')
    expect(words(11)).toBe('23:40')
    expect(words(11, 'Asia/Kolkata')).toBe('Sat 06:00')
    expect(words(24 * 8 + 11)).toBe('6 Dec 00:00')
  })
})
