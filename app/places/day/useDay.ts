import { computed, ref, shallowRef } from 'vue'
import type { useJobSession } from '~/job/openJob'
import { sharedByJob } from '~/job/sharedByJob'
import { usePours } from '~/pours/pours'
import { timeNow } from '~/sync/clock'
import { storage } from '~/sync/device'
import type { JobView } from '~/job/jobView'
import type { DayBound } from '~~/core/day/bound'
import { bindings } from '~~/core/day/binds'
import { breaches } from '~~/core/day/check'
import { goalOf } from '~~/core/day/goal'
import { problemOf } from '~~/core/day/problem'
import type { DayQuestion } from '~~/core/day/question'
import { daysLeft, keptPlan, pinEdits, planEdits } from '~~/core/day/keptPlan'
import { midnightIn } from '~~/core/day/midnight'
import { dayPosts, type DayJob } from '~~/core/day/posts'
import { dayQuestion, dayTasks } from '~~/core/day/setup'
import type { DaySetup } from '~~/core/document/job'
import { InputError } from '~~/core/errors'
import { planner } from '~~/core/plan/plan'
import { resolveJob } from '~~/core/resolve/resolve'
import { useDayWork } from './useDayWork'
import { dayEdit, type DayValue } from '~~/core/edit/keyed'

type Session = ReturnType<typeof useJobSession>

/** The days of an open job: what is asked, what is planned, and what that comes to. */
function createDay(session: Session, view: JobView) {
  const pours = usePours()
  const work = useDayWork()
  const setup = computed<DaySetup>(() => session.job?.day ?? {})
  const zone = computed(() => session.job?.site?.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone)
  /** Where nobody said: the next day, since a plan for a morning that is over helps nobody. */
  const first = computed(() => setup.value.first ?? dateIn(timeNow() + DAY, zone.value))
  const midnight = computed(() => midnightIn(first.value, zone.value))

  /** Jobs of the same site that are worked on in the same days, as this device has them. */
  const beside = shallowRef<DayJob[]>([])
  const neighbours = shallowRef<{ id: string; name: string }[]>([])
  async function loadBeside(): Promise<void> {
    const kept = await storage.keep(() => storage.jobs.toArray())
    const site = session.job?.site
    const same = kept.filter(
      ({ id, job }) => id !== session.id && job.site?.name === site?.name && job.site?.place === site?.place,
    )
    neighbours.value = same.map(({ id, job }) => ({ id, name: job.name }))
    const wanted = new Set(setup.value.beside ?? [])
    beside.value = same
      .filter(({ id }) => wanted.has(id))
      .map(({ id, job }) => {
        const resolved = resolveJob(job, view.tables.value)
        return { prefix: `${id}/`, job, resolved, plan: planner(view.tables.value)(job, resolved) }
      })
  }
  void loadBeside()

  const posts = computed(() => {
    const [job, resolved, plan] = [view.job.value, view.resolved.value, view.plan.value]
    if (!job || !resolved || !plan) return []
    const air = pours.air.value
    return [{ prefix: '', job, resolved, plan }, ...beside.value].flatMap((each) =>
      dayPosts({ ...each, air }, view.tables.value),
    )
  })
  const hours = computed(() => pours.weather.forecast.value?.hours ?? [])
  const question = computed<DayQuestion | InputError | undefined>(() => {
    const asked = dayQuestion(
      posts.value,
      { ...setup.value, first: first.value },
      { midnight: midnight.value, hours: hours.value },
      view.tables.value,
    )
    if (asked.tasks.length === 0) return undefined
    try {
      problemOf(asked)
      return asked
    } catch (error) {
      if (error instanceof InputError) return error
      throw error
    }
  })
  const asked = computed(() => (question.value instanceof InputError ? undefined : question.value))
  /** What is done of all there is to do: ticked off, or poured. */
  const done = computed(() => {
    const { tasks, done: known } = dayTasks(posts.value, setup.value, midnight.value, view.tables.value)
    const left = new Set(asked.value?.tasks.map(({ id }) => id))
    return tasks.filter(({ id }) => !left.has(id)).map((task) => ({ task, at: known.get(task.id)?.at }))
  })
  const poured = computed(() => posts.value.flatMap(({ address, poured: of }) => (of ? [{ address, at: of.at }] : [])))
  const wrong = computed(() => (question.value instanceof InputError ? question.value : undefined))

  /** While a block is pulled: where it would lie. */
  const tried = ref<{ task: string; start: number }>()
  const plan = computed(() => asked.value && keptPlan(asked.value, setup.value.planned ?? {}, tried.value))
  const breaks = computed(() => (asked.value && plan.value ? breaches(asked.value, plan.value) : []))
  const goal = computed(() => (asked.value && plan.value ? goalOf(plan.value, problemOf(asked.value)) : undefined))
  const binds = computed(() => (asked.value && plan.value ? bindings(asked.value, plan.value) : []))
  const bound = shallowRef<DayBound>()

  const set = <K extends keyof DaySetup>(key: K, value: DayValue<K>) => session.edit([dayEdit(key, value)])

  async function planAnew(): Promise<void> {
    if (!asked.value) return
    bound.value = undefined
    // A plan that is made while the forecast is on its way would be broken by it a second later.
    if (!(await work.waitFor(pours.weather.newest())) || !asked.value) return
    // Of what is over nothing is planned, nor are the hours of this day that have gone by.
    const today = dateIn(timeNow(), zone.value)
    const left = daysLeft(setup.value, first.value, today)
    const wanted = dayQuestion(
      posts.value,
      left.setup,
      {
        midnight: midnightIn(left.begins, zone.value),
        hours: hours.value,
        ...(left.begins === today ? { from: timeNow() } : {}),
      },
      view.tables.value,
    )
    const found = await work.plan(wanted)
    if (!found) return
    bound.value = found.bound
    const at = new Date(timeNow()).toISOString()
    await session.edit(planEdits(left, { first: first.value, placed: found.plan.placed, at }))
  }
  /** A task set by hand: it stays there when the rest is planned anew. */
  async function pin(task: string, start: number): Promise<void> {
    tried.value = undefined
    if (!asked.value || !plan.value) return
    bound.value = undefined
    await session.edit(pinEdits(asked.value, setup.value, { task, start }))
  }
  /** Ticks a task off, or takes the tick back. */
  const tick = (task: string, isDone: boolean) => {
    const others = (setup.value.done ?? []).filter((each) => each.task !== task)
    const ticks = isDone ? [...others, { task, at: new Date(timeNow()).toISOString() }] : others
    return set('done', ticks.length > 0 ? ticks : null)
  }
  const unpin = (task: string) => {
    const left = (setup.value.pins ?? []).filter((each) => each.task !== task)
    return set('pins', left.length > 0 ? left : null)
  }

  return {
    work,
    setup,
    first,
    midnight,
    zone,
    posts,
    asked,
    wrong,
    plan,
    breaks,
    goal,
    binds,
    bound,
    tried,
    set,
    planAnew,
    pin,
    unpin,
    done,
    poured,
    tick,
    neighbours,
    loadBeside,
  }
}
/** The drawing and the panel share one. */
export const useDay = sharedByJob(createDay)
export type Day = ReturnType<typeof useDay>

const DAY = 24 * 60 * 60_000

/** @example dateIn(Date.UTC(2026, 10, 27), 'UTC') // '2026-11-27' */
const dateIn = (at: number, timeZone: string): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(at)
