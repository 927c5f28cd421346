import type { Offer } from '../../core/offer/offer'
import type { PaperName } from '../../core/report/pages'
import type { LengthSystem } from '../../core/units/length'
import { NotFound } from '../http/failures'
import type { StoredJob } from '../jobs/service'
import { inPool } from '../worker/pool'
import type { Workspace } from '../workspace/workspace'
import { tablesHere } from '../yard/service'
import { keptPapers } from './keptPapers'

/*
 * Papers take seconds to make: they are made in threads, and the same paper is made once, however many ask for it.
 */

/** Bytes that are kept in all. */
const KEPT = 48e6
/** A customer's page says what day it is, and no more: the same one serves so long, ms. */
const SERVES = 10 * 60e3

const papers = keptPapers(KEPT)

/** How a paper is wanted, and whose turn it takes: a person's or an address's. */
export interface PaperWanted {
  system: LengthSystem
  paper: PaperName
  asker: string
}

/**
 * The customer's page of a post as a PDF.
 *
 * @param now ms
 * @throws NotFound where there is nothing to print
 * @throws TooLong, Busy, NoTime
 */
export async function customerPaper(
  workspace: Workspace,
  { id, version, document }: StoredJob,
  post: string,
  { asker, system, paper }: PaperWanted,
  now: number,
): Promise<Buffer> {
  const { own, version: yard } = await tablesHere(workspace)
  const at = now - (now % SERVES)
  const key = JSON.stringify(['customer', workspace.id, id, version, yard, post, system, paper, at])
  const bytes = await papers(key, () => inPool(asker, 'customerPaper', document, post, { own, system, paper, now: at }))
  if (!bytes) throw new NotFound('page', post.slice(0, 40))
  return bytes
}

/**
 * The sheet of one hole as a PDF.
 *
 * @throws NotFound where nothing is dug
 * @throws TooLong, Busy, NoTime
 */
export async function holePaper(
  workspace: Workspace,
  { id, version, document }: StoredJob,
  post: string,
  { asker, system }: Pick<PaperWanted, 'asker' | 'system'>,
): Promise<Buffer> {
  const { own, version: yard } = await tablesHere(workspace)
  const key = JSON.stringify(['hole', workspace.id, id, version, yard, post, system])
  const bytes = await papers(key, () => inPool(asker, 'holePaper', document, post, own, system))
  if (!bytes) throw new NotFound('hole', post.slice(0, 40))
  return bytes
}

/** An offer as a PDF; made once, when it is sent, and kept with it. */
export const offerPaper = async (asker: string, offer: Offer, changes: readonly string[]): Promise<Buffer> =>
  Buffer.from(await inPool(asker, 'offerPaper', offer, changes))
