import { Dexie, type DexieOptions, type Table } from 'dexie'
import pRetry from 'p-retry'
import { ref } from 'vue'
import type { Job } from '~~/core/document/job'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { Command } from '~~/core/edit/commands'
import type { Conflict } from '~~/core/edit/rebase'
import type { OfferDraft } from '~~/core/offer/offer'
import type { KeptOffer } from '~~/shared/contract'
import type { Forecast } from '~~/core/weather/forecast'
import type { YardConflict } from '~~/core/yard/apply'
import type { YardChange } from '~~/core/yard/change'
import type { OwnRows } from '~~/core/yard/rows'

/*
 * What this device keeps: the last known copy of each job, all that waits to be sent, what was refused, the
 * choices still to be made, and the way back. Nothing that was entered lives in memory alone, as long as the browser
 * lets anything be kept.
 */

export interface KeptJob {
  id: string
  version: number
  job: Job
}

/** Something that waits to be sent, or that the server would not have. */
export interface Outgoing {
  /** Grows with each: the order in which they are sent. */
  order?: number
  id: string
  kind: string
  /** What it belongs to: a job. Things of one kind and topic go one after the other. */
  topic: string
  body: unknown
}
export interface Refused extends Outgoing {
  why: string
}

export interface KeptConflicts {
  jobId: string
  conflicts: Conflict[]
}

/** An edit that can be taken back: by what, and what it made, to see whether others have changed that since. */
export interface Step {
  back: Command[]
  made: Command[]
}

/** Edits that can be taken back, and edits taken back that can be done again. */
export interface WayBack {
  jobId: string
  undo: Step[]
  redo: Step[]
}

/** The last good forecast of a station, and when it came. */
export interface KeptForecast {
  place: string
  heardAt: number
  forecast: Forecast
}

/** There is one yard on a device. */
export const HOME = 'home'
/** The yard as the server has it, what is still to be decided, and the way back. */
export interface KeptYard {
  id: string
  version: number
  own: OwnRows
  conflicts: YardConflict[]
  back: YardChange[][]
  again: YardChange[][]
}

/** An offer as this device knows it; without a checksum it waits to be kept by the server. */
export interface DeviceOffer extends Partial<Omit<KeptOffer, 'offer'>> {
  id: string
  jobId: string
  offer: OfferDraft & { number?: number }
}

export interface KeptPicture {
  id: string
  jobId: string
  picture: Blob
}

/** What one account left unsent, with the copies of jobs and offers that it was made on. */
export interface HeldWork {
  account: string
  name: string
  outbox: Outgoing[]
  tray: Refused[]
  jobs: KeptJob[]
  conflicts: KeptConflicts[]
  pictures: KeptPicture[]
  offers: DeviceOffer[]
  yards: KeptYard[]
}

/** The tables themselves: in the browser's database, or in memory where it has none to give. */
class DeviceDatabase extends Dexie {
  jobs!: Table<KeptJob, string>
  outbox!: Table<Outgoing, number>
  tray!: Table<Refused, number>
  conflicts!: Table<KeptConflicts, string>
  wayBack!: Table<WayBack, string>
  pictures!: Table<KeptPicture, string>
  forecasts!: Table<KeptForecast, string>
  yards!: Table<KeptYard, string>
  offers!: Table<DeviceOffer, string>
  held!: Table<HeldWork, string>

  constructor(name: string, options?: DexieOptions) {
    super(name, options)
    this.version(1).stores({ jobs: 'id', waiting: '++order, jobId, id', conflicts: 'jobId', wayBack: 'jobId' })
    this.version(2).stores({ photographs: 'id, jobId, sent' })
    this.version(3)
      .stores({
        outbox: '++order, id, topic, [kind+topic]',
        tray: '++order, topic',
        pictures: 'id, jobId',
        waiting: null,
        photographs: null,
      })
      .upgrade(takeOver)
    // Steps of the way back know what they made; older ones do not.
    this.version(4).upgrade((upgrade) =>
      upgrade
        .table('wayBack')
        .toCollection()
        .modify((way: Record<'undo' | 'redo', (Command[] | Step)[]>) => {
          for (const key of ['undo', 'redo'] as const)
            way[key] = way[key].map((step) => (Array.isArray(step) ? { back: step, made: [] } : step))
        }),
    )
    this.version(5).stores({ forecasts: 'place' })
    this.version(6).stores({ yards: 'id', offers: 'id, jobId' })
    this.version(7).stores({ held: 'account' })
  }
}

/** What belongs to the account that is signed in; what is held for others stands beside them. */
export const TABLES = [
  'jobs',
  'outbox',
  'tray',
  'conflicts',
  'wayBack',
  'pictures',
  'forecasts',
  'yards',
  'offers',
] as const
export type TableName = (typeof TABLES)[number] | 'held'

/**
 * What the device keeps. Where the browser refuses to keep anything, or stops doing so, the tables go on in memory:
 * that is said, what waits is still sent, and a job can be saved as a file.
 */
