import { clockWords } from '~/controls/timesOfDay'
import type { DayBand, DayModel } from './dayModel'

interface Shown {
  /** A day by its number. */
  date: (day: number) => string
  temperature: (celsius: number) => string
  gust: (gust: number) => string
}

/** Rain of an hour that is felt, mm. */
const WET = 0.2

/**
 * The drawing of the days in words, for whoever does not see it: who is there when and in what weather, where concrete
 * is waited for, and what decides the end. Each piece of work says itself.
 *
 * @param chain what decides the end, link by link
 * @example describeDays(model, ['B4, pour: behind B4, dig'], shown) // 'Posts across: B4, B7. Fri 28 Nov, 07:00 to 15:20, …'
 */
export function describeDays(
  { bands, blocks, columns, tails }: Pick<DayModel, 'bands' | 'blocks' | 'columns' | 'tails'>,
  chain: readonly string[],
  { date, ...show }: Shown,
): string {
  const days = bands.map((band) => {
    const pieces = blocks.filter(({ y }) => y >= band.top && y < band.bottom).length
    const night = band.night
      ? `. The night behind it ${show.temperature(band.night.temperature)}, gusts to ${show.gust(band.night.gust)}`
      : ''
    const from = `${clockWords(band.visit.from)} to ${clockWords(band.visit.to)}`
    return `${date(band.day)}, ${from}: ${pieces} pieces of work${weatherOf(band, show)}${night}.`
  })
  const waits = columns.filter(({ x }) => tails.some((tail) => tail.x === x)).map(({ name }) => name)
  return [
    `Posts across: ${columns.map(({ name }) => name).join(', ')}.`,
    ...days,
    ...(waits.length > 0 ? [`Concrete is waited for at ${waits.join(', ')}.`] : []),
    ...(chain.length > 0 ? [`What decides the end: ${chain.join('; ')}.`] : []),
  ].join(' ')
}

function weatherOf({ weather }: DayBand, show: Omit<Shown, 'date'>): string {
  if (weather.length === 0) return ''
  const degrees = weather.map(({ temperature }) => temperature)
  const wet = weather.filter(({ rain }) => rain >= WET).length
  const range = [Math.min(...degrees), Math.max(...degrees)].map(show.temperature)
  const rain = wet === 0 ? 'dry' : `rain in ${wet} ${wet === 1 ? 'hour' : 'hours'}`
  const most = Math.max(...weather.map(({ gust }) => gust))
  return `, ${[...new Set(range)].join(' to ')}, gusts to ${show.gust(most)}, ${rain}`
}
