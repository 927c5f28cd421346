import { groundTemperatures, hardeningRate } from '../concrete/setting'
import { HARD_RAIN, HOT, LOOSE_GUST, type DayMinute, type DayQuestion, type Milestones, type Task } from './question'

/** How long pours take and when they carry what, whenever they start: looked up, since a search asks thousands of times. */
export interface ConcreteTime {
  /** Whole minutes of a task that starts then; Infinity of a pour that never stiffens. */
  minutesOf: (task: Task, start: DayMinute) => number
  /** The first whole minute at which what was poured at `start` surely carries something; Infinity where never. */
  carries: (pour: Task, milestone: keyof Milestones, start: DayMinute) => DayMinute
  /** Whether the weather lets it start then. */
  mayStart: (task: Task, start: DayMinute) => boolean
  /** The first minute from which no gust over what loose things stand blows; `from` where none does until `to`. */
  calmFrom: (from: DayMinute, to: DayMinute) => DayMinute
}

/** So many hours behind the forecast its last day is held. */
const HELD_HOURS = 60 * 24
const DAY = 24

export function concreteTime({ weather, before, shaded, covered }: DayQuestion): ConcreteTime {
  const air = [...before, ...weather.map(({ temperature }) => temperature)]
  const ground = groundTemperatures(air).slice(before.length)
  const lastDay = ground.slice(-DAY)
  const held = hardeningRate(lastDay.reduce((sum, celsius) => sum + celsius, 0) / Math.max(1, lastDay.length))
  const rates = [...ground.map(hardeningRate), ...new Array<number>(HELD_HOURS).fill(held)]
  // Minutes at 20 °C from minute 0 to the start of each hour.
  const sums = [0]
  for (const rate of rates) sums.push(sums.at(-1)! + 60 * rate)

  const aged = (minute: DayMinute): number => {
    const hour = Math.min(rates.length - 1, Math.floor(minute / 60))
    return sums[hour]! + (minute - hour * 60) * rates[hour]!
  }
  /** The moment at which so many minutes at 20 °C have passed since `start`. */
  function passes(start: DayMinute, wanted: number): DayMinute {
    const goal = aged(start) + wanted
    let [low, high] = [Math.floor(start / 60), rates.length]
    if (sums[high]! < goal) return Infinity
    while (low + 1 < high) {
      const middle = (low + high) >> 1
      if (sums[middle]! < goal) low = middle
      else high = middle
    }
    if (wanted <= 0) return start
    return rates[low]! > 0 ? low * 60 + (goal - sums[low]!) / rates[low]! : low * 60
  }
  const whole = (minute: number) => Math.ceil(minute - 1e-9)

  const isFrosty = weather.map(({ temperature }) => temperature < 0)
  const isWindy = weather.map(({ gust }) => gust > LOOSE_GUST)
  const nextFrost = nextOf(isFrosty)

  const carries: ConcreteTime['carries'] = (pour, milestone, start) => {
    const wanted = pour.pour?.milestones[milestone]
    return wanted === undefined ? Infinity : whole(passes(start, wanted))
  }
  return {
    minutesOf({ minutes, pour }, start) {
      if (!pour) return minutes
      return Math.max(minutes, pour.placing, whole(passes(start, pour.works)) - start)
    },
    carries,
    mayStart(task, start) {
      if (!task.pour) return true
      const hour = Math.floor(start / 60)
      const now = weather[hour]
      if (!now) return true
      if (now.rain > HARD_RAIN || (now.temperature > HOT && !shaded)) return false
      if (covered) return true
      const safe = task.pour.milestones.frostSafe ?? task.pour.milestones.props
      const until = safe === undefined ? Infinity : passes(start, safe)
      return (nextFrost[hour] ?? Infinity) * 60 >= until
    },
    calmFrom(from, to) {
      let calm = from
      for (let hour = Math.floor(from / 60); hour * 60 < to; hour++) if (isWindy[hour]) calm = (hour + 1) * 60
      return calm
    },
  }
}

/** For each hour the first one from it on that is so. */
function nextOf(is: readonly boolean[]): number[] {
  const next = new Array<number>(is.length).fill(Infinity)
  for (let hour = is.length - 1; hour >= 0; hour--) next[hour] = is[hour] ? hour : (next[hour + 1] ?? Infinity)
  return next
}
