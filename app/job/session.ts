import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { Job } from '~~/core/document/job'
import { applyCommands } from '~~/core/edit/apply'
import type { VersionedBatch } from '~~/core/edit/batch'
import { checkEdit } from '~~/core/edit/check'
import type { Command } from '~~/core/edit/commands'
import { rebase, type Conflict } from '~~/core/edit/rebase'
import { isRenaming } from '~~/core/edit/renames'
import type { InputError } from '~~/core/errors'
import type { Tables } from '~~/core/tables/tables'
import { Refusal, type Api } from '~/sync/api'
import { EDITS, renamedStep, withWaiting, type EditsNews, type EditsSender } from '~/sync/edits'
import { newIdentity } from '~/sync/identity'
import { NEW_JOB } from '~/sync/newJobs'
import type { Queue } from '~/sync/queue'
import { plain, type DeviceStorage, type Step } from '~/sync/storage'
import { batchesOf } from './batches'
import { stepOf, takeBack } from './wayBack'
import { sameData } from '~~/core/sameData'

/** Edits that can be taken back. */
const STEPS_BACK = 200

/**
 * One open job: what the server has, what waits to be sent on top of it, and the way back. Each job that is opened has
 * a session of its own, so that nothing of one can come into another.
 *
 * An edit is shown at once, then kept on this device, then sent in order. `saved` is said only of what the server has
 * confirmed.
 */
export interface JobSession {
  readonly id: string
  /** Absent until it is opened. */
  job: ShallowRef<Job | undefined>
  version: Ref<number>
  /** Batches that the server does not have yet. */
  waiting: ShallowRef<readonly VersionedBatch[]>
  /** Edits of one key from both sides, for a person to choose from. */
  conflicts: ShallowRef<readonly Conflict[]>
  saveSign: ComputedRef<'conflict' | 'waiting' | 'saved'>
  /** Why the job could not be opened. */
  failure: Ref<string>
  /** Why an edit was not accepted, or could not be taken back. */
  refused: Ref<string>
  /** Others' edits have come in beside ours. */
  merged: Ref<boolean>
  /** What of ours goes by another name now, since others have used it: by its old name. */
  renamed: ShallowRef<ReadonlyMap<string, string>>
  /** The device's own copy is shown; the server's is being asked for. */
  opened: Promise<void>
  /** Takes the server's copy if it has moved on and nothing waits here. */
  refresh: () => Promise<void>
  /** @returns what is wrong with the edit, in which case nothing has changed */
  edit: (commands: readonly Command[]) => Promise<InputError | undefined>
  undo: () => Promise<void>
  redo: () => Promise<void>
  /** @param keep whose value stands */
  resolve: (conflict: Conflict, keep: 'mine' | 'theirs') => Promise<void>
  close: () => void
}

/** What a session works with: the device's own, or a test's. */
export interface SessionNeeds {
  storage: DeviceStorage
  queue: Pick<Queue, 'put' | 'reachable' | 'wake' | 'waiting'>
  edits: Pick<EditsSender, 'listen' | 'tellOthers'>
  api: Pick<Api, 'readJob'>
  /** As they are at the moment of an edit. */
  tables: () => Tables
}

