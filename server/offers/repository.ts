import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import type { Workspace } from '../workspace/workspace'

/** An offer as it was kept; rows are put in and read, never changed. */
export interface StoredOffer {
  /** Its row's: of two jobs whose devices chose the same identity, the second has its own. */
  id: string
  jobId: string
  number: number
  /** Its document, letter for letter. */
  text: string
  pdf: Buffer
  checksum: string
  validUntil: string
  madeAt: Date
}
export interface StoredAnswer {
  isAccepted: boolean
  option?: string
  name: string
  seenChecksum: string
  way: 'link' | 'device'
  answeredAt: Date
}

/** The next number of a job's offers; other writers wait until the transaction ends. */
export async function nextNumber(workspace: Workspace, jobId: string): Promise<number> {
  await workspace.database('job').where({ id: jobId, workspace: workspace.id }).forUpdate().first('id')
  const row = await workspace.database('offer').where({ job_id: jobId }).max({ last: 'number' }).first()
  return Number(row?.last ?? 0) + 1
}

/**
 * Where another job's offer has this identity, it goes under one of its own: that there is another says nothing.
 *
 * @returns the row's identity
 */
export async function insertOffer(workspace: Workspace, offer: StoredOffer): Promise<string> {
  const others = await workspace.database('offer').where({ id: offer.id }).first('id')
  const id = others ? ownKey(offer.jobId, offer.id) : offer.id
  await workspace.database('offer').insert({
    id,
    job_id: offer.jobId,
    number: offer.number,
    document: offer.text,
    pdf: offer.pdf,
    checksum: offer.checksum,
    valid_until: offer.validUntil,
    made_at: offer.madeAt,
  })
  return id
}
const ownKey = (jobId: string, id: string) => createHash('sha256').update(`${jobId}/${id}`).digest('hex')

/** All but the bytes of the page. */
const HEAD = ['id', 'job_id', 'number', 'document', 'checksum', 'made_at'] as const
const HEAD_COLUMNS = HEAD.map((column) => `offer.${column}`)
export type OfferHead = Omit<StoredOffer, 'pdf' | 'validUntil'>
const headOf = (row: Record<string, unknown>): OfferHead => ({
  id: row.id as string,
  jobId: row.job_id as string,
  number: row.number as number,
  text: row.document as string,
  checksum: row.checksum as string,
  madeAt: row.made_at as Date,
})
/** Offers of this workspace's jobs alone. */
const ours = (workspace: Workspace) =>
  workspace.database('offer').join('job', 'job.id', 'offer.job_id').where({ workspace: workspace.id })

export async function findOffer(workspace: Workspace, jobId: string, id: string): Promise<OfferHead | undefined> {
  const row = await ours(workspace)
    .andWhere({ job_id: jobId })
    .whereIn('offer.id', [id, ownKey(jobId, id)])
    .first(HEAD_COLUMNS)
  return row && headOf(row)
}

/** The last first. */
export async function offersOf(workspace: Workspace, jobId: string): Promise<OfferHead[]> {
  const rows = await ours(workspace).andWhere({ job_id: jobId }).orderBy('number', 'desc').select(HEAD_COLUMNS)
  return rows.map(headOf)
}

/** The newest offer of each job that is there, the last made first. */
export async function newestOffers(workspace: Workspace, limit: number): Promise<OfferHead[]> {
  const newest = ours(workspace).select('job_id').max({ number: 'number' }).groupBy('job_id').as('newest')
  const rows = await ours(workspace)
    .join(newest, (on) => on.on('newest.job_id', 'offer.job_id').andOn('newest.number', 'offer.number'))
    .whereNull('job.deleted_at')
    .orderBy('offer.made_at', 'desc')
    .limit(limit)
    .select(HEAD_COLUMNS)
  return rows.map(headOf)
}

/** @param id of its row */
export async function readPdf(workspace: Workspace, id: string): Promise<Buffer> {
  return (await ours(workspace).andWhere({ 'offer.id': id }).first('pdf')).pdf as Buffer
}

export async function insertLink(
  workspace: Workspace,
  link: { hash: string; offerId: string; madeAt: Date; expiresAt: Date },
): Promise<void> {
  await workspace.database('offer_link').insert({
    hash: link.hash,
    offer_id: link.offerId,
    made_at: link.madeAt,
    expires_at: link.expiresAt,
  })
}

/** Takes back every link to an offer. @returns how many there were */
export async function revokeLinks(workspace: Workspace, id: string, now: Date): Promise<number> {
  return workspace
    .database('offer_link')
    .where({ offer_id: id })
    .whereNull('revoked_at')
    .whereIn('offer_id', ours(workspace).andWhere({ 'offer.id': id }).select('offer.id'))
    .update({ revoked_at: now })
}

/** What a link leads to, and in whose workspace: the link itself is the right to see it. */
export async function findLink(
  database: Knex,
  hash: string,
  now: Date,
): Promise<{ workspace: string; offer: OfferHead } | undefined> {
  const row = await database('offer_link')
    .join('offer', 'offer.id', 'offer_link.offer_id')
    .join('job', 'job.id', 'offer.job_id')
    .where({ hash })
    .andWhere('expires_at', '>', now)
    .whereNull('revoked_at')
    .first('workspace', ...HEAD_COLUMNS)
  return row && { workspace: row.workspace, offer: headOf(row) }
}

/** @returns false where somebody has answered before */
export async function insertAnswer(
  workspace: Workspace,
  id: string,
  answer: StoredAnswer,
  now: Date,
): Promise<boolean> {
  const [result] = await workspace.database.raw(
    'insert ignore into offer_answer (offer_id, is_accepted, option_name, name, seen_checksum, way, answered_at, received_at) values (?, ?, ?, ?, ?, ?, ?, ?)',
    [
      id,
      answer.isAccepted,
      answer.option ?? null,
      answer.name,
      answer.seenChecksum,
      answer.way,
      answer.answeredAt,
      now,
    ],
  )
  return result.affectedRows === 1
}

/** Answers by the identity of the offer's row. */
export async function answersOf(workspace: Workspace, ids: readonly string[]): Promise<Map<string, StoredAnswer>> {
  const rows = await workspace.database('offer_answer').whereIn(
    'offer_id',
    ours(workspace)
      .whereIn('offer.id', [...ids])
      .select('offer.id'),
  )
  return new Map(
    rows.map((row) => [
      row.offer_id as string,
      {
        isAccepted: Boolean(row.is_accepted),
        ...(row.option_name === null ? {} : { option: row.option_name as string }),
        name: row.name as string,
        seenChecksum: row.seen_checksum as string,
        way: row.way as StoredAnswer['way'],
        answeredAt: row.answered_at as Date,
      },
    ]),
  )
}
