import type { Knex } from 'knex'

/*
 * An edit writes itself, not the whole document: a job's document is the one kept at `kept_version` with the history
 * since on top. Identities compare letter by letter. A new job that is asked for twice is made once; one that is
 * deleted can come back.
 */

const IDENTITIES: [table: string, column: string, letters: number][] = [
  ['job', 'id', 36],
  ['job_history', 'job_id', 36],
  ['job_history', 'batch_id', 64],
  ['photograph', 'job_id', 36],
  ['photograph', 'id', 64],
]
const OF_A_JOB = ['job_history', 'photograph']

async function compare(database: Knex, collation: string): Promise<void> {
  for (const name of OF_A_JOB) await database.schema.alterTable(name, (table) => table.dropForeign('job_id'))
  for (const [table, column, letters] of IDENTITIES)
    await database.raw(
      `alter table ?? modify ?? varchar(${letters}) character set utf8mb4 collate ${collation} not null`,
      [table, column],
    )
  for (const name of OF_A_JOB)
    await database.schema.alterTable(name, (table) => {
      table.foreign('job_id').references('job.id').onDelete('CASCADE')
    })
}

export async function up(database: Knex): Promise<void> {
  await compare(database, 'utf8mb4_bin')
  await database.schema.alterTable('job', (table) => {
    table.integer('kept_version').unsigned().notNullable().defaultTo(1)
    // Bytes of the document, at most: it is measured when it is written, and each edit adds its own.
    table.integer('size').unsigned().notNullable().defaultTo(0)
    // What lists show speaks of an earlier version.
    table.boolean('is_behind').notNullable().defaultTo(false).index()
    table.integer('undecided').unsigned().notNullable().defaultTo(0)
    table.specificType('made_by', 'varchar(64) character set utf8mb4 collate utf8mb4_bin').nullable().unique()
    table.datetime('deleted_at', { precision: 3 }).nullable()
    table.index(['deleted_at', 'updated_at', 'id'])
    table.index(['deleted_at', 'undecided'])
  })
  await database('job').update({
    kept_version: database.ref('version'),
    size: database.raw('octet_length(document)'),
    undecided: database.raw("coalesce(json_value(summary, '$.undecided'), 0)"),
  })
  await database.schema.alterTable('photograph', (table) => {
    // SHA-256 of what was sent: the same identity with another picture is another picture.
    table.specificType('sent_checksum', 'char(64)').nullable()
  })
}

/** @throws Error while a document is behind its history: a server of this version brings it up first */
export async function down(database: Knex): Promise<void> {
  const [{ behind }] = (await database('job').where({ is_behind: true }).count({ behind: '*' })) as [{ behind: number }]
  if (Number(behind) > 0) throw new Error(`${behind} jobs are kept at an earlier version: list the jobs once`)
  await database.schema.alterTable('photograph', (table) => table.dropColumn('sent_checksum'))
  await database.schema.alterTable('job', (table) => {
    table.dropIndex(['deleted_at', 'updated_at', 'id'])
    table.dropIndex(['deleted_at', 'undecided'])
    table.dropIndex(['is_behind'])
    table.dropUnique(['made_by'])
    table.dropColumns('kept_version', 'size', 'is_behind', 'undecided', 'made_by', 'deleted_at')
  })
  await compare(database, 'utf8mb4_general_ci')
}