export function openSession(id: string, { storage, queue, edits, api, tables }: SessionNeeds): JobSession {
  const job = shallowRef<Job>()
  const version = ref(0)
  const waiting = shallowRef<readonly VersionedBatch[]>([])
  const conflicts = shallowRef<readonly Conflict[]>([])
  const failure = ref('')
  const refused = ref('')
  const merged = ref(false)
  const renamed = shallowRef<ReadonlyMap<string, string>>(new Map())
  const undoSteps = shallowRef<Step[]>([])
  const redoSteps = shallowRef<Step[]>([])
  let base: Job | undefined
  let isClosed = false

  const saveSign = computed(() => {
    if (conflicts.value.length > 0) return 'conflict'
    return waiting.value.length + queue.waiting(NEW_JOB, id) > 0 ? 'waiting' : 'saved'
  })

  /** The server has this version; what waits goes on top. */
  function stand(document: Job, at: number): void {
    base = document
    version.value = at
    job.value = withWaiting(document, waiting.value)
  }

  /** Heard while the device's copy is still being read: it may have been read before that was written, or after. */
  let early: EditsNews[] | undefined = []
  function hear(news: EditsNews): void {
    if (early) early.push(news)
    else take(news)
  }
  function takeEarly(): void {
    const heard = early ?? []
    early = undefined
    for (const news of heard) if (!('version' in news) || news.version > version.value) take(news)
  }

  function take(news: EditsNews): void {
    switch (news.what) {
      case 'taken': {
        const isOursAlone = waiting.value[0]?.id === news.batch && news.at === news.version
        waiting.value = waiting.value
          .filter((batch) => batch.id !== news.batch)
          .map((batch) => (batch.version < news.at ? { ...batch, version: news.at } : batch))
        if (!isOursAlone) return stand(news.job, news.version)
        // What is shown had it in already, and what waits behind it.
        base = news.job
        version.value = news.version
        return
      }
      case 'merged': {
        const { before, job: after } = news
        const { clean, conflicts: met, renames } = rebase(waiting.value, news.theirs, { before, after }, news.writers)
        waiting.value = clean.map((batch) => ({ ...batch, version: news.version }))
        conflicts.value = [...conflicts.value, ...met]
        merged.value = true
        if (isRenaming(renames)) {
          for (const steps of [undoSteps, redoSteps])
            steps.value = steps.value.map((step) => renamedStep(step, renames))
          renamed.value = new Map([...renamed.value, ...renames.posts, ...renames.lines])
        }
        return stand(news.job, news.version)
      }
      case 'refused':
        refused.value = news.why
        waiting.value = waiting.value.filter((batch) => batch.id !== news.batch)
        if (base) stand(base, version.value)
        return
      case 'resolved':
        conflicts.value = without(conflicts.value, news.conflict)
    }
  }
  const stopListening = edits.listen(id, hear)

  async function open(): Promise<void> {
    const [kept, rows, choices, wayBack] = await storage.transaction(
      'r',
      ['jobs', 'outbox', 'conflicts', 'wayBack'],
      () =>
        Promise.all([
          storage.jobs.get(id),
          storage.outbox.where({ kind: EDITS, topic: id }).sortBy('order'),
          storage.conflicts.get(id),
          storage.wayBack.get(id),
        ]),
    )
    waiting.value = rows.map(({ body }) => body as VersionedBatch)
    conflicts.value = choices?.conflicts ?? []
    undoSteps.value = wayBack?.undo ?? []
    redoSteps.value = wayBack?.redo ?? []
    if (kept) stand(kept.job, kept.version)
  }
  const opened = open().finally(takeEarly)

  async function refresh(): Promise<void> {
    await opened
    // The server has not heard of what was made here.
    if (base && (waiting.value.length > 0 || queue.waiting(NEW_JOB, id) > 0)) return queue.wake()
    try {
      const read = await api.readJob(id)
      queue.reachable.value = true
      failure.value = ''
      // An edit made while the answer was on its way stands on the version before it: its own sending merges.
      if (isClosed || (base && (waiting.value.length > 0 || read.version <= version.value))) return
      stand(read.job, read.version)
      await storage.keep(() => storage.jobs.put({ id, version: read.version, job: plain(read.job) }))
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      queue.reachable.value = !error.passing
      if (!job.value) failure.value = error.message
    }
  }

  async function edit(commands: readonly Command[]): Promise<InputError | undefined> {
    const before = job.value
    if (!before) return undefined
    const error = checkEdit(before, commands, tables())
    if (error) return error
    undoSteps.value = [...undoSteps.value, plain(stepOf(before, commands))].slice(-STEPS_BACK)
    redoSteps.value = []
    await enqueue(commands)
    return undefined
  }

  /** Shown at once; sent when this device has kept it; called saved after the server's answer. */
  async function enqueue(commands: readonly Command[]): Promise<void> {
    const batches = batchesOf(plain([...commands])).map(
      (part): VersionedBatch => ({ id: newIdentity(), version: version.value, commands: part }),
    )
    job.value = applyCommands(
      job.value!,
      batches.flatMap((batch) => batch.commands),
    )
    waiting.value = [...waiting.value, ...batches]
    await Promise.all([...batches.map((batch) => queue.put(EDITS, id, batch, batch.id)), keepWayBack()])
  }

  async function step(from: typeof undoSteps, to: typeof redoSteps): Promise<void> {
    const last = from.value[from.value.length - 1]
    const now = job.value
    if (!last || !now) return
    from.value = from.value.slice(0, -1)
    const { commands, left } = takeBack(now, last)
    const error = checkEdit(now, commands, tables())
    // Said once, and the step before it is next.
    if (left.length > 0) refused.value = `Others have been at it since, so it stays: ${left.join(', ')}.`
    if (error) refused.value = `That step cannot be taken any more: ${error.message}.`
    if (error || commands.length === 0) return keepWayBack()
    to.value = [...to.value, plain(stepOf(now, commands))]
    await enqueue(commands)
  }

  const keepWayBack = async () =>
    void (await storage.keep(() => storage.wayBack.put({ jobId: id, undo: undoSteps.value, redo: redoSteps.value })))

  async function resolve(conflict: Conflict, keep: 'mine' | 'theirs'): Promise<void> {
    const error = keep === 'mine' ? await edit([conflict.mine]) : undefined
    if (error) {
      // What cannot be done is not forgotten: the choice stays open.
      refused.value = error.message
      return
    }
    // Another window may have chosen between others meanwhile: only this one goes.
    conflicts.value = without(conflicts.value, conflict)
    await storage.transaction('rw', ['conflicts'], async () => {
      const known = (await storage.conflicts.get(id))?.conflicts ?? []
      await storage.conflicts.put({ jobId: id, conflicts: without(known, conflict) })
    })
    edits.tellOthers(id, { what: 'resolved', conflict })
  }

  return {
    id,
    job,
    version,
    waiting,
    conflicts,
    saveSign,
    failure,
    refused,
    merged,
    renamed,
    opened,
    refresh,
    edit,
    undo: () => step(undoSteps, redoSteps),
    redo: () => step(redoSteps, undoSteps),
    resolve,
    close() {
      isClosed = true
      stopListening()
    },
  }
}

const without = (conflicts: readonly Conflict[], gone: Conflict): Conflict[] =>
  conflicts.filter((each) => !sameData(each, gone))