export class DeviceStorage {
  #database: DeviceDatabase
  #isClosed = false
  #switched: Promise<void> | undefined
  /** Why nothing is kept; empty as long as everything is. */
  readonly failure = ref('')

  readonly #loadMemory: MemoryLoader

  /** @param loadMemory what the tables go on in where the browser keeps nothing */
  constructor(
    readonly name = 'vindex',
    loadMemory: MemoryLoader = () => import('fake-indexeddb'),
  ) {
    this.#database = new DeviceDatabase(name)
    this.#loadMemory = loadMemory
  }

  /** Has it ready before it is needed: then there may be no signal to load it with. */
  async prepare(): Promise<void> {
    await this.#loadMemory().catch(() => undefined)
  }

  get jobs() {
    return this.#database.jobs
  }
  get outbox() {
    return this.#database.outbox
  }
  get tray() {
    return this.#database.tray
  }
  get conflicts() {
    return this.#database.conflicts
  }
  get wayBack() {
    return this.#database.wayBack
  }
  get pictures() {
    return this.#database.pictures
  }
  get forecasts() {
    return this.#database.forecasts
  }
  get offers() {
    return this.#database.offers
  }
  get yards() {
    return this.#database.yards
  }
  get held() {
    return this.#database.held
  }

  /** Reads and writes all or nothing; done again in memory where the browser does not let it. */
  async transaction<T>(mode: 'r' | 'rw', names: readonly TableName[], work: () => Promise<T>): Promise<T> {
    return this.keep(() =>
      this.#database.transaction(
        mode,
        names.map((name) => this.#database[name] as Table),
        work,
      ),
    )
  }

  /** A write that the browser may refuse: its room is full, or it keeps nothing here. */
  async keep<T>(work: () => PromiseLike<T>): Promise<T> {
    const inUse = this.#database
    try {
      return await work()
    } catch (error) {
      if (this.#isClosed || !isStorageFailure(error)) throw error
      // What runs beside it fails with it, and goes on in memory too.
      this.#switched ??= this.#goOnInMemory(error as Error)
      await this.#switched
      if (inUse === this.#database) throw error
      return work()
    }
  }

  close(): void {
    this.#isClosed = true
    this.#database.close()
  }

  async #goOnInMemory({ name }: Error): Promise<void> {
    this.failure.value = /quota/i.test(name)
      ? 'The room for this site on the device is full.'
      : 'This browser does not let anything be kept here.'
    // Without a signal it cannot be loaded: what was entered waits for it, and then goes on.
    const { IDBFactory, IDBKeyRange } = await pRetry(
      () => this.#loadMemory().catch((error: unknown) => Promise.reject(new Error('not loaded', { cause: error }))),
      { retries: Infinity, minTimeout: LOADS_AGAIN.first, maxTimeout: LOADS_AGAIN.longest, factor: 2 },
    )
    const before = this.#database
    const memory = new DeviceDatabase(this.name, { indexedDB: new IDBFactory(), IDBKeyRange })
    await memory.open()
    for (const table of [...TABLES, 'held'] as const) {
      // What can still be read goes along.
      const rows = await (before[table] as Table).toArray().catch(() => [])
      await (memory[table] as Table).bulkPut(rows)
    }
    this.#database = memory
  }
}

type MemoryLoader = () => Promise<Pick<typeof import('fake-indexeddb'), 'IDBFactory' | 'IDBKeyRange'>>
/** Between tries to load it, ms. */
const LOADS_AGAIN = { first: 100, longest: 4_000 }

const FAILURES = [
  'QuotaExceededError',
  'OpenFailedError',
  'MissingAPIError',
  'DatabaseClosedError',
  'InvalidStateError',
  'SecurityError',
  'UnknownError',
  'AbortError',
]

/** The browser's doing, not a fault in what was written. */
function isStorageFailure(error: unknown): boolean {
  const { name = '', inner } = (error ?? {}) as { name?: string; inner?: unknown }
  return FAILURES.includes(name) || (inner !== undefined && inner !== error && isStorageFailure(inner))
}

/** What an earlier version of this application kept goes into today's tables. */
async function takeOver(upgrade: { table: (name: string) => Table }): Promise<void> {
  const waiting = (await upgrade.table('waiting').toArray()) as { id: string; jobId: string; commands: Command[] }[]
  for (const { id, jobId, commands } of waiting) {
    const kept = (await upgrade.table('jobs').get(jobId)) as KeptJob | undefined
    const body: VersionedBatch = { id, commands, version: kept?.version ?? 1 }
    await upgrade.table('outbox').add({ id, kind: 'edits', topic: jobId, body })
  }
  const pictures = (await upgrade.table('photographs').toArray()) as (KeptPicture & { sent: 0 | 1 })[]
  for (const { id, jobId, picture, sent } of pictures) {
    await upgrade.table('pictures').put({ id, jobId, picture })
    if (!sent) await upgrade.table('outbox').add({ id, kind: 'picture', topic: jobId, body: { id } })
  }
}

/** Plain data only: what the screen holds may be wrapped for watching. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
