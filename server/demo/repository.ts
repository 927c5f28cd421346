import type { Knex } from 'knex'

/** @returns true for the one caller that sets the mark first */
export async function markOnce(database: Knex, name: string): Promise<boolean> {
  const [result] = await database.raw('insert ignore into setting (name, value) values (?, ?)', [name, 'true'])
  return result.affectedRows === 1
}
