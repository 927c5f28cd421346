import { strengthShare, shareWanted } from '../concrete/setting'
import { hardenedBy, milestoneTime, minutesUntil, WET_MARKS, type Span, type WetMark } from '../concrete/wetClock'
import type { Pour } from '../document/job'
import { GROUND_TEMPERATURE } from '../plan/steps'
import type { Tables } from '../tables/tables'
import type { Minutes, Pascals } from '../units/types'
import { groundSpans, joinedAir, MINUTE_MS, type HourlyAir, type Moment } from '../weather/forecast'
import { LOAD_MILESTONES, settingOf, type LoadMilestone, type PourSetting } from './setting'

/** A moment at which something of a pour is due; null where it never comes. */
export interface PourMark {
  key: WetMark
  says: string
  at: Moment | null
}

export interface PourMilestone {
  key: LoadMilestone['key'] | 'cured'
  says: string
  at: Moment
  earliest: Moment
  /** Null where lasting frost keeps it from coming. */
  latest: Moment | null
}

/** Everything that a pour and the weather say of it at a moment. */
export interface PourClock {
  pour: Pour
  name: string
  start: Moment
  /** Check both faces, last touch, hands off. */
  marks: PourMark[]
  /** When it can no longer be moved: as seen, as said, else as reckoned; null where it never stiffens. */
  stiff: Moment | null
  /** Left in which it can be moved; 0 once it cannot. */
  minutesLeft: Minutes | null
  /** Of the working time, from 0 to 1. */
  passed: number
  stage: 'wet' | 'check' | 'last-touch' | 'set'
  milestones: PourMilestone[]
  /** Share of the 28-day strength that it has, and that in Pa where it is known; nothing of a resin. */
  share?: number
  strength?: Pascals
  /** No forecast and no typed temperature stands behind it. */
  isAssumed: boolean
}

const held = (temperature: number): Span[] => [{ minutes: 60, temperature }]

/**
 * The clock of one pour at a moment.
 *
 * The working time goes by the typed temperature of the mix, else by the air that it was reckoned with; the milestones
 * by the newest forecast, else by what it was reckoned with, else by the typed one.
 *
 * @param air the newest that is known of it
 * @returns undefined for a mix that the tables no longer have
 * @example post-mix-20 at 5 °C held: stiff 17.1 minutes after the start
 */
export function pourClock(
  pour: Pour,
  now: Moment,
  tables: Pick<Tables, 'mixes' | 'resins'>,
  air?: HourlyAir,
): PourClock | undefined {
  const setting = settingOf(pour, tables)
  if (!setting) return undefined
  const start = Date.parse(pour.startedAt)
  const spans = spansOf(pour, start, air)
  const marks = WET_MARKS.map(({ key, share, says }): PourMark => {
    const after = minutesUntil(share * setting.works, spans.working, setting.rateOf)
    return { key, says, at: after === null ? null : start + after * MINUTE_MS }
  })
  const stiff = endOf(pour, marks.at(-1)!.at)
  const since = Math.max(0, (now - start) / MINUTE_MS)
  const isSet = stiff !== null && now >= stiff
  const passed = isSet ? 1 : Math.min(1, hardenedBy(since, spans.working, setting.rateOf) / setting.works)
  return {
    pour,
    name: setting.name,
    start,
    marks,
    stiff,
    minutesLeft: stiff === null ? null : Math.max(0, (stiff - now) / MINUTE_MS),
    passed,
    stage: isSet ? 'set' : stageOf(passed),
    milestones: milestonesOf(setting, spans.curing, start),
    ...strengthAt(setting, spans.curing, since),
    isAssumed: spans.isAssumed,
  }
}

/**
 * Share of its 28-day strength that a pour will have at a moment; 0 of a resin, and of a mix that there is no more.
 *
 * @param air the newest that is known of it
 */
export function shareAt(pour: Pour, at: Moment, tables: Pick<Tables, 'mixes' | 'resins'>, air?: HourlyAir): number {
  const setting = settingOf(pour, tables)
  if (!setting) return 0
  const start = Date.parse(pour.startedAt)
  const since = Math.max(0, (at - start) / MINUTE_MS)
  return strengthAt(setting, spansOf(pour, start, air).curing, since).share ?? 0
}

/** Somebody who saw it stiff, or took the hands off, knows better than any sum. */
function endOf({ stiffAt, handsOffAt }: Pour, reckoned: Moment | null): Moment | null {
  const seen = [stiffAt, handsOffAt].flatMap((at) => (at === undefined ? [] : [Date.parse(at)]))
  return seen.length > 0 ? Math.min(...seen) : reckoned
}

const stageOf = (passed: number): PourClock['stage'] =>
  passed >= WET_MARKS[1].share ? 'last-touch' : passed >= WET_MARKS[0].share ? 'check' : 'wet'

function spansOf({ temperature, reckoned }: Pour, start: Moment, newest: HourlyAir | undefined) {
  const kept = reckoned && reckoned.temperatures.length > 0 ? reckoned : undefined
  const air = joinedAir(kept, newest)
  const typed = temperature === undefined ? undefined : held(temperature)
  const first = kept ?? newest
  const assumed = held(GROUND_TEMPERATURE)
  return {
    working: typed ?? (first ? groundSpans(first, start) : assumed),
    curing: air ? groundSpans(air, start) : (typed ?? assumed),
    isAssumed: !air && !typed,
  }
}

function milestonesOf({ concrete, cures }: PourSetting, spans: readonly Span[], start: Moment): PourMilestone[] {
  const moment = (minutes: Minutes) => start + minutes * MINUTE_MS
  if (cures) {
    const after = minutesUntil(cures.wanted, spans, cures.rateOf)
    return after === null || !Number.isFinite(after)
      ? []
      : [
          {
            key: 'cured',
            says: 'cured: tighten, load',
            at: moment(after),
            earliest: moment(after),
            latest: moment(after),
          },
        ]
  }
  return LOAD_MILESTONES.flatMap((milestone): PourMilestone[] => {
    const wanted = shareWanted(milestone, concrete!.strength)
    const found = wanted === null ? null : milestoneTime(wanted, concrete!.hardening, spans)
    if (!found) return []
    const { at, earliest, latest } = found
    const { key, says } = milestone
    return [{ key, says, at: moment(at), earliest: moment(earliest), latest: latest === null ? null : moment(latest) }]
  })
}

function strengthAt(
  { concrete }: PourSetting,
  spans: readonly Span[],
  since: Minutes,
): { share?: number; strength?: Pascals } {
  if (!concrete) return {}
  const share = strengthShare(hardenedBy(since, spans) / 60, concrete.hardening)
  return { share, ...(concrete.strength === undefined ? {} : { strength: share * concrete.strength }) }
}
