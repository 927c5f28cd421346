import type { Job } from '~~/core/document/job'
import { readJob } from '~~/core/document/check'
import { applyCommands } from '~~/core/edit/apply'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { Command } from '~~/core/edit/commands'
import { InputError } from '~~/core/errors'
import { Refusal, type Api } from '~/sync/api'
import type { AppliedAnswer, CreatedJob, JobAnswer, PictureAnswer } from '~~/shared/contract'
import { jobIdentity } from '~~/shared/jobIdentity'
import { tables } from '~~/tests/support/builders'

interface StoredJob {
  job: Job
  version: number
  history: Command[][]
  seen: Map<string, number>
}

export interface FakeServer {
  away: boolean
  losesAnswer: boolean
  /** Answers wait for this, when it is set. */
  held: Promise<void> | undefined
  /** Says why a picture is refused, by its id. */
  refusedPictures: Map<string, string>
  sent: { id: string; batch: VersionedBatch }[]
  pictures: Map<string, Blob>
  of: (id: string) => StoredJob
  ids: () => string[]
  /** Somebody else writes. */
  others: (id: string, ...commands: Command[]) => void
  /** @returns a function that lets the answers go */
  hold: () => () => void
  api: Pick<Api, 'importJob' | 'readJob' | 'sendEdits' | 'sendPicture'>
}

/** A server as the device meets it: it can be away, slow, refuse, lose an answer, or be ahead by others' edits. */
export function fakeServer(jobs: Record<string, Job>): FakeServer {
  const stored = new Map<string, StoredJob>(
    Object.entries(jobs).map(([id, job]) => [id, { job, version: 1, history: [], seen: new Map() }]),
  )
  const sent: FakeServer['sent'] = []
  const pictures = new Map<string, Blob>()
  const server: FakeServer = {
    away: false,
    losesAnswer: false,
    held: undefined,
    refusedPictures: new Map<string, string>(),
    sent,
    pictures,
    of: found,
    ids: () => [...stored.keys()],
    others(id: string, ...commands: Command[]): void {
      take(id, `others-${stored.get(id)!.version}`, commands)
    },
    hold(): () => void {
      let go = () => {}
      server.held = new Promise<void>((resolve) => (go = resolve))
      return () => {
        server.held = undefined
        go()
      }
    },
    api: { importJob, readJob: read, sendEdits, sendPicture },
  }
  function found(id: string): StoredJob {
    const job = stored.get(id)
    if (!job) throw new Refusal(404, 'There is no such job.')
    return job
  }
  async function importJob(text: string, key: string): Promise<CreatedJob> {
    const id = await jobIdentity('home', key)
    return answered(() => {
      if (!stored.has(id))
        stored.set(id, { job: readJob(JSON.parse(text), tables), version: 1, history: [], seen: new Map() })
      if (server.losesAnswer) {
        server.losesAnswer = false
        throw new Refusal(0, 'gone')
      }
      return { id, version: 1 }
    })
  }

  function take(id: string, batch: string, commands: Command[]): void {
    const job = stored.get(id)!
    job.job = readJob(applyCommands(job.job, commands), tables)
    job.version += 1
    job.history.push(commands)
    job.seen.set(batch, job.version)
  }
  /** What is asked for is answered as things stand when it arrives. */
  async function answered<T>(answer: () => T): Promise<T> {
    if (server.away) throw new Refusal(0, 'No connection.')
    const { held } = server
    const ready = answer()
    await held
    return ready
  }

  async function read(id: string): Promise<JobAnswer> {
    return answered(() => {
      const { job, version } = server.of(id)
      return { id, version, job, updatedAt: '' }
    })
  }
  async function sendEdits(id: string, batch: VersionedBatch): Promise<AppliedAnswer> {
    return answered(() => {
      sent.push({ id, batch })
      const job = server.of(id)
      const before = job.seen.get(batch.id)
      if (before !== undefined) return { batch: batch.id, version: job.version, at: before }
      if (batch.version !== job.version)
        throw new Refusal(409, 'changed', {
          version: job.version,
          theirs: job.history.slice(batch.version - 1).flat(),
        })
      try {
        take(id, batch.id, batch.commands)
      } catch (error) {
        throw error instanceof InputError ? new Refusal(422, error.message) : error
      }
      if (server.losesAnswer) {
        server.losesAnswer = false
        throw new Refusal(0, 'gone')
      }
      return { batch: batch.id, version: job.version, at: job.version }
    })
  }
  async function sendPicture(id: string, picture: string, bytes: Blob): Promise<PictureAnswer> {
    return answered(() => {
      found(id)
      const why = server.refusedPictures.get(picture)
      if (why) throw new Refusal(422, why)
      pictures.set(picture, bytes)
      const kept = { mediaType: bytes.type, pixelWidth: 1, pixelHeight: 1, checksum: '' }
      return { ...kept, id: picture, sentBytes: bytes.size, sentChecksum: '' }
    })
  }
  return server
}
