import { describe, expect, it } from 'vitest'
import { HOUR_MS, type ForecastHour } from './forecast'
import { paintingTimes } from './painting'

const START = Date.UTC(2026, 4, 4)
const hours = (change: (hour: number) => Partial<ForecastHour>): ForecastHour[] =>
  Array.from({ length: 48 }, (_, hour) => ({
    at: new Date(START + hour * HOUR_MS).toISOString(),
    temperature: 12,
    gust: 3,
    rain: 0,
    ...change(hour),
  }))
const isWork = (at: number) => {
  const hour = new Date(at).getUTCHours()
  return hour >= 8 && hour < 17
}
const times = (change: (hour: number) => Partial<ForecastHour>) =>
  paintingTimes(hours(change), isWork).map(({ from, to }) => [(from - START) / HOUR_MS, (to - START) / HOUR_MS])

describe('when wood may be painted', () => {
  it('is half a day behind a shower, in the hours that are worked', () => {
    // The last rain falls in the hour from one: twelve dry ones behind it end at two in the afternoon.
    expect(times((hour) => ({ rain: hour === 1 ? 0.4 : 0 }))).toEqual([
      [14, 17],
      [32, 41],
    ])
  })
  it('is six hours before the next shower, and not in a dew of rain that wets nothing', () => {
    expect(times((hour) => ({ rain: hour === 20 ? 0.4 : hour === 3 ? 0.1 : 0 }))).toEqual([
      [12, 14],
      [33, 41],
    ])
  })
  it('is not in the cold, nor when it grows cold before it is dry', () => {
    expect(times((hour) => ({ temperature: hour >= 20 ? 7.9 : 8 }))).toEqual([[12, 14]])
    expect(times(() => ({ temperature: 5 }))).toEqual([])
  })
})
