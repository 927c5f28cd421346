import type { Knex } from 'knex'

export async function up(database: Knex): Promise<void> {
  await database.schema.createTable('photograph', (table) => {
    table.charset('utf8mb4')
    table.string('job_id', 36).notNullable().references('job.id').onDelete('CASCADE')
    // Given by the device that took it, so that one that is sent twice is stored once.
    table.string('id', 64).notNullable()
    table.string('media_type', 40).notNullable()
    table.integer('pixel_width').unsigned().notNullable()
    table.integer('pixel_height').unsigned().notNullable()
    // SHA-256 of what is stored.
    table.specificType('checksum', 'char(64)').notNullable()
    table.specificType('data', 'mediumblob').notNullable()
    table.datetime('stored_at', { precision: 3 }).notNullable()
    table.primary(['job_id', 'id'])
  })
}

export async function down(database: Knex): Promise<void> {
  await database.schema.dropTable('photograph')
}
