import { promisify } from 'node:util'
import { gunzip, gzip } from 'node:zlib'
import type { Knex } from 'knex'
import type { Command } from '../../core/edit/commands'
import { together } from '../workspace/workspace'

/*
 * Edits of jobs that rest are packed. Who and when, and the name by which an edit is known if it is sent again, stay a
 * row each; what was done goes into one compressed piece for many, and comes back to the last letter.
 */

/** Fewer are not worth a piece. */
const FEWEST = 64
/** Edits in one piece at most: it is unpacked whole to read one of them. */
const MOST = 512
/** Jobs that are packed in one go. */
const AT_ONCE = 500
/** A piece cannot unfold beyond what 512 of the largest edits have, bytes. */
const UNFOLDED = 512e6

const zipped = promisify(gzip)
const unzipped = promisify(gunzip) as (bytes: Buffer, options: { maxOutputLength: number }) => Promise<Buffer>

/**
 * Packs the edits of jobs that nobody has changed since.
 *
 * @returns how many edits were packed
 */
export async function packHistory(database: Knex, since: Date): Promise<number> {
  const resting = await database('job')
    .where('updated_at', '<', since)
    .whereRaw('kept_version >= packed_version + ?', [FEWEST])
    .limit(AT_ONCE)
    .select('id', 'workspace')
  let packed = 0
  for (const { id, workspace } of resting)
    packed += await together({ id: workspace, database }, (inside) => packJob(inside.database, id))
  return packed
}

async function packJob(database: Knex, id: string): Promise<number> {
  const head = await database('job').where({ id }).forUpdate().first('kept_version', 'packed_version')
  if (!head) return 0
  const rows: { version: number; commands: unknown }[] = await database('job_history')
    .where({ job_id: id })
    .where('version', '>', head.packed_version)
    .where('version', '<=', head.kept_version)
    .orderBy('version')
    .select('version', 'commands')
  for (let from = 0; from < rows.length; from += MOST) {
    const part = rows.slice(from, from + MOST)
    const [first, last] = [part[0]!.version, part.at(-1)!.version]
    const text = `[${part.map(({ commands }) => textOf(commands)).join(',')}]`
    await database('history_pack').insert({
      job_id: id,
      first_version: first,
      last_version: last,
      commands: await zipped(text, { level: 9 }),
    })
    await database('job_history')
      .where({ job_id: id })
      .whereBetween('version', [first, last])
      .update({ commands: null })
  }
  await database('job').where({ id }).update({ packed_version: head.kept_version })
  return rows.length
}
const textOf = (commands: unknown) => (typeof commands === 'string' ? commands : JSON.stringify(commands))

/** What was done in packed versions of a job, from one to another. */
export async function unpacked(
  database: Knex,
  id: string,
  [from, to]: readonly [number, number],
): Promise<Map<number, Command[]>> {
  const rows = await database('history_pack')
    .where({ job_id: id })
    .where('last_version', '>=', from)
    .where('first_version', '<=', to)
  const found = new Map<number, Command[]>()
  for (const { first_version: first, commands } of rows) {
    const text = (await unzipped(commands, { maxOutputLength: UNFOLDED })).toString('utf8')
    ;(JSON.parse(text) as Command[][]).forEach((each, i) => found.set(first + i, each))
  }
  return found
}
