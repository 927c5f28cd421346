// A process that keeps the unit tests of a spoilt copy loaded, so that a mutant costs a second and not ten.
// Told { file, text, tests } it writes the text, runs the tests in turn until one fails, and says { passed }.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createVitest } from 'vitest/node'

const copy = process.cwd()
const vitest = await createVitest('test', {
  root: copy,
  project: ['core', 'unit'],
  watch: true,
  bail: 1,
  reporters: [{}],
  pool: 'threads',
  isolate: false,
  fileParallelism: false,
})
await vitest.standalone()

async function pass(tests) {
  for (const group of tests) {
    const specifications = await vitest.globTestSpecifications(group)
    const { testModules, unhandledErrors } = await vitest.runTestSpecifications(specifications, false)
    if (unhandledErrors.length > 0 || testModules.length === 0) return false
    if (testModules.some((module) => !module.ok())) return false
  }
  return true
}

process.on('message', async ({ file, text, tests }) => {
  if (file) {
    const path = join(copy, file)
    writeFileSync(path, text)
    vitest.invalidateFile(path)
  }
  const passed = tests ? await pass(tests).catch(() => false) : true
  process.send({ passed })
})
process.send({ ready: true })
