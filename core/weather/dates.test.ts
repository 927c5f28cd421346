import { describe, expect, it } from 'vitest'
import { dayWords, momentWords, onTheHour } from './dates'

const at = (...parts: [number, number, number, number, number]) => Date.UTC(...parts)

describe('a day and an hour in words', () => {
  it('are those of the clock where the job stands', () => {
    expect(dayWords(at(2027, 2, 3, 23, 30), 'Asia/Kolkata')).toBe('4 March 2027')
    expect(momentWords(at(2027, 2, 3, 14, 5), 'Europe/Lisbon')).toBe('3 March 2027, 14:05')
  })
  it('come by the next whole hour there, whatever the hours of the zone begin with', () => {
    expect(onTheHour(at(2027, 2, 3, 14, 5))).toBe(at(2027, 2, 3, 15, 0))
    expect(onTheHour(at(2027, 2, 3, 14, 0))).toBe(at(2027, 2, 3, 14, 0))
    expect(onTheHour(at(2027, 2, 3, 14, 0) + 1)).toBe(at(2027, 2, 3, 15, 0))
    expect(onTheHour(at(2027, 2, 3, 14, 5), 'Asia/Kolkata')).toBe(at(2027, 2, 3, 14, 30))
    // 01:30 in Lisbon, half an hour before its clocks go on.
    expect(onTheHour(at(2027, 2, 28, 0, 30), 'Europe/Lisbon')).toBe(at(2027, 2, 28, 1, 0))
  })
})
