import type { Knex } from 'knex'

/** An offer as it was kept; rows are put in and read, never changed. */
export interface StoredOffer {
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
export async function nextNumber(database: Knex, jobId: string): Promise<number> {
  await database('job').where({ id: jobId }).forUpdate().first('id')
  const row = await database('offer').where({ job_id: jobId }).max({ last: 'number' }).first()
  return Number(row?.last ?? 0) + 1
}

export async function insertOffer(database: Knex, offer: StoredOffer): Promise<void> {
  await database('offer').insert({
    id: offer.id,
    job_id: offer.jobId,
    number: offer.number,
    document: offer.text,
    pdf: offer.pdf,
    checksum: offer.checksum,
    valid_until: offer.validUntil,
    made_at: offer.madeAt,
  })
}

/** All but the bytes of the page. */
const HEAD = ['id', 'job_id', 'number', 'document', 'checksum', 'made_at'] as const
export type OfferHead = Omit<StoredOffer, 'pdf' | 'validUntil'>
const headOf = (row: Record<string, unknown>): OfferHead => ({
  id: row.id as string,
  jobId: row.job_id as string,
  number: row.number as number,
  text: row.document as string,
  checksum: row.checksum as string,
  madeAt: row.made_at as Date,
})

export async function findOffer(database: Knex, id: string): Promise<OfferHead | undefined> {
  const row = await database('offer')
    .where({ id })
    .first(...HEAD)
  return row && headOf(row)
}

/** The last first. */
export async function offersOf(database: Knex, jobId: string): Promise<OfferHead[]> {
  const rows = await database('offer')
    .where({ job_id: jobId })
    .orderBy('number', 'desc')
    .select(...HEAD)
  return rows.map(headOf)
}

/** The newest offer of each job that is there, the last made first. */
export async function newestOffers(database: Knex, limit: number): Promise<OfferHead[]> {
  const newest = database('offer').select('job_id').max({ number: 'number' }).groupBy('job_id').as('newest')
  const rows = await database('offer')
    .join(newest, (on) => on.on('newest.job_id', 'offer.job_id').andOn('newest.number', 'offer.number'))
    .join('job', 'job.id', 'offer.job_id')
    .whereNull('job.deleted_at')
    .orderBy('offer.made_at', 'desc')
    .limit(limit)
    .select(HEAD.map((column) => `offer.${column}`))
  return rows.map(headOf)
}

export async function readPdf(database: Knex, id: string): Promise<Buffer> {
  return (await database('offer').where({ id }).first('pdf')).pdf as Buffer
}

export async function insertLink(
  database: Knex,
  link: { hash: string; offerId: string; madeAt: Date; expiresAt: Date },
): Promise<void> {
  await database('offer_link').insert({
    hash: link.hash,
    offer_id: link.offerId,
    made_at: link.madeAt,
    expires_at: link.expiresAt,
  })
}

export async function findLink(database: Knex, hash: string, now: Date): Promise<string | undefined> {
  const row = await database('offer_link').where({ hash }).andWhere('expires_at', '>', now).first('offer_id')
  return row?.offer_id as string | undefined
}

/** @returns false where somebody has answered before */
export async function insertAnswer(database: Knex, offerId: string, answer: StoredAnswer, now: Date): Promise<boolean> {
  const [result] = await database.raw(
    'insert ignore into offer_answer (offer_id, is_accepted, option_name, name, seen_checksum, way, answered_at, received_at) values (?, ?, ?, ?, ?, ?, ?, ?)',
    [
      offerId,
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

export async function answersOf(database: Knex, offerIds: readonly string[]): Promise<Map<string, StoredAnswer>> {
  const rows = await database('offer_answer').whereIn('offer_id', [...offerIds])
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
