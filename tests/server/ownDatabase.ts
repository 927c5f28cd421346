import { afterAll, beforeAll, inject } from 'vitest'
import type { Knex } from 'knex'
import { connect, migrate } from '../../database/connect'
import { HOME, type Workspace } from '../../server/workspace/workspace'
import { drop, recreate } from '../../scripts/lib/schemas.mjs'

declare module 'vitest' {
  export interface ProvidedContext {
    databaseUrl: string
  }
}

/** A database of this test file alone, with its tables up to date. */
export function ownDatabase(name: string): { database: () => Knex; workspace: () => Workspace; url: () => string } {
  const url = new URL(inject('databaseUrl'))
  url.pathname = `/vindex_test_${name}_${process.pid}`
  let opened: Knex
  beforeAll(async () => {
    await recreate(url.href)
    opened = connect(url.href)
    await migrate(opened)
  })
  afterAll(async () => {
    await opened.destroy()
    await drop(url.href)
  })
  return { database: () => opened, workspace: () => ({ id: HOME, database: opened }), url: () => url.href }
}
