import { InputError, requireNumber } from '../errors'
import type { MetresPerSecond, Radians, Years } from '../units/types'
import { woodLife } from './serviceLife'
import { ENDS, type Ends, type GroundInWater, type Stand } from './stand'
import { AS_IT_BLOWS, GUSTS, livesOfGround, livesOfWind, MOST_YEARS, type Drawn, type LifeOfWind } from './winds'

/** Out of plumb by more than this, its plumb life is over. A working value. */
export const OUT_OF_PLUMB: Radians = 1 / 60
export const LIVES = 20_000

export interface YearsAsked {
  gust50: MetresPerSecond
  /** Whole years that are looked at, 1 to 50. */
  years: Years
  /**
   * Pressure that is felt, as shares of what the gusts of the stands are made with: the first is what is said of them,
   * the others its range.
   */
  pressures?: readonly number[]
  lives?: number
  seed?: number
  drawn?: Drawn
  /** Lives that are done. */
  onProgress?: (lives: number) => void
}

/** What became of one stand. */
export interface Survived {
  /** Chance to stand plumb at the end of each year, the first first: one list for each pressure asked. */
  plumb: number[][]
  /** Chance that a part of it has given way by then, whether it leant before or not; at the first pressure. */
  gone: number[]
  /** Of the plumb lives that ended in the years looked at, the share that ended so; at the first pressure. */
  ends: Record<Ends, number>
}

/**
 * Lives of posts with their repairs in the same years of wind (common random numbers), so that their difference is
 * steadier than either.
 *
 * Each year has its three largest gusts, each from its own side on its own ground. A gust at or over what a part stands
 * ends the life; any other adds the rotation that it leaves, from rest, with its sign; out of plumb by 1 in 60 ends the
 * plumb life. The ground's strength is log-normal, with a part that a line has in common; it counts on stiffness too, so
 * that a stronger ground feels a gust as if it were as much less. Soft wood begins after a drawn service life and eats
 * half the post's thickness from every face in as long again.
 *
 * @throws InputError for years out of range
 * @source the sum of what single gusts leave is a working rule; everything drawn: see {@link livesOfWind}
 * @example the standard fence, shelter 0.7, gust50 38: plumb for 13 years in its median
 */
export function simulate(stands: readonly Stand[], asked: YearsAsked): Survived[] {
  const { gust50, years, pressures = [1], lives = LIVES, seed = 1, drawn = AS_IT_BLOWS, onProgress } = asked
  requireNumber('years', years, 1, MOST_YEARS, 'years')
  if (!Number.isInteger(years)) throw new InputError('years', years, `a whole number of years to ${MOST_YEARS}`)
  const [wind, nextWind] = livesOfWind(seed, years, drawn)
  const nextGround = livesOfGround(seed, [...new Set(stands.map(({ post = 0 }) => post))])
  const runs = stands.map((stand) => ({ stand, ...prepared(stand, gust50), ...emptyCounts(pressures.length, years) }))
  for (let life = 0; life < lives; life++) {
    nextWind()
    const { line, own } = nextGround()
    for (const run of runs) {
      const of = own.get(run.stand.post ?? 0)!
      const common = Math.min(drawn.common, run.stand.ground?.common ?? Infinity)
      run.strength = Math.exp(common * line + drawn.own * of.ground)
      run.woodLife = run.stand.wood ? woodLife(run.stand.wood, of.wood) : Infinity
      for (let i = 0; i < pressures.length; i++) live(run, wind, years, pressures[i]!, i)
    }
    if (onProgress && life % EVERY === EVERY - 1) onProgress(life + 1)
  }
  return runs.map((run) => survivedOf(run, lives))
}
const EVERY = 1_000

/** Capacities as pressures, in shares of that of the 50-year gust. */
interface Run {
  drained: GroundInWater | undefined
  saturated: GroundInWater | undefined
  drainedAt: number
  saturatedAt: number
  /** The weakest of what stays as it is made. */
  partAt: number
  partEnds: Ends
  woodAt: readonly number[]
  age: Years
  lean: Radians
  /** Of this life. */
  strength: number
  woodLife: Years
  /** By pressure and year, and by year. */
  plumbEnds: Float64Array[]
  gone: Float64Array
  ends: Float64Array
}

