import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import type { Knex } from 'knex'

/* What a monitor asks for: how often which address was asked, how long that took, and how the process is. */

export const registry = new Registry()
collectDefaultMetrics({ register: registry })

export const requests = new Histogram({
  name: 'vindex_request_seconds',
  help: 'Time of a request, by its address as the program has it, method and status',
  labelNames: ['method', 'route', 'status'],
  buckets: [0.005, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10],
  registers: [registry],
})

/** Connections to the database, and who waits for one. */
export function watchPool(database: Knex): void {
  const { pool } = database.client as {
    pool: Record<'numUsed' | 'numFree' | 'numPendingAcquires', () => number>
  }
  const gauge = new Gauge({
    name: 'vindex_database_connections',
    help: 'Connections to the database that are used, free, and waited for',
    labelNames: ['state'],
    registers: [registry],
    collect() {
      gauge.set({ state: 'used' }, pool.numUsed())
      gauge.set({ state: 'free' }, pool.numFree())
      gauge.set({ state: 'waited-for' }, pool.numPendingAcquires())
    },
  })
}
