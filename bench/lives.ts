import { adviceFor } from '../core/practice/advice'
import { drawCase } from '../core/practice/case'
import { bestMove, LONGEST_LINE } from '../core/practice/search'
import { drawsFrom } from '../core/numeric/draws'
import { simulate } from '../core/survive/simulate'
import { tables } from '../data/tables'
import { midRun, standardFence, standsNow } from '../tests/support/stands'

const YEARS = 30
const WAYS = 10
const GUST50 = 38
const CASES = 8

function milliseconds(work: () => unknown): number {
  const began = performance.now()
  work()
  return performance.now() - began
}

/** What thousands of lives cost, and what many ways cost over one: they live in the same winds. */
export function lifeFigures() {
  const stand = standsNow(midRun(standardFence()))
  const live = (ways: number, pressures: readonly number[] = [1]) =>
    milliseconds(() =>
      simulate(
        Array.from({ length: ways }, () => stand),
        { gust50: GUST50, years: YEARS, pressures },
      ),
    )
  live(1)
  const [one, ten, withRange] = [live(1), live(WAYS), live(WAYS, [1, 0.7, 1.4])]
  // The draws that such lives cannot do without: three gusts a year, each with its side and its ground.
  const { below } = drawsFrom(1)
  const draws = milliseconds(() => {
    let sum = 0
    for (let i = 0; i < 20_000 * YEARS * 3 * 3; i++) sum += below(1_000)
    return sum
  })
  return { one, ten, withRange, draws }
}

/** What the best line of a case costs to find, against what one piece of advice costs. */
export function practiceFigures() {
  const cases = Array.from({ length: CASES }, (_, i) => drawCase(i + 1, 'ordinary', tables))
  const search = milliseconds(() => cases.forEach(({ position }) => bestMove(position, [], LONGEST_LINE, new Map())))
  const advice = milliseconds(() => cases.forEach((each) => adviceFor(each, [])))
  return { search: search / CASES, advice: advice / CASES }
}
