import { ref, shallowRef, watch } from 'vue'
import { refDebounced } from '@vueuse/core'
import { api, type ListQuery, type Refusal } from '~/sync/api'
import { queue, storage } from '~/sync/device'
import { EDITS } from '~/sync/edits'
import { NEW_JOB } from '~/sync/newJobs'
import { PICTURE } from '~/sync/pictures'
import type { KeptJob } from '~/sync/storage'
import { jobSummary } from '~~/core/document/summary'
import { tables } from '~~/data/tables'
import type { ListedJob } from '~~/shared/contract'

/** Asked for what is typed only when the typing rests, ms. */
const RESTS = 200
/** How many of those that need somebody are named. */
const NAMED = 5

/** The jobs of the server, page by page as they are scrolled to; those of this device where there is no signal. */
export function useJobList() {
  const jobs = shallowRef<ListedJob[]>()
  const needing = shallowRef<ListedJob[]>([])
  const failure = ref('')
  const search = ref('')
  /** Whether those that were put away are shown in place of the others. */
  const away = ref(false)
  const wanted = refDebounced(search, RESTS)
  let next: string | undefined
  let asked = 0

  async function load(): Promise<void> {
    const mine = ++asked
    try {
      const [unsent, page, needs] = await Promise.all([
        away.value ? [] : unsentJobs(wanted.value),
        api.listJobs(query()),
        away.value ? { jobs: [] } : api.listJobs({ needing: 'yes' }),
      ])
      // A later question has been asked meanwhile.
      if (mine !== asked) return
      jobs.value = [...unsent.filter(({ id }) => !page.jobs.some((each) => each.id === id)), ...page.jobs]
      next = page.next
      needing.value = needs.jobs.slice(0, NAMED)
      failure.value = ''
    } catch (error) {
      if (mine !== asked) return
      failure.value = (error as Refusal).message
      jobs.value = away.value ? [] : await keptJobs(wanted.value)
      needing.value = jobs.value.filter(({ summary }) => summary.undecided > 0).slice(0, NAMED)
      next = undefined
    }
  }

  async function more(): Promise<void> {
    if (next === undefined) return
    const [mine, after] = [asked, next]
    next = undefined
    try {
      const page = await api.listJobs({ ...query(), after })
      if (mine !== asked) return
      jobs.value = [...(jobs.value ?? []), ...page.jobs]
      next = page.next
    } catch (error) {
      failure.value = (error as Refusal).message
      next = after
    }
  }

  const query = (): ListQuery => ({
    ...(wanted.value.trim() ? { search: wanted.value.trim() } : {}),
    ...(away.value ? { deleted: 'yes' } : {}),
  })
  watch([wanted, away], load)
  // What was made here has come to the server, or waits anew.
  watch(() => queue.waiting(NEW_JOB), load)

  /** Puts a job away, or takes it back. */
  async function put({ id }: ListedJob, isAway: boolean): Promise<void> {
    try {
      await (isAway ? api.deleteJob(id) : api.restoreJob(id))
      if (isAway && waitingOf(id) === 0) await storage.keep(() => storage.jobs.delete(id))
    } catch (error) {
      failure.value = (error as Refusal).message
      return
    }
    await load()
  }
  return { jobs, needing, failure, search, away, load, more, put }
}

/** What this device has not yet sent of a job. */
export const waitingOf = (id: string): number =>
  queue.waiting(NEW_JOB, id) + queue.waiting(EDITS, id) + queue.waiting(PICTURE, id)

/** Jobs that this device has opened before: they open without a signal. */
async function keptJobs(words: string): Promise<ListedJob[]> {
  return listed(await storage.keep(() => storage.jobs.toArray()), words)
}

/** Those that were made here, and that the server has not heard of. */
async function unsentJobs(words: string): Promise<ListedJob[]> {
  const rows = await storage.keep(() => storage.outbox.where({ kind: NEW_JOB }).toArray())
  const kept = await storage.keep(() => storage.jobs.bulkGet(rows.map(({ topic }) => topic)))
  return listed(
    kept.flatMap((each) => each ?? []),
    words,
  )
}

function listed(kept: readonly KeptJob[], words: string): ListedJob[] {
  return kept
    .map(({ id, version, job }) => ({
      id,
      version,
      name: job.name,
      siteName: job.site?.name ?? '',
      summary: jobSummary(job, tables.causes),
      updatedAt: '',
    }))
    .filter(({ name, siteName }) => `${name} ${siteName}`.toLowerCase().includes(words.trim().toLowerCase()))
}
