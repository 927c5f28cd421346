import {
  computed,
  inject,
  onScopeDispose,
  provide,
  proxyRefs,
  shallowRef,
  type InjectionKey,
  type ShallowUnwrapRef,
} from 'vue'
import { refThrottled } from '@vueuse/core'
import { SUBJECT } from '~/controls/measuring'
import { usePreferencesStore } from '~/session/preferences'
import { api } from '~/sync/api'
import { edits, queue, storage } from '~/sync/device'
import { newIdentity } from '~/sync/identity'
import { useTables } from '~/yard/useYard'
import type { Job } from '~~/core/document/job'
import { notedWith } from '~~/core/record/noted'
import { createJobView, type JobView } from './jobView'
import { localSession } from './localSession'
import { openSession, type JobSession } from './session'
import { useOthersEdits } from './useOthersEdits'

/** A job that is open, with the post that is looked at. */
export interface OpenJob {
  session: ShallowUnwrapRef<JobSession>
  view: JobView
}

const OPEN_JOB: InjectionKey<OpenJob> = Symbol('open job')
/** For what stands outside of the job's page: the finder, the keys. */
const inHand = shallowRef<OpenJob>()

/**
 * Opens a job for a page and all within it; it is closed when the page goes.
 *
 * @param showsRepair whether the drawing shows the repair in hand, or the post as it stands
 */
export function provideOpenJob(id: string, showsRepair: () => boolean): OpenJob {
  const tablesHere = useTables()
  const session = openSession(id, { storage, queue, edits, api, tables: () => tablesHere.value })
  useOthersEdits(session)
  const preferences = usePreferencesStore()
  /** What the record wants to know of an edit goes with it: one step, done and undone together. */
  const edit: JobSession['edit'] = (commands) =>
    session.edit(
      session.job.value
        ? [...commands, ...notedWith(session.job.value, commands, preferences.signed(), newIdentity)]
        : commands,
    )
  const open: OpenJob = {
    session: proxyRefs({ ...session, edit }),
    view: createJobView(session, tablesHere, showsRepair),
  }
  provide(OPEN_JOB, open)
  provide(SUBJECT, () => open.view.post.value?.id)
  inHand.value = open
  onScopeDispose(() => {
    session.close()
    // The page of the next job may be there already.
    if (inHand.value === open) inHand.value = undefined
  })
  return open
}

/**
 * A job that is nobody's: on this screen alone, never kept or sent, for whoever practises.
 *
 * @param post that is looked at
 */
export function provideLocalJob(job: Job, post: string): OpenJob {
  const tablesHere = useTables()
  const session = localSession(job)
  const open: OpenJob = { session: proxyRefs(session), view: createJobView(session, tablesHere, () => false) }
  provide(OPEN_JOB, open)
  provide(SUBJECT, () => open.view.post.value?.id)
  open.view.choose(post)
  return open
}

function useOpenJob(): OpenJob {
  const open = inject(OPEN_JOB)
  if (!open) throw new Error('This belongs into the page of a job')
  return open
}

/** The open job that a component stands in: whatever is opened later, its edits go there. */
export const useJobSession = () => useOpenJob().session
export const useJobView = () => useOpenJob().view
export const useJobInHand = () => inHand

/** Nobody reads figures that change more often, ms. */
const READABLE = 100

/**
 * While something is pulled on the drawing the figures beside it follow ten times a second, for the component that calls
 * this and all within it; otherwise they are what the view says.
 */
export function provideCalmView(): void {
  const { session, view } = useOpenJob()
  const live = computed(() => ({
    job: view.job.value,
    resolved: view.resolved.value,
    plan: view.plan.value,
    posts: view.posts.value,
    line: view.line.value,
    post: view.post.value,
    postPlan: view.postPlan.value,
    methodInHand: view.methodInHand.value,
    detail: view.detail.value,
    target: view.target.value,
    assumed: view.assumed.value,
  }))
  const eased = refThrottled(live, READABLE)
  const shown = computed(() => (view.isTrying.value ? eased.value : live.value))
  const calm = Object.fromEntries(
    (Object.keys(live.value) as (keyof typeof live.value)[]).map((key) => [key, computed(() => shown.value[key])]),
  )
  provide(OPEN_JOB, { session, view: { ...view, ...calm } })
}
