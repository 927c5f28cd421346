import { join } from 'node:path'
import { spawn } from 'node:child_process'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase, TEST_DATABASES } from './lib/database.mjs'
import { state } from './lib/paths.mjs'
import { recreate } from './lib/schemas.mjs'
import { startServer } from './lib/server.mjs'
const args = process.argv.slice(2)
const serve = args[0] === 'serve'
const db = await startDatabase(join(state, serve ? 'bench-database' : 'test-database'), { names: TEST_DATABASES })
const url = (name) => (db.urlOf ? db.urlOf(name) : db.url(name))
const build = await ensureBuild()
const name = `vindex_test_e2e_${process.pid}`
await recreate(url(name))
const server = await startServer({ build, databaseUrl: url(name), port: await freePort(), seedDemo: true })
console.log('ADDRESS', server.address)
if (!serve) {
  const child = spawn('npx', ['playwright', 'test', ...args], { stdio: 'inherit', env: { ...process.env, VINDEX_ADDRESS: server.address, VINDEX_BUILD: build, VINDEX_E2E_REPORT: '/tmp/e2e-report' } })
  child.on('exit', async (code) => { await server.stop?.(); await db.stop?.(); process.exit(code) })
} else setInterval(() => {}, 1e6)
