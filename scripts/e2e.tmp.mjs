import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase, TEST_DATABASES } from './lib/database.mjs'
import { state } from './lib/paths.mjs'
import { recreate } from './lib/schemas.mjs'
import { startServer } from './lib/server.mjs'
const serve = process.argv[2] === 'serve'
const db = await startDatabase(join(state, serve ? 'bench-database' : 'test-database'), { names: TEST_DATABASES })
const build = await ensureBuild()
const name = `vindex_test_${process.pid}`
await recreate(db.url(name))
const server = await startServer({ build, databaseUrl: db.url(name), port: await freePort(), seedDemo: true })
console.log('ADDRESS', server.address, build)
if (!serve) {
  const child = spawn('npx', ['playwright', 'test', ...process.argv.slice(2)], { stdio: 'inherit', env: { ...process.env, VINDEX_ADDRESS: server.address, VINDEX_BUILD: build } })
  child.on('exit', (code) => process.exit(code ?? 1))
}
