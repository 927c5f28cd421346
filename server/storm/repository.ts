import type { Knex } from 'knex'

export interface PlacedJob {
  id: string
  name: string
  version: number
  place: string
}

/** Jobs that say for which station their weather is forecast, those written last first. */
export async function placedJobs(database: Knex, limit: number): Promise<PlacedJob[]> {
  return database('job')
    .whereNotNull('place')
    .whereNull('deleted_at')
    .orderBy([
      { column: 'updated_at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(limit)
    .select('id', 'name', 'version', 'place')
}
