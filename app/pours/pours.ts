import { computed, inject, provide, ref, watch, type InjectionKey } from 'vue'
import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import type { OpenJob } from '~/job/openJob'
import { timeNow } from '~/sync/clock'
import { useForecast } from '~/weather/useForecast'
import { minutesUntil } from '~~/core/concrete/wetClock'
import { pourClock, shareAt, type PourClock } from '~~/core/pour/clock'
import { GROUND_TEMPERATURE } from '~~/core/plan/steps'
import { greenHolds, isPropped } from '~~/core/pour/holds'
import { nextStart, pourOrder, wantsOf, type Start } from '~~/core/pour/order'
import { plannedPours, pourAt, type PlannedPour } from '~~/core/pour/planned'
import { settingOf } from '~~/core/pour/setting'
import { pourWarnings, type PourWarning } from '~~/core/pour/warnings'
import type { Pour } from '~~/core/document/job'
import { airOf, groundSpans, HOUR_MS, MINUTE_MS, type Moment } from '~~/core/weather/forecast'

/** The clocks run on by the second. */
const TICK = 1_000
/** What has stood for so long needs nobody's hands any more. */
const GREEN_DAYS = 35

/** °C of the mix as somebody typed it, for this day's pours; empty where nobody did. */
const typed = useLocalStorage<{ celsius: number; day: string } | null>('vindex-mix-temperature', null, {
  serializer: { read: (text) => JSON.parse(text) as never, write: JSON.stringify },
})
/** How many here can read a level, and until when they stay, minutes of the day. */
const people = useLocalStorage('vindex-level-readers', 1)
const untilMinute = useLocalStorage('vindex-here-until', 17 * 60)

/** Everything that is wet, green or still to be poured in an open job, by the second. */
export function createPours({ session, view }: OpenJob) {
  const now = ref(timeNow())
  const tick = () => (now.value = timeNow())
  useIntervalFn(tick, TICK)
  // What was noted this moment is not ahead of the clock.
  watch(() => session.job?.pours, tick, { flush: 'sync' })
  const weather = useForecast(() => session.job?.site?.place)
  const air = computed(() => weather.forecast.value && airOf(weather.forecast.value))

  const recent = computed(() =>
    (session.job?.pours ?? []).filter(({ startedAt }) => Date.parse(startedAt) > now.value - GREEN_DAYS * 24 * HOUR_MS),
  )
  const clocks = computed<PourClock[]>(() =>
    recent.value
      .filter((pour) => pourAt(session.job!, pour.line, pour.post)?.id === pour.id)
      .flatMap((pour) => pourClock(pour, now.value, view.tables.value, air.value) ?? [])
      .sort((a, b) => dueAt(a, now.value) - dueAt(b, now.value)),
  )
  const wet = computed(() => clocks.value.filter(({ stage }) => stage !== 'set'))
  const clockOf = (line: string, post: string) =>
    clocks.value.find(({ pour }) => pour.line === line && pour.post === post)

  const planned = computed<PlannedPour[]>(() =>
    view.plan.value && view.resolved.value
      ? plannedPours(view.resolved.value.lines, view.plan.value, view.tables.value)
      : [],
  )
  const waiting = computed(() =>
    pourOrder(planned.value.filter(({ line, post }) => !session.job || !pourAt(session.job, line, post))),
  )

  /** Today's own warmth of the mix, where somebody held a thermometer into it. */
  const today = computed(() => new Date(now.value).toISOString().slice(0, 10))
  const temperature = computed(() => (typed.value?.day === today.value ? typed.value.celsius : undefined))
  const setTemperature = (celsius: number | undefined) =>
    (typed.value = celsius === undefined ? null : { celsius, day: today.value })

  const spansFrom = (start: Moment) => {
    if (temperature.value !== undefined) return [{ minutes: 60, temperature: temperature.value }]
    return air.value ? groundSpans(air.value, start) : [{ minutes: 60, temperature: GROUND_TEMPERATURE }]
  }
  const until = computed(() => {
    const midnight = new Date(now.value)
    midnight.setHours(0, 0, 0, 0)
    return midnight.getTime() + untilMinute.value * MINUTE_MS
  })
  const settingFor = ({ mix }: Pick<PlannedPour, 'mix'>) => settingOf({ mix, lifts: [] }, view.tables.value)
  function startOf(each: PlannedPour): Start | undefined {
    const setting = settingFor(each)
    const wants = wet.value.flatMap((clock) => wantsOf(clock) ?? [])
    return setting && nextStart(setting, wants, now.value, { spansFrom, until: until.value, people: people.value })
  }
  /** Minutes from a start now until it can no longer be moved. */
  function workingMinutes(each: Pick<PlannedPour, 'mix'>): number | null {
    const setting = settingFor(each)
    return setting ? minutesUntil(setting.works, spansFrom(now.value), setting.rateOf) : null
  }

  /** What the weather may do to each pour, looked at once a minute. */
  const minute = computed(() => Math.floor(now.value / MINUTE_MS) * MINUTE_MS)
  const warnings = computed<ReadonlyMap<string, PourWarning[]>>(() => {
    const forecast = weather.forecast.value
    if (!forecast) return new Map()
    return new Map(
      recent.value.flatMap((pour) => {
        const clock = pourClock(pour, minute.value, view.tables.value, air.value)
        return clock ? [[pour.id, pourWarnings(clock, forecast, minute.value, holdsOf(pour))] as const] : []
      }),
    )
  })
  function holdsOf(pour: Pour) {
    const isThat = (each: { line: string; post: string }) => each.line === pour.line && each.post === pour.post
    const plan = view.plan.value?.posts.find(isThat)
    const method = planned.value.find(isThat)?.method
    return (at: Moment) =>
      plan && greenHolds(plan, method, shareAt(pour, at, view.tables.value, air.value), isPropped(pour))
  }

  return {
    now,
    weather,
    air,
    clocks,
    wet,
    clockOf,
    planned,
    waiting,
    temperature,
    setTemperature,
    startOf,
    workingMinutes,
    warnings,
    people,
    untilMinute,
  }
}
export type Pours = ReturnType<typeof createPours>

/** When a pour wants somebody next; one that is only green comes behind all that are wet. */
export function dueAt(
  { marks, stage, milestones }: Pick<PourClock, 'marks' | 'stage' | 'milestones'>,
  now: Moment,
): Moment {
  if (stage !== 'set') return marks.find(({ at }) => at !== null && at > now)?.at ?? Infinity
  const next = milestones.map(({ at }) => at).filter((at) => at > now)
  return BEHIND_THE_WET + Math.min(...next, FAR)
}

const BEHIND_THE_WET = 1e15
const FAR = 1e14

const POURS: InjectionKey<Pours> = Symbol('pours')
/** Once for the page of a job: its clocks run whichever place is open. */
export function providePours(open: OpenJob): Pours {
  const pours = createPours(open)
  provide(POURS, pours)
  return pours
}
export function usePours(): Pours {
  const pours = inject(POURS)
  if (!pours) throw new Error('This belongs into the page of a job')
  return pours
}
