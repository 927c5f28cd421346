import type { Knex } from 'knex'

/*
 * Pictures lie in a store of their own, and the edits of jobs that rest are packed: who and when stays a row, what was
 * done goes into one compressed piece. What an earlier version wrote stays where it is. A server of the version before
 * shows no pictures that were taken since; packing begins a day after a start, when none of those is left.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('photograph', (table) => {
    table.specificType('data', 'mediumblob').nullable().alter()
    // Whether others still need the same picture, when one goes.
    table.index(['checksum'])
  })
  await knex.schema.alterTable('job_history', (table) => table.json('commands').nullable().alter())
  await knex.schema.alterTable('job', (table) => {
    // Edits up to there are packed.
    table.integer('packed_version').unsigned().notNullable().defaultTo(1)
  })
  await knex.schema.createTable('history_pack', (table) => {
    table.charset('utf8mb4')
    table
      .specificType('job_id', 'varchar(36) character set utf8mb4 collate utf8mb4_bin')
      .notNullable()
      .references('job.id')
      .onDelete('CASCADE')
    table.integer('first_version').unsigned().notNullable()
    table.integer('last_version').unsigned().notNullable()
    // JSON, a list of commands for each version, by gzip.
    table.specificType('commands', 'mediumblob').notNullable()
    table.primary(['job_id', 'first_version'])
  })
}

/** @throws Error where something is kept in a way that the version before cannot read */
export async function down(knex: Knex): Promise<void> {
  const [{ outside }] = (await knex('photograph').whereNull('data').count({ outside: '*' })) as [{ outside: number }]
  const [{ packed }] = (await knex('history_pack').count({ packed: '*' })) as [{ packed: number }]
  if (Number(outside) > 0 || Number(packed) > 0)
    throw new Error(`${outside} photographs lie outside of the database, ${packed} pieces of history are packed`)
  await knex.schema.dropTable('history_pack')
  await knex.schema.alterTable('job', (table) => table.dropColumn('packed_version'))
  await knex.schema.alterTable('job_history', (table) => table.json('commands').notNullable().alter())
  await knex.schema.alterTable('photograph', (table) => {
    table.dropIndex(['checksum'])
    table.specificType('data', 'mediumblob').notNullable().alter()
  })
}
