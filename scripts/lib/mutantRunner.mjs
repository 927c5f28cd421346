// A process that keeps the tests of a spoilt copy loaded, so that a mutant costs a second and not ten.
// Told { file, text, tests } it writes the text, runs the tests in turn until one fails, and says { passed } or { error }.
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createVitest } from 'vitest/node'

const copy = process.cwd()
const vitest = await createVitest('test', {
  root: copy,
  // No watcher: it would run tests behind our back.
  watch: false,
  bail: 1,
  reporters: [{}],
  fileParallelism: false,
})
await vitest.standalone()

/** What is loaded of a file, and of all that imports it, is loaded anew. */
function invalidate(path) {
  vitest.invalidateFile(path)
  for (const { vite } of vitest.projects)
    for (const { moduleGraph } of Object.values(vite.environments)) {
      const seen = new Set()
      const visit = (module) => {
        if (seen.has(module)) return
        seen.add(module)
        if (module.file) vitest.watcher.invalidates.add(module.file)
        module.importers.forEach(visit)
      }
      moduleGraph.getModulesByFile(path)?.forEach(visit)
    }
}

/** Whether every test passes, by the modules of this run alone: others keep the state of an earlier one. */
async function passes(filters) {
  const specifications = await vitest.globTestSpecifications(filters)
  if (specifications.length === 0) throw new Error(`no test is called ${filters.join(', ')}`)
  const keyOf = (moduleId, project) => `${project.name} ${moduleId}`
  const wanted = new Set(specifications.map(({ moduleId, project }) => keyOf(moduleId, project)))
  for (const { moduleId } of specifications) vitest.state.filesMap.delete(moduleId)
  const { testModules, unhandledErrors } = await vitest.runTestSpecifications(specifications, false)
  const run = testModules.filter(({ moduleId, project }) => wanted.has(keyOf(moduleId, project)))
  if (unhandledErrors.length > 0 || run.some((module) => !module.ok())) return false
  if (run.length < wanted.size) throw new Error(`${wanted.size - run.length} of ${wanted.size} test files did not run`)
  return true
}

async function answer({ file, text, tests = [] }) {
  if (file) {
    const path = join(copy, file)
    writeFileSync(path, text)
    invalidate(path)
  }
  for (const filters of tests) if (!(await passes(filters))) return { passed: false }
  return { passed: true }
}

process.on('message', async (change) => {
  process.send(await answer(change).catch((error) => ({ error: String(error?.stack ?? error) })))
})
process.send({ ready: true })
