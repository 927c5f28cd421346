import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { startDatabase, TEST_DATABASES } from '../../scripts/lib/database.mjs'
import { state } from '../../scripts/lib/paths.mjs'

/** `npm test` brings a database; a developer who runs only these tests gets one of his own. */
export default async function setup(project: TestProject) {
  const given = process.env.VINDEX_TEST_DATABASE
  if (given) return project.provide('databaseUrl', given)
  const database = await startDatabase(join(state, 'test-database'), { names: TEST_DATABASES })
  project.provide('databaseUrl', database.url('mysql'))
  return () => database.stop()
}
