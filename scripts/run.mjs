// Runs a TypeScript program at once: bundled when its sources have changed, in some 60 ms.
//   node scripts/run.mjs bench/bench.ts
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, dirname, join, resolve } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
/** Beside node_modules, so that packages left outside the bundle are found. */
const cache = join(root, 'node_modules', '.cache', 'vindex-run')
/** Where a program's sources may lie. */
const SOURCES = [
  'core',
  'data',
  'cli',
  'bench',
  'scripts',
  'server',
  'database',
  'paper',
  'evaluation',
  'shared',
  'tests',
]
const KEPT_FOR = 24 * 3600 * 1000

/** @returns the program's exports */
export async function runTypeScript(entry) {
  const bundle = join(cache, stateOfSources(entry))
  if (!existsSync(bundle)) await makeBundle(entry, bundle)
  return import(pathToFileURL(join(bundle, basename(entry).replace(/\.ts$/, '.mjs'))).href)
}

/** Names, sizes and times of all sources: a few milliseconds, against a second for reading them. */
function stateOfSources(entry) {
  const digest = createHash('sha256').update(entry)
  const visit = (folder) => {
    for (const each of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, each.name)
      if (each.isDirectory()) visit(path)
      else {
        const { mtimeMs, size } = statSync(path)
        digest.update(`${path} ${mtimeMs} ${size}\n`)
      }
    }
  }
  for (const source of SOURCES) visit(join(root, source))
  return digest.digest('hex').slice(0, 24)
}

async function makeBundle(entry, bundle) {
  const { build } = await import('esbuild')
  mkdirSync(cache, { recursive: true })
  for (const old of readdirSync(cache)) {
    if (Date.now() - statSync(join(cache, old)).mtimeMs > KEPT_FOR) rmSync(join(cache, old), { recursive: true })
  }
  const outdir = mkdtempSync(join(cache, 'part-'))
  await build({
    entryPoints: [resolve(root, entry)],
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    // What is imported on demand is loaded on demand: the shell answers sooner without the schemas.
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    packages: 'external',
    logLevel: 'error',
    plugins: [{ name: 'scripts-as-they-are', setup: keepScripts }],
  })
  // Two runs may get here at once: the second finds the first one's bundle in place.
  if (existsSync(bundle)) rmSync(outdir, { recursive: true })
  else renameSync(outdir, bundle)
}

/** Plain modules know their own place in the checkout, so they are not bundled. */
function keepScripts(bundler) {
  bundler.onResolve({ filter: /^\..*\.[cm]js$/ }, ({ path, resolveDir }) => ({
    path: pathToFileURL(resolve(resolveDir, path)).href,
    external: true,
  }))
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  process.argv.splice(1, 1)
  await runTypeScript(process.argv[1])
}
