import type { Knex } from 'knex'
import { checkJob } from '../../core/document/check'
import { applyCommands } from '../../core/edit/apply'
import { checksumOf, StoreFailure, type PictureStore } from '../../database/pictures/store'
import { picturesIn } from '../photographs/repository'
import { readPhotograph } from '../photographs/service'
import type { Workspace } from '../workspace/workspace'
import { tablesHere } from '../yard/service'
import { findHead, historySince, readKept } from './repository'

/**
 * Whether everything that is kept of every job of every workspace goes together: the history has each version once,
 * what was done is readable, it leads to a document that is one, and each picture is what it was.
 *
 * @returns what does not, a sentence each; and how many jobs were looked at
 */
export async function checkAll(database: Knex, pictures: PictureStore): Promise<{ jobs: number; wrong: string[] }> {
  const rows: { id: string; workspace: string }[] = await database('job')
    .whereNull('deleted_at')
    .select('id', 'workspace')
  const wrong: string[] = []
  for (const { id, workspace } of rows)
    for (const each of await wrongWith({ id: workspace, database }, pictures, id)) wrong.push(`job ${id}: ${each}`)
  return { jobs: rows.length, wrong }
}

async function wrongWith(workspace: Workspace, pictures: PictureStore, id: string): Promise<string[]> {
  try {
    const [head, kept, history] = await Promise.all([
      findHead(workspace, id),
      readKept(workspace, id),
      historySince(workspace, id, 0),
    ])
    const version = head!.version
    // From what is kept, not from what this server remembers.
    const document = history
      .filter((each) => each.version > kept.version)
      .reduce((job, { commands }) => applyCommands(job, commands), kept.job)
    const { tables } = await tablesHere(workspace)
    return [
      ...(history.length === version - 1 && history.every((each, i) => each.version === i + 2)
        ? []
        : [`its history has ${history.length} versions up to ${version}`]),
      ...history
        .filter(({ commands }) => !Array.isArray(commands))
        .map((each) => `version ${each.version} says nothing`),
      ...checkJob(document, tables, { firstOnly: true }).map(({ message }) => message),
      ...(await wrongPictures(workspace, pictures, id)),
    ]
  } catch (error) {
    return [(error as Error).message]
  }
}

async function wrongPictures(workspace: Workspace, pictures: PictureStore, id: string): Promise<string[]> {
  const wrong: string[] = []
  for (const picture of await picturesIn(workspace, id))
    try {
      const { data, checksum } = await readPhotograph(workspace, pictures, id, picture)
      if (checksumOf(data) !== checksum) wrong.push(`photograph ${picture} is not what it was`)
    } catch (error) {
      if (!(error instanceof StoreFailure)) throw error
      wrong.push(error.message)
    }
  return wrong
}