function prepared({ ground, wood, parts, lean = 0 }: Stand, gust50: MetresPerSecond) {
  const pressureAt = (gust: MetresPerSecond) => (gust / gust50) ** 2
  const weakest = parts.reduce<Stand['parts'][number] | undefined>(
    (least, part) => (least && least.over <= part.over ? least : part),
    undefined,
  )
  return {
    drained: ground?.drained,
    saturated: ground?.saturated,
    drainedAt: ground ? pressureAt(ground.drained.over) : Infinity,
    saturatedAt: ground ? pressureAt(ground.saturated.over) : Infinity,
    partAt: weakest ? pressureAt(weakest.over) : Infinity,
    partEnds: weakest?.ends ?? 'part',
    woodAt: wood ? wood.over.map(pressureAt) : [],
    age: wood?.age ?? 0,
    lean,
    strength: 1,
    woodLife: Infinity,
  }
}

const emptyCounts = (pressures: number, years: Years) => ({
  plumbEnds: Array.from({ length: pressures }, () => new Float64Array(years)),
  gone: new Float64Array(years),
  ends: new Float64Array(ENDS.length),
})

/** One life under one pressure: counts the year in which its plumb life ends, and that in which it has gone. */
function live(run: Run, { pressure, side, saturated }: LifeOfWind, years: Years, felt: number, of: number): void {
  const { strength, partAt, partEnds, woodAt, age, woodLife: life } = run
  const [drainedAt, saturatedAt] = [run.drainedAt * strength, run.saturatedAt * strength]
  let lean = run.lean
  let isPlumb = Math.abs(lean) <= OUT_OF_PLUMB
  if (!isPlumb) endPlumb(run, of, 0, 'leans')
  for (let year = 0; year < years; year++) {
    const wood = woodAt.length > 0 ? woodLeft(woodAt, (age + year + 1 - life) / life) : Infinity
    for (let i = year * GUSTS; i < (year + 1) * GUSTS; i++) {
      const p = pressure[i]! * felt
      const isWet = saturated[i] === 1
      const ground = isWet ? saturatedAt : drainedAt
      if (p >= ground || p >= wood || p >= partAt) {
        const by = ground <= wood && ground <= partAt ? 'ground' : wood <= partAt ? 'wood' : partEnds
        if (isPlumb) endPlumb(run, of, year, by)
        if (of === 0) run.gone[year]!++
        return
      }
      if (!isPlumb || ground === Infinity) continue
      lean += side[i]! * leftBy(isWet ? run.saturated! : run.drained!, p / ground)
      if (Math.abs(lean) > OUT_OF_PLUMB) {
        isPlumb = false
        endPlumb(run, of, year, 'leans')
        // Only what is said of it asks when it goes over after that.
        if (of > 0) return
      }
    }
  }
}

function endPlumb(run: Run, of: number, year: number, by: Ends): void {
  run.plumbEnds[of]![year]!++
  if (of === 0) run.ends[ENDS.indexOf(by)]!++
}

/** Pressure at which wood breaks with a share of its thickness gone soft. */
function woodLeft(at: readonly number[], soft: number): number {
  if (soft <= 0) return at[0]!
  const place = Math.min(1, soft) * (at.length - 1)
  const below = Math.min(at.length - 2, Math.floor(place))
  return at[below]! + (place - below) * (at[below + 1]! - at[below]!)
}

/** Rotation that a load leaves, by its share of what turns the post over. */
function leftBy({ left }: GroundInWater, share: number): Radians {
  const place = share * (left.length - 1)
  const below = Math.floor(place)
  const between = left[below]! + (place - below) * (left[below + 1]! - left[below]!)
  return (between * share * share) / (1 - share)
}

function survivedOf({ plumbEnds, gone, ends }: Run, lives: number): Survived {
  const ended = ends.reduce((sum, count) => sum + count, 0)
  return {
    plumb: plumbEnds.map((counts) => [...counts].map(left(lives))),
    gone: [...gone].map(left(lives)).map((share) => 1 - share),
    ends: Object.fromEntries(ENDS.map((by, i) => [by, ended > 0 ? ends[i]! / ended : 0])) as Record<Ends, number>,
  }
}

/** From how many end in each year to the share that is left. */
function left(lives: number): (count: number) => number {
  let still = lives
  return (count) => {
    still -= count
    return still / lives
  }
}
