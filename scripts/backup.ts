import { resolve } from 'node:path'
import { backup } from '../database/backup'
import { connect, migrate } from '../database/connect'
import { pictureStore } from '../database/pictures/open'
import { photographs } from './lib/paths.mjs'
import { say } from './lib/say.mjs'
import { withDatabase } from './lib/reach.mjs'

// npm run backup [FILE]: everything that the database and the store of photographs hold, while it is worked on.

const given = process.argv[2] ?? `vindex-${new Date().toISOString().slice(0, 16).replaceAll(':', '')}.backup`
const file = resolve(process.env.INIT_CWD ?? '.', given)
await withDatabase(async (url) => {
  const database = connect(url)
  try {
    await migrate(database)
    const { counts, missing } = await backup(database, pictureStore(photographs), file)
    say(`${counts.job} jobs and ${counts.photograph! - missing.length} photographs are in ${file}`)
    if (missing.length > 0) {
      for (const each of missing) say(each)
      process.exitCode = 1
    }
  } finally {
    await database.destroy()
  }
})
