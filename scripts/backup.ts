import { resolve } from 'node:path'
import { backup } from '../database/backup'
import { connect, migrate } from '../database/connect'
import { say } from './lib/say.mjs'
import { withDatabase } from './lib/reach.mjs'

// npm run backup [FILE]: everything that the database holds, while it is worked on.

const given = process.argv[2] ?? `vindex-${new Date().toISOString().slice(0, 16).replaceAll(':', '')}.backup`
const file = resolve(process.env.INIT_CWD ?? '.', given)
await withDatabase(async (url) => {
  const database = connect(url)
  try {
    await migrate(database)
    const { job, photograph } = await backup(database, file)
    say(`${job} jobs and ${photograph} photographs are in ${file}`)
  } finally {
    await database.destroy()
  }
})
