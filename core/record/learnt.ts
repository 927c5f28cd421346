import { drawsFrom } from '../numeric/draws'
import { median, percentile } from '../numeric/statistics'
import { learntKey, type LearntKind, type LearntRow } from '../tables/learnt'
import type { RatioLesson } from './lessons'

/** A figure as the records have it, with its 90 % interval, beside what is in use. */
export interface LearntFigure {
  key: string
  kind: LearntKind
  tool?: string
  soil?: string
  task?: string
  median: number
  low: number
  high: number
  /** Nine records in ten were no more. */
  ninety: number
  records: number
}

/** From so many records on a figure may stand in the place of a working value. */
export const ENOUGH_RECORDS = 5
const RESAMPLES = 2_000
/** Of the interval's ends. */
const ENDS = [0.05, 0.95] as const

/**
 * What the records come to: over-dig and bags by tool and soil, by tool, and of all; minutes by step; spares by what is
 * bought. Figures of fewer than five records are left out.
 *
 * @param person whose own pace is wanted; everybody's where it is left out
 * @example five holes dug 1.20, 1.10, 1.30, 1.15, 1.25 times as planned: median 1.20
 */
export function learntFigures(lessons: readonly RatioLesson[], person?: string): LearntFigure[] {
  const groups = new Map<string, { of: Omit<LearntFigure, keyof Reckoned>; ratios: number[] }>()
  for (const lesson of lessons) {
    if (person !== undefined && (lesson.kind !== 'minutes' || lesson.person !== person)) continue
    for (const of of groupsOf(lesson)) {
      const known = groups.get(of.key) ?? { of, ratios: [] }
      known.ratios.push(lesson.ratio)
      groups.set(of.key, known)
    }
  }
  return [...groups.values()]
    .filter(({ ratios }) => ratios.length >= ENOUGH_RECORDS)
    .map(({ of, ratios }): LearntFigure => ({ ...of, ...reckoned(ratios) }))
}

type Reckoned = Pick<LearntFigure, 'median' | 'low' | 'high' | 'ninety' | 'records'>

/** A record speaks for its own group and for the larger ones. */
function groupsOf({ kind, tool, soil, task }: RatioLesson): Omit<LearntFigure, keyof Reckoned>[] {
  if (kind === 'minutes' || kind === 'spares')
    return task === undefined ? [] : [{ key: learntKey(kind, { task }), kind, task }]
  const byTool = tool === undefined ? [] : [{ tool }]
  const bySoil = tool === undefined || soil === undefined ? [] : [{ tool, soil }]
  return [...bySoil, ...byTool, {}].map((of) => ({ key: learntKey(kind, of), kind, ...of }))
}

function reckoned(ratios: readonly number[]): Reckoned {
  const [low, high] = bootstrapInterval(ratios)
  return { median: median(ratios), low, high, ninety: percentile(ratios, 0.9), records: ratios.length }
}

/**
 * The 90 % percentile interval of the median: the records drawn anew with their own numbers put back, two thousand
 * times; the same records have always the same.
 *
 * @source Efron 1979, Bootstrap methods: another look at the jackknife; draws by the Mersenne twister, seeded with the
 *   number of records
 */
export function bootstrapInterval(values: readonly number[], resamples = RESAMPLES): [low: number, high: number] {
  const draws = drawsFrom(values.length)
  const medians = Array.from({ length: resamples }, () => median(values.map(() => draws.one(values))))
  return [percentile(medians, ENDS[0]), percentile(medians, ENDS[1])]
}

/** The row that puts a figure in use, with a name for people. */
export const rowOfFigure = ({ low: _low, high: _high, ...figure }: LearntFigure, name: string): LearntRow => ({
  ...figure,
  median: toThousandth(figure.median),
  ninety: toThousandth(figure.ninety),
  name,
})
const toThousandth = (ratio: number) => Math.round(ratio * 1e3) / 1e3
