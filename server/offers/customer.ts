import type { Knex } from 'knex'
import type { Job } from '../../core/document/job'
import type { OfferAnswer } from '../../core/offer/answer'
import type { Offer } from '../../core/offer/offer'
import { signOffs } from '../../core/record/entries'
import type { OfferedPost, OfferPage } from '../../shared/contract'
import { NotFound } from '../http/failures'
import { readStoredJob, requireJob } from '../jobs/service'
import { customerPaper, type PaperWanted } from '../papers/papers'
import type { Workspace } from '../workspace/workspace'
import * as offers from './repository'
import { answerOffer, hashOf, readOffers } from './service'
import { postKey } from '../../core/document/postKey'

/* What a customer's link opens: one offer, and of its job the posts that it names. Nothing else, of nobody else. */

/**
 * What a link opens: one offer, in the workspace that made it.
 *
 * @throws NotFound for a link that never was, is over, was taken back, or whose job was put away
 */
async function byLink(
  database: Knex,
  token: string,
  now: Date,
): Promise<{ workspace: Workspace; offer: offers.OfferHead }> {
  const found = await offers.findLink(database, hashOf(token), now)
  if (!found) throw new NotFound('offer', token.slice(0, 4))
  const workspace: Workspace = { id: found.workspace, database }
  // A job that was put away shows nothing, by any of its addresses.
  await requireJob(workspace, found.offer.jobId)
  return { offer: found.offer, workspace }
}
const identityOf = ({ text }: offers.OfferHead) => (JSON.parse(text) as Offer).id

/** What a customer sees: this offer, whether another one took its place, and how the work stands. */
export async function readByLink(database: Knex, token: string, now = new Date()): Promise<OfferPage> {
  const { workspace, offer } = await byLink(database, token, now)
  return pageOf(workspace, offer, now)
}

async function pageOf(workspace: Workspace, offer: offers.OfferHead, now: Date): Promise<OfferPage> {
  const id = identityOf(offer)
  const [all, { document }] = await Promise.all([
    readOffers(workspace, offer.jobId, now),
    readStoredJob(workspace, offer.jobId),
  ])
  const kept = all.find((each) => each.offer.id === id)!
  return { ...kept, work: offeredPosts(kept.offer as Offer, document) }
}

/** Posts that any option of an offer mends and that still are in the job, with the day on which each was finished. */
function offeredPosts({ options }: Offer, job: Job): OfferedPost[] {
  const named = new Set(options.flatMap(({ posts }) => posts.map(({ post }) => post)))
  const done = signOffs(job)
  return job.lines.flatMap((line) =>
    line.posts
      .filter(({ id }) => named.has(id))
      .map(({ id }) => {
        const finished = done.get(postKey({ line: line.id, post: id }))
        return { post: id, ...(finished ? { done: finished.at } : {}) }
      }),
  )
}

/**
 * The customer's page of a post that the offer names.
 *
 * @throws NotFound for any other post, and where there is nothing to print
 */
export async function readPostByLink(
  database: Knex,
  token: string,
  post: string,
  how: PaperWanted,
  now = new Date(),
): Promise<Buffer> {
  const { workspace, offer } = await byLink(database, token, now)
  const stored = await readStoredJob(workspace, offer.jobId)
  const isNamed = offeredPosts(JSON.parse(offer.text) as Offer, stored.document).some((each) => each.post === post)
  if (!isNamed) throw new NotFound('page', post.slice(0, 40))
  return customerPaper(workspace, stored, post, how, now.getTime())
}

export async function readPdfByLink(database: Knex, token: string, now = new Date()): Promise<Buffer> {
  const { workspace, offer } = await byLink(database, token, now)
  return offers.readPdf(workspace, offer.id)
}

export async function answerByLink(
  database: Knex,
  token: string,
  answer: OfferAnswer,
  now = new Date(),
): Promise<OfferPage> {
  const { workspace, offer } = await byLink(database, token, now)
  const said = { ...answer, way: 'link' as const, at: now.toISOString() }
  await answerOffer(workspace, offer.jobId, identityOf(offer), said, now)
  return pageOf(workspace, offer, now)
}
