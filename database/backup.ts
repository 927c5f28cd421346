import { createReadStream, createWriteStream, renameSync } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import type { Knex } from 'knex'
import { migrationSource } from './migrations/source'
import { checksumOf, pictureKey, StoreFailure, wholePicture, type PictureStore } from './pictures/store'

/*
 * Everything that the database and the store of pictures hold as one file: a line of text for each row, compressed.
 * The first line says what it is and of which tables' form. A picture stands in its row, wherever it lay.
 */

const FORMAT = 'vindex-backup'
const VERSION = 1
/** Parents before their children. */
const TABLES = [
  'workspace',
  'person',
  'sign_in',
  'passkey',
  'once',
  'audit',
  'job',
  'job_history',
  'history_pack',
  'photograph',
  'setting',
  'yard',
  'yard_row',
  'yard_history',
  'offer',
  'offer_link',
  'offer_answer',
  'lesson',
  'job_seen',
] as const
type TableName = (typeof TABLES)[number]

interface Header {
  format: typeof FORMAT
  version: typeof VERSION
  migrations: string[]
  madeAt: string
}
type Row = Record<string, unknown>
export type RowCounts = Record<string, number>

const formOfTables = async () => migrationSource.getMigrations([])

/**
 * Writes a backup; jobs can be worked on meanwhile, it shows one moment.
 *
 * @returns how many rows of each table, and which pictures the store does not have as they were: everything else is
 * in the file
 */
export async function backup(
  database: Knex,
  pictures: PictureStore,
  file: string,
  now = new Date(),
): Promise<{ counts: RowCounts; missing: string[] }> {
  const counts: RowCounts = {}
  const missing: string[] = []
  const whole = async (row: Row): Promise<Row> => {
    const { workspace, checksum, data } = row as { workspace: string; checksum: string; data: Buffer | null }
    delete row.workspace
    try {
      return { ...row, data: data ?? (await wholePicture(pictures, workspace, checksum)) }
    } catch (error) {
      if (!(error instanceof StoreFailure)) throw error
      missing.push(error.message)
      return row
    }
  }
  const header: Header = {
    format: FORMAT,
    version: VERSION,
    migrations: await formOfTables(),
    madeAt: now.toISOString(),
  }
  await database.transaction(
    async (transaction) => {
      async function* lines() {
        yield `${JSON.stringify(header)}\n`
        for (const table of TABLES) {
          counts[table] = 0
          for await (const row of rowsOf(transaction, table).stream() as AsyncIterable<Row>) {
            counts[table]++
            yield `${JSON.stringify([table, written(table === 'photograph' ? await whole(row) : row)])}\n`
          }
        }
        yield `${JSON.stringify(['end', counts])}\n`
      }
      // Under its own name only once it is whole.
      await pipeline(Readable.from(lines()), createGzip(), createWriteStream(`${file}.part`))
    },
    { isolationLevel: 'repeatable read' },
  )
  renameSync(`${file}.part`, file)
  return { counts, missing }
}

const rowsOf = (database: Knex, table: TableName) =>
  table === 'photograph'
    ? database(table).join('job', 'job.id', 'photograph.job_id').select('photograph.*', 'job.workspace')
    : database(table)

/** Bytes, times and JSON as text that says what it is. */
function written(row: Row): Row {
  return Object.fromEntries(
    Object.entries(row).map(([key, value]) => {
      if (Buffer.isBuffer(value)) return [key, { bytes: value.toString('base64') }]
      if (value instanceof Date) return [key, { time: value.toISOString() }]
      const isJson = typeof value === 'boolean' || (typeof value === 'object' && value !== null)
      return [key, isJson ? { json: JSON.stringify(value) } : value]
    }),
  )
}

function read(row: Row): Row {
  return Object.fromEntries(
    Object.entries(row).map(([key, value]) => {
      if (typeof value !== 'object' || value === null) return [key, value]
      const { bytes, time, json } = value as { bytes?: string; time?: string; json?: string }
      if (bytes !== undefined) return [key, Buffer.from(bytes, 'base64')]
      return [key, time === undefined ? json : new Date(time)]
    }),
  )
}

/**
 * Puts a backup in the place of what the database holds: all of it or nothing.
 *
 * @param database with its tables up to date
 * @throws Error in one sentence when the file is no backup, is cut off, or is of another form
 */
export async function restore(database: Knex, pictures: PictureStore, file: string): Promise<RowCounts> {
  return database.transaction(async (transaction) => {
    const counts: RowCounts = Object.fromEntries(TABLES.map((table) => [table, 0]))
    let isWhole = false
    let isFirst = true
    for await (const line of linesOf(file)) {
      const value = parsed(line)
      if (isFirst) {
        await requireHeader(value)
        for (const table of [...TABLES].reverse()) await transaction(table).delete()
        isFirst = false
        continue
      }
      const [table, row] = value as [TableName | 'end', Row]
      if (table === 'end') isWhole = sameCounts(row as RowCounts, counts)
      else {
        try {
          const ready = read(row)
          await transaction(table).insert(table === 'photograph' ? await stored(transaction, pictures, ready) : ready)
        } catch (error) {
          // A row whose parent is not in the file.
          if (/^ER_NO_REFERENCED_ROW/.test((error as { code?: string }).code ?? '')) throw cutOff(error)
          throw error
        }
        counts[table]!++
      }
    }
    if (!isWhole) throw cutOff()
    return counts
  })
}

/** The picture goes into the store, under what it is. One that was missing when the backup was made stays so. */
async function stored(transaction: Knex, pictures: PictureStore, row: Row): Promise<Row> {
  const { job_id: job, checksum, data } = row as { job_id: string; checksum: string; data: Buffer | null }
  if (data === null) return row
  if (checksumOf(data) !== checksum) throw new Error(`a picture of this backup is damaged: nothing was changed`)
  const { workspace } = (await transaction('job').where({ id: job }).first('workspace')) ?? {}
  // A row whose job is not in the file is refused by the table.
  if (workspace !== undefined) await pictures.put(pictureKey(workspace, checksum), data)
  return { ...row, data: null }
}

const cutOff = (cause?: unknown) => new Error('this backup is cut off: nothing was changed', { cause })

/** Errors of reading and of decompressing end the lines too; a line reader on a pipe would wait for ever. */
async function* linesOf(file: string): AsyncGenerator<string> {
  const text = createGunzip()
  pipeline(createReadStream(file), text).catch(() => {})
  let rest = ''
  try {
    for await (const chunk of text.setEncoding('utf8') as AsyncIterable<string>) {
      const lines = (rest + chunk).split('\n')
      rest = lines.pop()!
      yield* lines
    }
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    if (code === 'Z_BUF_ERROR') throw cutOff(error)
    if (code?.startsWith('Z_')) throw new Error('this is no backup', { cause: error })
    throw error
  }
  if (rest) yield rest
}

const sameCounts = (wanted: RowCounts, found: RowCounts) =>
  TABLES.every((table) => (wanted[table] ?? 0) === (found[table] ?? 0))

function parsed(line: string): unknown {
  try {
    return JSON.parse(line)
  } catch {
    throw new Error('this is no backup')
  }
}

async function requireHeader(value: unknown): Promise<void> {
  const { format, version, migrations = [] } = (value ?? {}) as Partial<Header>
  if (format !== FORMAT || version !== VERSION) throw new Error('this is no backup')
  const ours = await formOfTables()
  if (JSON.stringify(migrations) !== JSON.stringify(ours))
    throw new Error(`this backup is of tables as of ${migrations.at(-1)}, these are of ${ours.at(-1)}: use that Vindex`)
}
