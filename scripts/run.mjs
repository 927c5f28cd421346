// Runs a TypeScript program at once: bundled in some 30 ms, no build to keep in step.
//   node scripts/run.mjs bench/bench.ts
import { mkdtempSync, mkdirSync, rmSync } from 'node:fs'
import { basename, dirname, join, resolve } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { build } from 'esbuild'

const root = dirname(dirname(fileURLToPath(import.meta.url)))

/** Plain modules know their own place in the checkout, so they are not bundled. */
function keepScripts(bundler) {
  bundler.onResolve({ filter: /^\..*\.mjs$/ }, ({ path, resolveDir }) => ({
    path: pathToFileURL(resolve(resolveDir, path)).href,
    external: true,
  }))
}

/** @returns the program's exports */
export async function runTypeScript(entry) {
  // Beside node_modules, so that packages left outside the bundle are found.
  const cache = join(root, 'node_modules', '.cache')
  mkdirSync(cache, { recursive: true })
  const outdir = mkdtempSync(join(cache, 'vindex-'))
  process.once('exit', () => rmSync(outdir, { recursive: true, force: true }))
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
  return import(pathToFileURL(join(outdir, basename(entry).replace(/\.ts$/, '.mjs'))).href)
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  process.argv.splice(1, 1)
  await runTypeScript(process.argv[1])
}
