import { applyCommands, inverseOfAll } from '~~/core/edit/apply'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { InputError } from '~~/core/errors'
import { type Command } from '~~/core/edit/commands'
import { rebase, type Conflict } from '~~/core/edit/rebase'
import type { Job } from '~~/core/document/job'
import { api, Refusal } from '~/sync/api'
import { checkEdit } from '~~/core/edit/check'
import { tables } from '~~/data/tables'
import { newIdentity } from '~/sync/identity'
import { plain, storage, type WaitingBatch } from '~/sync/storage'

/** Pauses between tries while the server does not answer, ms. */
const FIRST_PAUSE = 500
const LONGEST_PAUSE = 8_000
const STEPS_BACK = 200

/**
 * The job in hand: what the server has, what waits to be sent on top of it, and the way back.
 *
 * An edit is first kept on this device, then shown, then sent in order. `saved` is said only of
 * what the server has confirmed.
 */
export const useJobStore = defineStore('job', () => {
  const id = ref('')
  const version = ref(0)
  const base = shallowRef<Job>()
  const waiting = shallowRef<WaitingBatch[]>([])
  const conflicts = shallowRef<Conflict[]>([])
  const undoSteps = shallowRef<Command[][]>([])
  const redoSteps = shallowRef<Command[][]>([])
  const job = shallowRef<Job>()
  /** Why the job could not be opened, and why an edit was not accepted. */
  const failure = ref('')
  const refused = ref('')
  const merged = ref(false)
  const reachable = ref(true)
  let sending = false
  let pause = FIRST_PAUSE
  let timer: ReturnType<typeof setTimeout> | undefined

  const saveSign = computed(() => {
    if (conflicts.value.length > 0) return 'conflict'
    if (waiting.value.length > 0) return 'waiting'
    return 'saved'
  })

  async function open(jobId: string): Promise<void> {
    if (id.value === jobId && job.value) return refresh()
    clearTimeout(timer)
    id.value = jobId
    job.value = base.value = undefined
    failure.value = refused.value = ''
    const kept = await storage.jobs.get(jobId)
    waiting.value = await storage.waiting.where({ jobId }).sortBy('order')
    conflicts.value = (await storage.conflicts.get(jobId))?.conflicts ?? []
    const wayBack = await storage.wayBack.get(jobId)
    undoSteps.value = wayBack?.undo ?? []
    redoSteps.value = wayBack?.redo ?? []
    if (kept) await settle(kept.job, kept.version)
    await refresh()
  }

  /** Takes the server's copy if it has moved on and nothing waits here. */
  async function refresh(): Promise<void> {
    if (waiting.value.length > 0) return flush()
    try {
      const read = await api.readJob(id.value)
      reachable.value = true
      if (read.id === id.value && waiting.value.length === 0 && read.version !== version.value)
        await settle(read.job, read.version)
    } catch (error) {
      const refusal = error as Refusal
      reachable.value = !refusal.passing
      if (!job.value) failure.value = refusal.message
    }
  }

  /** The server has this version; what waits goes on top. */
  async function settle(document: Job, at: number): Promise<void> {
    stand(document, at)
    await storage.jobs.put(keptJob())
  }
  function stand(document: Job, at: number): void {
    base.value = document
    version.value = at
    job.value = applyCommands(
      document,
      waiting.value.flatMap((batch) => batch.commands),
    )
  }
  const keptJob = () => ({ id: id.value, version: version.value, job: plain(base.value!) })

  /**
   * @returns what is wrong with the edit, in which case nothing has changed
   */
  async function edit(commands: Command[]): Promise<InputError | undefined> {
    const before = job.value
    if (!before) return undefined
    const error = checkEdit(before, commands, tables)
    if (error) return error
    const inverse = inverseOfAll(before, commands)
    await enqueue(commands)
    undoSteps.value = [...undoSteps.value, inverse].slice(-STEPS_BACK)
    redoSteps.value = []
    await keepWayBack()
    return undefined
  }

  async function enqueue(commands: Command[]): Promise<void> {
    const batch: WaitingBatch = { id: newIdentity(), jobId: id.value, commands: plain(commands) }
    // Shown at once; sent when this device has kept it; called saved after the server's answer.
    job.value = applyCommands(job.value!, batch.commands)
    waiting.value = [...waiting.value, batch]
    const order = await storage.waiting.add({ ...batch })
    if (waiting.value.some((each) => each.id === batch.id)) {
      waiting.value = waiting.value.map((each) => (each.id === batch.id ? { ...each, order } : each))
    } else await storage.waiting.where({ id: batch.id }).delete()
    void flush()
  }

  async function step(from: typeof undoSteps, to: typeof redoSteps): Promise<void> {
    const commands = from.value[from.value.length - 1]
    if (!commands || !job.value) return
    const inverse = inverseOfAll(job.value, commands)
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, inverse]
    await enqueue(commands)
    await keepWayBack()
  }
  const undo = () => step(undoSteps, redoSteps)
  const redo = () => step(redoSteps, undoSteps)

  const keepWayBack = () =>
    storage.wayBack.put({ jobId: id.value, undo: plain(undoSteps.value), redo: plain(redoSteps.value) })

  /** Sends what waits, oldest first, one batch at a time. */
  async function flush(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(timer)
    try {
      while (waiting.value[0]?.order !== undefined && base.value) await sendFirst()
      reachable.value = true
      pause = FIRST_PAUSE
    } catch (error) {
      if (!(error instanceof Refusal) || !error.passing) throw error
      reachable.value = false
      timer = setTimeout(() => void flush(), pause)
      pause = Math.min(LONGEST_PAUSE, pause * 2)
    } finally {
      sending = false
    }
  }

  async function sendFirst(): Promise<void> {
    const [batch] = waiting.value
    const jobId = id.value
    try {
      const answer = await api.send(jobId, version.value, batch!)
      if (id.value !== jobId) return
      const document = answer.job ?? applyCommands(base.value!, batch!.commands)
      waiting.value = waiting.value.filter((each) => each.id !== batch!.id)
      await settle(document, answer.version)
      await storage.waiting.where({ id: batch!.id }).delete()
    } catch (error) {
      if (!(error instanceof Refusal) || error.passing) throw error
      if (error.status === 409) return mergeWith(error)
      // Not accepted: the edit goes, with a word; what follows may still stand.
      refused.value = error.message
      waiting.value = waiting.value.filter((each) => each.id !== batch!.id)
      await storage.waiting.where({ id: batch!.id }).delete()
      await settle(base.value!, version.value)
    }
  }

  /** Others have written since: key by key, nothing dropped. */
  async function mergeWith({ body }: Refusal): Promise<void> {
    const mine = waiting.value
    const { clean, conflicts: met } = rebase(mine, body.theirs ?? [])
    waiting.value = clean
    conflicts.value = [...conflicts.value, ...met]
    merged.value = true
    stand(body.job!, body.version!)
    // All or nothing, and only these batches: an edit made meanwhile is kept by its own hand.
    await storage.transaction('rw', storage.waiting, storage.conflicts, storage.jobs, async () => {
      await keepConflicts()
      await storage.jobs.put(keptJob())
      for (const { id: batch } of mine) {
        const left = clean.find((each) => each.id === batch)
        const row = storage.waiting.where({ id: batch })
        await (left ? row.modify({ commands: plain(left.commands) }) : row.delete())
      }
    })
  }

  /** @param keep whose value stands */
  async function resolve(conflict: Conflict, keep: 'mine' | 'theirs'): Promise<void> {
    conflicts.value = conflicts.value.filter((each) => each !== conflict)
    await keepConflicts()
    const error = keep === 'mine' ? await edit([conflict.mine]) : undefined
    if (error) refused.value = error.message
  }

  const keepConflicts = () => storage.conflicts.put({ jobId: id.value, conflicts: plain(conflicts.value) })

  return {
    id,
    version,
    job,
    failure,
    refused,
    merged,
    reachable,
    waiting,
    conflicts,
    saveSign,
    undoSteps,
    redoSteps,
    open,
    refresh,
    edit,
    undo,
    redo,
    flush,
    resolve,
  }
})
