import type { Knex } from 'knex'

/*
 * What a job was made of: its key asked for again with another document is refused.
 *
 * Why a device was signed out, by whom, and how much it had not sent when it was last heard. A server of the version
 * before writes none of these: its devices keep what they have not sent.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sign_in', (table) => {
    table.specificType('revoked_why', 'varchar(20) character set ascii').nullable()
    table.string('revoked_by', 100).nullable()
    table.integer('waiting').unsigned().notNullable().defaultTo(0)
  })
  // Devices on which a person was signed in before.
  await knex.schema.createTable('known_device', (table) => {
    table.charset('utf8mb4')
    // SHA-256 of what the cookie holds.
    table.specificType('hash', 'char(64) character set ascii').notNullable()
    table
      .specificType('person_id', 'varchar(36) character set utf8mb4 collate utf8mb4_bin')
      .notNullable()
      .references('person.id')
      .onDelete('CASCADE')
    table.datetime('made_at', { precision: 3 }).notNullable()
    table.primary(['hash', 'person_id'])
  })
  await knex.schema.alterTable('job', (table) => {
    // SHA-256 of the document.
    table.specificType('made_of', 'char(64) character set ascii').nullable()
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('known_device')
  await knex.schema.alterTable('job', (table) => table.dropColumn('made_of'))
  await knex.schema.alterTable('sign_in', (table) => table.dropColumns('revoked_why', 'revoked_by', 'waiting'))
}
