import type { Knex } from 'knex'

/*
 * What the record of a job asks for next, and what it has taught: the first visit that is due, and one row for each
 * record of actual over planned and each post that was opened. A job's rows are written anew as it goes on.
 */
const identity = (letters: number) => `varchar(${letters}) character set utf8mb4 collate utf8mb4_bin`

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('job', (table) => {
    table.datetime('visit_due', { precision: 3 }).nullable().index()
    // Posts to be looked at after a storm.
    table.boolean('is_watched').notNullable().defaultTo(false).index()
    table.boolean('teaches').notNullable().defaultTo(false)
    // Version that the lessons were drawn from.
    table.integer('taught_version').unsigned().notNullable().defaultTo(0)
    table.index(['teaches', 'taught_version'])
  })
  await knex.schema.createTable('lesson', (table) => {
    table.charset('utf8mb4')
    table.specificType('job_id', identity(36)).notNullable().references('job.id').onDelete('CASCADE')
    table.integer('number').unsigned().notNullable()
    table.specificType('kind', identity(16)).notNullable()
    table.datetime('at', { precision: 3 }).notNullable()
    table.json('value').notNullable()
    table.primary(['job_id', 'number'])
    table.index(['kind', 'at'])
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('lesson')
  await knex.schema.alterTable('job', (table) => {
    table.dropColumns('visit_due', 'is_watched', 'teaches', 'taught_version')
  })
}
