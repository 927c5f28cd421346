import type { Knex } from 'knex'

/*
 * What a workspace has of its own in the place of what the program ships: rows of its yard's tables, and how they came
 * about. Prices in them are whole minor units.
 */
const identity = (letters: number) => `varchar(${letters}) character set utf8mb4 collate utf8mb4_bin`

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('yard', (table) => {
    table.charset('utf8mb4')
    table.specificType('workspace', identity(36)).primary()
    table.integer('version').unsigned().notNullable()
  })
  await knex.schema.createTable('yard_row', (table) => {
    table.charset('utf8mb4')
    table.specificType('workspace', identity(36)).notNullable().references('yard.workspace').onDelete('CASCADE')
    table.specificType('table_key', identity(40)).notNullable()
    table.specificType('row_key', identity(60)).notNullable()
    // Null where a shipped row was taken out.
    table.json('row').nullable()
    table.primary(['workspace', 'table_key', 'row_key'])
  })
  await knex.schema.createTable('yard_history', (table) => {
    table.charset('utf8mb4')
    table.specificType('workspace', identity(36)).notNullable().references('yard.workspace').onDelete('CASCADE')
    table.integer('version').unsigned().notNullable()
    // A batch that is sent twice is applied once.
    table.specificType('batch_id', identity(64)).notNullable()
    table.json('changes').notNullable()
    // What somebody else had changed before.
    table.json('conflicts').notNullable()
    table.string('made_by', 100).nullable()
    table.datetime('made_at', { precision: 3 }).notNullable()
    table.primary(['workspace', 'version'])
    table.unique(['workspace', 'batch_id'])
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('yard_history')
  await knex.schema.dropTable('yard_row')
  await knex.schema.dropTable('yard')
}
