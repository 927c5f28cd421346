import type { Knex } from 'knex'
import type { Command } from '../../core/edit/commands'
import { demoJobs } from '../../data/demo/jobs'
import { importJob } from '../../server/jobs/service'
import type { Workspace } from '../../server/workspace/workspace'

/* Jobs of the bank side, and edits of its post B7, for whoever tries what the server does with them. */

export const bankSide = demoJobs().at(-1)!

export const reading = (key: string, value: unknown): Command =>
  ({ name: 'setReading', line: 'B', post: 'B7', key, value }) as Command

let counter = 0
export const batch = (version: number, ...commands: Command[]) => ({ id: `batch-${++counter}-x`, version, commands })

export const bankSideJobs = (database: () => Knex, workspace: () => Workspace) => ({
  newBankSide: async () => (await importJob(workspace(), bankSide)).id,
  count: async () => Number((await database()('job').count({ of: '*' }))[0]!.of),
})
