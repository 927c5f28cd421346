import type { BillLine } from '../cost/bill'
import { jobBills, withMethods, type PlannedJob, type PostBill } from '../cost/jobBills'
import { lineBill, type LineTerms, type OnceForAll } from '../cost/lineBill'
import { usualVisits } from '../cost/stands'
import type { Job } from '../document/job'
import { postKey, readPostKey, type PostKey } from '../document/postKey'
import { plan } from '../plan/plan'
import type { Plan } from '../plan/types'
import { linesDrawing } from '../report/lineDrawing'
import { resolveJob } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import type { MetresPerSecond } from '../units/types'
import { OFFER_FORMAT, offerOption, type OfferDraft, type OfferOption } from './offer'

/** What a customer has to know beside the figures, until whoever makes an offer says otherwise. */
export const USUAL_SENTENCES = {
  included: ['Material, work, travel and what is hired, as listed.', 'What is dug out is taken away, as listed.'],
  excluded: [
    'Rotten rails, boards and panels that show on the way: each is shown and agreed before it is replaced.',
    'Rock, and pipes or cables that nobody told us of.',
  ],
  cautions: [
    'Keep away from a leaning fence in wind until it is mended.',
    'Fresh concrete is left alone until we say that it carries.',
  ],
} as const

/** What an option takes: the bills of its posts, before anything is priced. */
export interface OptionWork {
  bills: PostBill[]
  lines: BillLine[]
}

export interface OfferTerms extends Pick<OnceForAll, 'hires'>, LineTerms {
  /** As many as its work takes, where nobody says. */
  visits?: number
  /** A gust in the units of the reader. */
  show: (gust: MetresPerSecond) => string
}

/** A thing of an option that the yard has no price for: an offer without it would be too low, and nobody would see it. */
export class Unpriced extends Error {
  constructor(
    option: string,
    readonly keys: readonly string[],
  ) {
    super(`${option}: without a price in the yard: ${keys.join(', ').replaceAll(/[/-]/g, ' ')}. Put it there first.`)
  }
}

/**
 * What it takes to mend some posts of a job otherwise than they were chosen.
 *
 * @param methods by the key of the post, as `B/B7`
 */
export function optionWork(job: Job, methods: Readonly<Record<PostKey, string>>, tables: Tables): OptionWork {
  const changed = withMethods(job, methods)
  const planned = { job: changed, resolved: resolveJob(changed, tables), plan: plan(changed, tables) }
  const bills = jobBills(planned, tables)
  return { bills, lines: bills.flatMap(({ lines }) => lines) }
}

/**
 * One option of an offer: its bill as the job's own bill has it, and what is done at each post.
 *
 * @param name as the customer reads it
 * @throws Unpriced
 * @example pricedOption('For good', optionWork(job, { 'B/B7': 'new-post-concrete' }, tables), terms).posts[0]!.post // 'B7'
 */
export function pricedOption(
  name: string,
  { bills, lines }: OptionWork,
  { show, hires, visits: said, ...terms }: OfferTerms,
): OfferOption {
  const visits = said ?? usualVisits(bills.map(({ method }) => method))
  const bill = lineBill(lines, { visits, hires }, terms)
  if (bill.unpriced.length > 0) throw new Unpriced(name, bill.unpriced)
  return offerOption(name, { bill, bills, visits }, terms.settings, show)
}

/** Ways that one of the posts which are worked on allows at least, with how many of them do. */
export function waysOfPosts(
  { posts }: Pick<Plan, 'posts'>,
  worked: Readonly<Record<PostKey, string>>,
): { method: string; name: string; posts: number }[] {
  const counts = new Map<string, { name: string; posts: number }>()
  for (const post of posts)
    if (postKey(post) in worked)
      for (const { method, name, allowed, unsuited } of post.methods)
        if (allowed && !unsuited) counts.set(method, { name, posts: (counts.get(method)?.posts ?? 0) + 1 })
  return [...counts].map(([method, { name, posts: count }]) => ({ method, name, posts: count }))
}

/** One way for every post that allows it; the others stay as they were chosen or are proposed. */
export function methodsWith(
  way: string,
  { posts }: Pick<Plan, 'posts'>,
  worked: Readonly<Record<PostKey, string>>,
): Record<PostKey, string> {
  const allowing = new Set(
    posts
      .filter(({ methods }) => methods.some(({ method, allowed }) => method === way && allowed))
      .map((post) => postKey(post)),
  )
  return Object.fromEntries(Object.entries(worked).map(([key, method]) => [key, allowing.has(key) ? way : method]))
}

/** The offer of a job: its options, and the drawing of the lines that are worked on. */
export function offerDraft(
  { job, resolved }: Pick<PlannedJob, 'job' | 'resolved'>,
  worked: Readonly<Record<PostKey, string>>,
  more: Pick<
    OfferDraft,
    'id' | 'jobVersion' | 'madeAt' | 'by' | 'currency' | 'options' | 'validUntil' | 'included' | 'excluded' | 'cautions'
  > & { customer?: string },
): OfferDraft {
  const places = Object.keys(worked).map(readPostKey)
  const lines = resolved.lines.filter(({ id }) => places.some(({ line }) => line === id))
  return {
    format: OFFER_FORMAT,
    version: 1,
    job: job.name,
    site: job.site?.name ?? '',
    drawing: linesDrawing(lines, new Set(places.map(({ post }) => post))),
    ...more,
  }
}
