// What both commands need on a bare machine: Debian packages and the packages of the lockfile.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { step } from './say.mjs'
import { root } from './paths.mjs'

/** Programs to find, and the Debian packages that bring them. */
export const DATABASE_PROGRAMS = {
  mariadbd: 'mariadb-server-core',
  'mariadb-install-db': 'mariadb-server-core',
  mariadb: 'mariadb-client-core',
}
export const BROWSER_PROGRAMS = { chromium: 'chromium' }

const SEARCHED = ['/usr/bin', '/usr/sbin', '/usr/local/bin', '/usr/local/sbin']

export function findProgram(name) {
  return SEARCHED.map((folder) => join(folder, name)).find((path) => existsSync(path))
}

export async function ensurePrograms(programs) {
  const missing = [
    ...new Set(
      Object.entries(programs)
        .filter(([name]) => !findProgram(name))
        .map(([, debian]) => debian),
    ),
  ]
  if (missing.length === 0) return
  await step(`installing ${missing.join(', ')}`, () => {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    run('apt-get', ['update', '-qq'], { env, stdio: ['ignore', 'ignore', 'inherit'] })
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], {
      env,
      stdio: ['ignore', 'ignore', 'inherit'],
    })
  })
}

/** `npm ci`, once for each state of the lockfile. */
export async function ensurePackages() {
  const stamp = join(root, 'node_modules', '.vindex-lock')
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  await step('installing packages by the lockfile', () => {
    run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { stdio: ['ignore', 'ignore', 'inherit'] })
    writeFileSync(stamp, lock)
  })
}

/** @throws when the command fails */
export function run(command, words, options = {}) {
  const result = spawnSync(command, words, { cwd: root, stdio: 'inherit', ...options })
  if (result.error) throw result.error
  if (result.status !== 0) throw new Error(`${command} ${words[0]} failed (${result.status ?? result.signal})`)
}
