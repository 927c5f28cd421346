// npm test: everything from a bare machine to one closing line. Never touches what `npm start` uses.
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuild } from './lib/build.mjs'
import { freePort, startDatabase, TEST_DATABASES } from './lib/database.mjs'
import { root, state } from './lib/paths.mjs'
import { say, step } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'
import { BROWSER_PROGRAMS, DATABASE_PROGRAMS, ensurePackages, ensurePrograms } from './lib/setup.mjs'
import { saySlowest } from './lib/slowestReporter.mjs'
import { clockEnvironment } from './lib/testClock.mjs'

/** Set-up goes by the machine's clock; tests, and the server that they ask, by that of the run. */
const clock = clockEnvironment(process.env.VINDEX_DATE)
const reports = join(state, 'reports')
const total = { passed: 0, failed: 0 }

await ensurePrograms({ ...BROWSER_PROGRAMS, ...(process.env.DATABASE_URL ? {} : DATABASE_PROGRAMS) })
await ensurePackages()
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })

// Each check stands for one test in the closing line. The types take as long as all of the others together.
await Promise.all([
  check('types', ['vue-tsc', '-b', '--noEmit']),
  (async () => {
    await check('lint', ['eslint', '.'])
    await check('format', ['prettier', '--check', '--log-level=warn', '.'])
    await check('import directions', [
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      'app',
      'core',
      'server',
      'cli',
      'data',
      'database',
      'paper',
      'evaluation',
      'shared',
      'tests',
    ])
  })(),
])

const database = process.env.DATABASE_URL
  ? undefined
  : await step('starting a database for the tests', () =>
      startDatabase(join(state, 'test-database'), { names: TEST_DATABASES }),
    )
const databaseUrl = (name) => {
  if (database) return database.url(name)
  const url = new URL(process.env.DATABASE_URL)
  url.pathname = `/${name}`
  return url.href
}
try {
  await runVitest()
  await runEndToEnd()
} finally {
  await database?.stop()
}
say('done')
process.stdout.write(`${total.passed} passed, ${total.failed} failed\n`)
process.exit(total.failed > 0 ? 1 : 0)

async function check(name, words) {
  const ok = await step(name, () => succeeds(words))
  total[ok ? 'passed' : 'failed']++
}

async function runVitest() {
  const report = join(reports, 'vitest.json')
  const env = { ...clock, VINDEX_TEST_DATABASE: databaseUrl('mysql') }
  const ok = await step('unit and server tests', () =>
    succeeds(
      [
        'vitest',
        'run',
        '--reporter=default',
        '--reporter=json',
        '--reporter=./scripts/lib/slowestReporter.mjs',
        `--outputFile.json=${report}`,
      ],
      env,
    ),
  )
  const { numPassedTests = 0, numFailedTests = 0 } = read(report)
  add(numPassedTests, numFailedTests, ok)
}

async function runEndToEnd() {
  const build = await ensureBuild()
  const name = `vindex_test_${process.pid}`
  const { recreate, drop } = await import('./lib/schemas.mjs')
  await recreate(databaseUrl(name))
  const server = await startServer({
    build,
    databaseUrl: databaseUrl(name),
    port: await freePort(),
    seedDemo: true,
    settings: clock,
  })
  try {
    const report = join(reports, 'end-to-end.json')
    const env = { ...clock, VINDEX_ADDRESS: server.address, VINDEX_BUILD: build, VINDEX_E2E_REPORT: report }
    const ok = await step('end-to-end tests', () => succeeds(['playwright', 'test'], env))
    const { suites = [], stats: { expected = 0, flaky = 0, unexpected = 0 } = {} } = read(report)
    add(expected + flaky, unexpected, ok)
    saySlowest(suites.flatMap(endToEndTests))
  } finally {
    await server.stop()
    await drop(databaseUrl(name))
  }
}

/** Tests of a suite of the end-to-end report, and of those in it. */
function endToEndTests({ title, suites = [], specs = [] }) {
  const own = specs.flatMap((spec) =>
    spec.tests.map(({ timeout, results }) => ({
      name: `${title} › ${spec.title}`,
      duration: Math.max(...results.map(({ duration }) => duration)),
      limit: timeout,
    })),
  )
  return [...own, ...suites.flatMap(endToEndTests)]
}

/** A runner that failed without a failed test has failed all the same. */
function add(passed, failed, ok) {
  total.passed += passed
  total.failed += ok ? failed : Math.max(1, failed)
}

async function succeeds(words, env = {}) {
  const child = spawn('npx', ['--no-install', ...words], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', ...env },
  })
  const [status] = await once(child, 'exit')
  return status === 0
}

function read(report) {
  try {
    return JSON.parse(readFileSync(report, 'utf8'))
  } catch {
    return {}
  }
}
