// The built application, once for each state of the sources; start and test share it.
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, renameSync, rmSync, statSync, utimesSync } from 'node:fs'
import { join } from 'node:path'
import { root, state } from './paths.mjs'
import { step } from './say.mjs'
import { run } from './setup.mjs'

const SOURCES = [
  'app',
  'core',
  'data',
  'shared',
  'server',
  'paper',
  'database',
  'public',
  'nuxt.config.ts',
  'package-lock.json',
]
const KEPT = 3

/** @returns folder of a build of the sources as they are */
export async function ensureBuild() {
  const folder = join(state, 'build', fingerprint().slice(0, 16))
  if (!existsSync(join(folder, 'server', 'index.mjs'))) {
    // A build that was cut off may still be writing: this one has a name of its own.
    const unfinished = `${folder}.${process.pid}.part`
    await step('building (about a minute)', () => {
      run('npx', ['--no-install', 'nuxt', 'build'], {
        env: { ...process.env, VINDEX_OUTPUT: unfinished, NUXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
        stdio: ['ignore', process.env.VINDEX_VERBOSE ? 'inherit' : 'ignore', 'inherit'],
      })
      renameSync(unfinished, folder)
    })
    forgetOldest()
  }
  utimesSync(folder, new Date(), new Date())
  return folder
}

/** Digest of every source file. */
function fingerprint() {
  const digest = createHash('sha256')
  const visit = (path) => {
    if (!existsSync(path)) return
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) visit(join(path, name))
    } else if (!path.endsWith('.test.ts')) {
      digest.update(path.slice(root.length)).update(readFileSync(path))
    }
  }
  for (const source of SOURCES) visit(join(root, source))
  return digest.digest('hex')
}

/** A running server keeps loading from its build: only the oldest builds go. */
function forgetOldest() {
  const folder = join(state, 'build')
  const builds = readdirSync(folder)
    .map((name) => join(folder, name))
    .sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs)
  for (const old of builds.slice(KEPT)) rmSync(old, { recursive: true, force: true, maxRetries: 3 })
}
