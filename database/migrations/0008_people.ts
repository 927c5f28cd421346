import type { Knex } from 'knex'

/*
 * Who works here. Every job, lesson and row of a yard belongs to a workspace; what was there before belongs to the
 * first one. Of what opens a door only hashes are kept. A server of the version before goes on meanwhile: what it
 * writes belongs to the first workspace too.
 */
const identity = (letters: number) => `varchar(${letters}) character set utf8mb4 collate utf8mb4_bin`
const HOME = 'home'

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('workspace', (table) => {
    table.charset('utf8mb4')
    table.specificType('id', identity(36)).primary()
    table.string('name', 200).notNullable()
    table.datetime('made_at', { precision: 3 }).notNullable()
  })
  await knex('workspace').insert({ id: HOME, name: 'Workspace', made_at: new Date() })
  await knex.schema.createTable('person', (table) => {
    table.charset('utf8mb4')
    table.specificType('id', identity(36)).primary()
    table.specificType('workspace', identity(36)).notNullable().references('workspace.id').onDelete('RESTRICT')
    table.string('name', 100).notNullable()
    // In small letters: a name is one person's, however it is typed.
    table.specificType('sign_in_name', identity(100)).notNullable().unique()
    // Salt and parameters stand in it. Null where there is only a passkey.
    table.specificType('password', 'varchar(255) character set ascii').nullable()
    table.enum('role', ['lead', 'technician', 'office']).notNullable()
    table.datetime('made_at', { precision: 3 }).notNullable()
    // Whoever left is kept, since the record names them.
    table.datetime('left_at', { precision: 3 }).nullable()
    table.index(['workspace', 'left_at'])
  })
  await knex.schema.createTable('sign_in', (table) => {
    table.charset('utf8mb4')
    // SHA-256 of what the cookie holds.
    table.specificType('hash', 'char(64) character set ascii').primary()
    table.specificType('id', identity(36)).notNullable().unique()
    table.specificType('person_id', identity(36)).notNullable().references('person.id').onDelete('CASCADE')
    table.string('device', 200).notNullable()
    table.datetime('made_at', { precision: 3 }).notNullable()
    table.datetime('seen_at', { precision: 3 }).notNullable()
    table.datetime('expires_at', { precision: 3 }).notNullable().index()
    // The device is to forget what it has.
    table.datetime('revoked_at', { precision: 3 }).nullable()
  })
  await knex.schema.createTable('passkey', (table) => {
    table.charset('utf8mb4')
    table.specificType('id', 'varchar(512) character set ascii collate ascii_bin').primary()
    table.specificType('person_id', identity(36)).notNullable().references('person.id').onDelete('CASCADE')
    table.specificType('public_key', 'blob').notNullable()
    table.bigInteger('counter').unsigned().notNullable()
    table.string('name', 100).notNullable()
    table.datetime('made_at', { precision: 3 }).notNullable()
    table.datetime('used_at', { precision: 3 }).nullable()
  })
  // Codes and questions that are good once: a first account's, an invitation's, a passkey's.
  await knex.schema.createTable('once', (table) => {
    table.charset('utf8mb4')
    table.specificType('hash', 'char(64) character set ascii').primary()
    table.enum('kind', ['first-lead', 'invitation', 'passkey']).notNullable()
    table.json('value').notNullable()
    table.datetime('expires_at', { precision: 3 }).notNullable().index()
  })
  await knex.schema.createTable('audit', (table) => {
    table.charset('utf8mb4')
    table.bigIncrements('number')
    table.specificType('workspace', identity(36)).notNullable().references('workspace.id').onDelete('CASCADE')
    table.datetime('at', { precision: 3 }).notNullable()
    table.specificType('person_id', identity(36)).nullable()
    table.string('person', 100).nullable()
    table.specificType('did', identity(40)).notNullable()
    table.specificType('subject', identity(100)).nullable()
    table.string('detail', 500).nullable()
    table.index(['workspace', 'number'])
  })
  // Who has seen which job, day by day.
  await knex.schema.createTable('job_seen', (table) => {
    table.charset('utf8mb4')
    table.specificType('job_id', identity(36)).notNullable().references('job.id').onDelete('CASCADE')
    table.specificType('person_id', identity(36)).notNullable().references('person.id').onDelete('CASCADE')
    table.date('day').notNullable()
    table.primary(['job_id', 'person_id', 'day'])
  })
  await knex.schema.createTable('tries', (table) => {
    table.charset('utf8mb4')
    table.specificType('key', 'varchar(255) character set ascii collate ascii_bin').primary()
    table.integer('points').notNullable()
    table.bigInteger('expire').unsigned().nullable().index()
  })

  await knex.schema.alterTable('job', (table) => {
    table.specificType('workspace', `${identity(36)} not null default '${HOME}'`)
    table.index(['workspace', 'deleted_at', 'updated_at', 'id'], 'job_page')
    table.index(['workspace', 'deleted_at', 'undecided'], 'job_needing')
    table.index(['workspace', 'is_behind'], 'job_behind')
    table.index(['workspace', 'deleted_at', 'visit_due'], 'job_due')
    table.dropUnique(['made_by'])
    table.unique(['workspace', 'made_by'])
    table.foreign('workspace').references('workspace.id').onDelete('RESTRICT')
  })
  await knex.schema.alterTable('job_history', (table) => {
    table.specificType('person_id', identity(36)).nullable()
    table.string('made_by', 100).nullable()
  })
  await knex.schema.alterTable('lesson', (table) => {
    table.specificType('workspace', `${identity(36)} not null default '${HOME}'`)
    table.index(['workspace', 'at'])
  })
  await knex.schema.alterTable('offer_link', (table) => {
    table.datetime('revoked_at', { precision: 3 }).nullable()
  })
}

/** @throws Error where people work here: their accounts would be lost */
export async function down(knex: Knex): Promise<void> {
  const [{ people }] = (await knex('person').count({ people: '*' })) as [{ people: number }]
  if (Number(people) > 0) throw new Error(`${people} people have accounts here: they would be lost`)
  await knex.schema.alterTable('offer_link', (table) => table.dropColumns('revoked_at'))
  await knex.schema.alterTable('lesson', (table) => {
    table.dropIndex(['workspace', 'at'])
    table.dropColumns('workspace')
  })
  await knex.schema.alterTable('job_history', (table) => table.dropColumns('person_id', 'made_by'))
  await knex.schema.alterTable('job', (table) => {
    table.dropForeign('workspace')
    table.dropUnique(['workspace', 'made_by'])
    for (const name of ['job_page', 'job_needing', 'job_behind', 'job_due']) table.dropIndex([], name)
    table.unique(['made_by'])
    table.dropColumns('workspace')
  })
  for (const table of ['tries', 'job_seen', 'audit', 'once', 'passkey', 'sign_in', 'person', 'workspace'])
    await knex.schema.dropTable(table)
}
