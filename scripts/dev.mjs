// npm run dev: the private database and Nuxt's own development server.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { startDatabase } from './lib/database.mjs'
import { root, state } from './lib/paths.mjs'
import { DATABASE_PROGRAMS, ensurePackages, ensurePrograms } from './lib/setup.mjs'

await ensurePrograms(DATABASE_PROGRAMS)
await ensurePackages()
const database = await startDatabase(join(state, 'development'))
const nuxt = spawn('npx', ['--no-install', 'nuxt', 'dev'], {
  cwd: root,
  stdio: 'inherit',
  env: {
    ...process.env,
    NUXT_DATABASE_URL: database.url('vindex'),
    NUXT_SEED_DEMO: 'true',
    NUXT_TELEMETRY_DISABLED: '1',
  },
})
const stop = () => nuxt.kill('SIGTERM')
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
nuxt.once('exit', async (code) => {
  await database.stop()
  process.exit(code ?? 0)
})
