import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase } from './lib/database.mjs'
import { root, state } from './lib/paths.mjs'
import { startServer } from './lib/server.mjs'
import { recreate, drop } from './lib/schemas.mjs'
const build = await ensureBuild()
const database = await startDatabase(join(state, 'e2e-database'))
const url = database.url('vindex_e2e')
await recreate(url)
const server = await startServer({ build, databaseUrl: url, port: await freePort(), seedDemo: true })
try {
  spawnSync('npx', ['playwright', 'test', ...process.argv.slice(2)], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, VINDEX_ADDRESS: server.address, VINDEX_BUILD: build },
  })
} finally {
  await server.stop()
  await drop(url)
  await database.stop()
}
