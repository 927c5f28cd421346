import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { backup, restore } from '../database/backup'
import { connect, migrate } from '../database/connect'
import { pictureStore } from '../database/pictures/open'
import { photographs } from './lib/paths.mjs'
import { checkAll } from '../server/jobs/consistency'
import { say } from './lib/say.mjs'
import { withDatabase } from './lib/reach.mjs'

// npm run restore FILE: a backup in the place of what is there, which is itself kept in a backup first.

const [given] = process.argv.slice(2)
const file = resolve(process.env.INIT_CWD ?? '.', given ?? '')
if (!given || !existsSync(file)) {
  say('say which backup: npm run restore FILE')
  process.exit(2)
}
await withDatabase(async (url) => {
  const database = connect(url)
  try {
    await migrate(database)
    const pictures = pictureStore(photographs)
    const before = `${file}.before`
    await backup(database, pictures, before)
    say(`what was there is in ${before}`)
    const { job = 0, photograph = 0 } = await restore(database, pictures, file)
    say(`${job} jobs and ${photograph} photographs are back`)
    const { jobs, wrong } = await checkAll(database, pictures)
    say(wrong.length === 0 ? `each of ${jobs} jobs goes together` : `${wrong.length} things do not go together:`)
    for (const each of wrong) say(each)
    if (wrong.length > 0) process.exitCode = 1
  } catch (error) {
    say((error as Error).message)
    process.exitCode = 1
  } finally {
    await database.destroy()
  }
})
