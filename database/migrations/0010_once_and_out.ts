import type { Knex } from 'knex'

/*
 * Why a device was signed out, by whom, and how much it had not sent when it was last heard. A server of the version
 * before writes none of these: its devices keep what they have not sent.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sign_in', (table) => {
    table.specificType('revoked_why', 'varchar(20) character set ascii').nullable()
    table.string('revoked_by', 100).nullable()
    table.integer('waiting').unsigned().notNullable().defaultTo(0)
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sign_in', (table) => table.dropColumns('revoked_why', 'revoked_by', 'waiting'))
}
