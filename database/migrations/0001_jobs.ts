import type { Knex } from 'knex'

export async function up(database: Knex): Promise<void> {
  await database.schema.createTable('job', (table) => {
    table.charset('utf8mb4')
    table.string('id', 36).primary()
    table.string('name', 200).notNullable()
    table.string('site_name', 200).notNullable()
    table.integer('version').unsigned().notNullable()
    table.json('document').notNullable()
    // What lists show, written together with the document.
    table.json('summary').notNullable()
    table.datetime('created_at', { precision: 3 }).notNullable()
    table.datetime('updated_at', { precision: 3 }).notNullable().index()
  })
  await database.schema.createTable('job_history', (table) => {
    table.charset('utf8mb4')
    table.string('job_id', 36).notNullable().references('job.id').onDelete('CASCADE')
    table.integer('version').unsigned().notNullable()
    // A batch that is sent twice is applied once.
    table.string('batch_id', 64).notNullable()
    table.json('commands').notNullable()
    table.datetime('made_at', { precision: 3 }).notNullable()
    table.primary(['job_id', 'version'])
    table.unique(['job_id', 'batch_id'])
  })
  await database.schema.createTable('setting', (table) => {
    table.string('name', 64).primary()
    table.json('value').notNullable()
  })
}

export async function down(database: Knex): Promise<void> {
  await database.schema.dropTable('setting')
  await database.schema.dropTable('job_history')
  await database.schema.dropTable('job')
}
