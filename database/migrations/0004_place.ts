import type { Knex } from 'knex'

/** Jobs by the station of their forecast. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('job', (table) => {
    table.string('place', 60).nullable().index()
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('job', (table) => {
    table.dropColumn('place')
  })
}
