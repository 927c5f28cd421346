// Runs a TypeScript program at once: bundled in memory in some 30 ms, no build to keep in step.
//   node scripts/run.mjs bench/bench.ts
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { buildSync } from 'esbuild'

const root = dirname(dirname(fileURLToPath(import.meta.url)))

export async function runTypeScript(entry) {
  const built = buildSync({
    entryPoints: [resolve(root, entry)],
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    packages: 'external',
    logLevel: 'error',
  })
  // Beside node_modules, so that packages left outside the bundle are found.
  const folder = join(root, 'node_modules', '.cache', 'vindex')
  mkdirSync(folder, { recursive: true })
  const file = join(folder, `${process.pid}.mjs`)
  writeFileSync(file, built.outputFiles[0].contents)
  try {
    return await import(pathToFileURL(file).href)
  } finally {
    rmSync(file, { force: true })
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  process.argv.splice(1, 1)
  await runTypeScript(process.argv[1])
}
