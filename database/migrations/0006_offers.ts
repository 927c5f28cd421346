import type { Knex } from 'knex'

/*
 * Offers as they were made, with the bytes of their page, and what was answered: rows come and are never changed.
 * A job that was offered for is not forgotten.
 */
const identity = (letters: number) => `varchar(${letters}) character set utf8mb4 collate utf8mb4_bin`

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('offer', (table) => {
    table.charset('utf8mb4')
    table.specificType('id', identity(64)).primary()
    table.specificType('job_id', identity(36)).notNullable().references('job.id').onDelete('RESTRICT')
    table.integer('number').unsigned().notNullable()
    // Text, not the database's own idea of it: it stays letter for letter.
    table.specificType('document', 'mediumtext character set utf8mb4').notNullable()
    table.specificType('pdf', 'mediumblob').notNullable()
    // SHA-256 of the PDF's bytes.
    table.specificType('checksum', 'char(64)').notNullable()
    table.date('valid_until').notNullable()
    table.datetime('made_at', { precision: 3 }).notNullable()
    table.unique(['job_id', 'number'])
  })
  await knex.schema.createTable('offer_link', (table) => {
    table.charset('utf8mb4')
    // SHA-256 of what stands in the link: who reads the database cannot open an offer by it.
    table.specificType('hash', 'char(64)').primary()
    table.specificType('offer_id', identity(64)).notNullable().references('offer.id').onDelete('RESTRICT')
    table.datetime('made_at', { precision: 3 }).notNullable()
    table.datetime('expires_at', { precision: 3 }).notNullable()
  })
  await knex.schema.createTable('offer_answer', (table) => {
    table.charset('utf8mb4')
    // One answer an offer: what was said is said.
    table.specificType('offer_id', identity(64)).primary().references('offer.id').onDelete('RESTRICT')
    table.boolean('is_accepted').notNullable()
    table.string('option_name', 200).nullable()
    table.string('name', 100).notNullable()
    table.specificType('seen_checksum', 'char(64)').notNullable()
    // By the customer's link, or on the device of whoever made it.
    table.enum('way', ['link', 'device']).notNullable()
    table.datetime('answered_at', { precision: 3 }).notNullable()
    table.datetime('received_at', { precision: 3 }).notNullable()
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('offer_answer')
  await knex.schema.dropTable('offer_link')
  await knex.schema.dropTable('offer')
}
