import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { InputError } from '../../core/errors'
import type { Command } from '../../core/edit/commands'
import type { OfferAnswer } from '../../core/offer/answer'
import type { YardChange } from '../../core/yard/change'
import { catalogue } from '../../data/catalogue'
import { demoJobs } from '../../data/demo/jobs'
import { connect } from '../../database/connect'
import { migrationSource } from '../../database/migrations/source'
import { NotFound, Taken } from '../../server/http/failures'
import { applyBatch, deleteJob, forgetDeleted, importJob, readStoredJob, restoreJob } from '../../server/jobs/service'
import { answerByLink, readByLink, readPdfByLink, readPostByLink } from '../../server/offers/customer'
import {
  answerOffer,
  keepOffer,
  makeLink,
  readOfferPdf,
  readOfferWatch,
  readOffers,
  takeBackLinks,
} from '../../server/offers/service'
import { works } from '../../server/worker/work'
import { changeYard } from '../../server/yard/service'
import { pdfText } from '../support/pdfText'
import { someOffer } from '../support/someOffer'
import { HOME } from '../../server/workspace/workspace'
import { pictureFolder } from '../support/pictureFolder'
import { ownDatabase } from './ownDatabase'

const { database, workspace, url } = ownDatabase('offers')
const { pictures } = pictureFolder()
const newJob = async () => (await importJob(workspace(), demoJobs().at(-1)!)).id
const NOW = new Date('2026-11-24T12:00:00Z')
const sha = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex')
const yes = (checksum: string, more: Partial<OfferAnswer> = {}): OfferAnswer => ({
  isAccepted: true,
  option: 'For good',
  name: 'Rowan Pell',
  checksum,
  way: 'device',
  at: NOW.toISOString(),
  ...more,
})

describe('an offer that was sent', () => {
  it('stays byte for byte the same after every price has changed and the tables were upgraded', async () => {
    const job = await newJob()
    const kept = await keepOffer(workspace(), job, someOffer(), NOW)
    const [before] = await readOffers(workspace(), job, NOW)
    const bytes = await readOfferPdf(workspace(), job, kept.offer.id)
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    expect(sha(bytes)).toBe(kept.checksum)

    const changes: YardChange[] = catalogue.map(({ key, price }) => ({
      table: 'catalogue',
      key,
      path: 'price',
      was: price,
      value: price * 2 + 1,
    }))
    expect((await changeYard(workspace(), { id: 'all-prices-up', changes })).conflicts).toEqual([])
    const later = connect(url())
    try {
      await later.migrate.latest({
        migrationSource: {
          ...migrationSource,
          getMigrations: async () => [...(await migrationSource.getMigrations([])), '9999_later'],
          getMigration: async (name: string) =>
            name === '9999_later'
              ? {
                  up: (knex) => knex.schema.alterTable('offer', (table) => void table.string('more', 40).nullable()),
                  down: (knex) => knex.schema.alterTable('offer', (table) => void table.dropColumn('more')),
                }
              : migrationSource.getMigration(name),
        },
      })
      expect((await readOffers({ id: HOME, database: later }, job, NOW))[0]).toEqual(before)
      expect(sha(await readOfferPdf({ id: HOME, database: later }, job, kept.offer.id))).toBe(kept.checksum)
      expect((await readOfferPdf({ id: HOME, database: later }, job, kept.offer.id)).equals(bytes)).toBe(true)
    } finally {
      await later.schema.alterTable('offer', (table) => void table.dropColumn('more'))
      await later('knex_migrations').where({ name: '9999_later' }).delete()
      await later.destroy()
    }
  })

  it('is kept once, under the next number of its job; another under its name is refused', async () => {
    const job = await newJob()
    const draft = someOffer()
    const first = await keepOffer(workspace(), job, draft, NOW)
    expect(first.offer.number).toBe(1)
    expect(await keepOffer(workspace(), job, draft, NOW)).toEqual(first)
    await expect(keepOffer(workspace(), job, { ...draft, customer: 'somebody else' }, NOW)).rejects.toThrow(Taken)
    const more = await Promise.all([someOffer(), someOffer()].map((each) => keepOffer(workspace(), job, each, NOW)))
    expect(more.map(({ offer }) => offer.number).sort()).toEqual([2, 3])
    expect((await readOffers(workspace(), job, NOW)).map(({ state }) => state)).toEqual([
      'sent',
      'replaced',
      'replaced',
    ])
  })

  it('keeps its job from being forgotten, and is no part of its document', async () => {
    const job = await newJob()
    await keepOffer(workspace(), job, someOffer(), NOW)
    expect((await readStoredJob(workspace(), job)).document).not.toHaveProperty('offers')
    await deleteJob(workspace(), job, new Date('2026-01-01T00:00:00Z'))
    await forgetDeleted(database(), pictures, NOW)
    await restoreJob(workspace(), job)
    expect(await readOffers(workspace(), job, NOW)).toHaveLength(1)
  })

  it('of an unknown job is none', async () => {
    await expect(keepOffer(workspace(), 'nothing', someOffer(), NOW)).rejects.toThrow(NotFound)
    const [job, other] = [await newJob(), await newJob()]
    const { offer } = await keepOffer(workspace(), job, someOffer(), NOW)
    await expect(readOfferPdf(workspace(), other, offer.id)).rejects.toThrow(NotFound)
  })
})

describe('a customer', () => {
  it('sees one offer by its link, takes an option of it, and is named with the page that was seen', async () => {
    const job = await newJob()
    const kept = await keepOffer(workspace(), job, someOffer(), NOW)
    const { token } = await makeLink(workspace(), job, kept.offer.id, NOW)
    expect(token).toMatch(/^[\w-]{22}$/)
    expect(JSON.stringify(await database()('offer_link').select())).not.toContain(token)
    expect(await readByLink(database(), token, NOW)).toMatchObject(kept)
    expect(sha(await readPdfByLink(database(), token, NOW))).toBe(kept.checksum)
    const answered = await answerByLink(database(), token, yes(kept.checksum), NOW)
    expect(answered).toMatchObject({
      state: 'accepted',
      answer: { option: 'For good', name: 'Rowan Pell', checksum: kept.checksum, way: 'link', at: NOW.toISOString() },
    })
    // Sent again it is the same; said otherwise it is not taken.
    expect(await answerByLink(database(), token, yes(kept.checksum), NOW)).toEqual(answered)
    await expect(answerByLink(database(), token, yes(kept.checksum, { isAccepted: false }), NOW)).rejects.toThrow(Taken)
  })

  it('follows the work of its job: which posts are finished, and the page of each that the offer names, of no other', async () => {
    const job = await newJob()
    const kept = await keepOffer(workspace(), job, someOffer(), NOW)
    const { token } = await makeLink(workspace(), job, kept.offer.id, NOW)
    const { work } = await readByLink(database(), token, NOW)
    const { document, version } = await readStoredJob(workspace(), job)
    const line = document.lines[0]!
    expect(work.length).toBeGreaterThan(1)
    expect(work.length).toBeLessThan(line.posts.length)
    expect(work.every(({ done }) => done === undefined)).toBe(true)
    const { post } = work[0]!
    const value = { method: 'new-post-concrete', name: 'Robin' }
    const entry = { id: 'signed-1', at: NOW.toISOString(), line: line.id, post, kind: 'sign-off', value }
    const signed = { name: 'addEntry', entry: 'signed-1', value: entry } as unknown as Command
    await applyBatch(workspace(), job, { id: 'batch-signed', version, commands: [signed] })
    expect((await readByLink(database(), token, NOW)).work[0]).toEqual({ post, done: NOW.toISOString() })
    const how = { system: 'metric', paper: 'A4', asker: 'somebody' } as const
    const page = await readPostByLink(database(), token, post, how, NOW)
    expect(page.subarray(0, 5).toString()).toBe('%PDF-')
    expect(pdfText(page)).toContain(post)
    // Asked for again, it is the one that was made.
    expect(await readPostByLink(database(), token, post, { ...how, asker: 'another' }, NOW)).toBe(page)
    const other = line.posts.find(({ id }) => !work.some((each) => each.post === id))!.id
    await expect(readPostByLink(database(), token, other, how, NOW)).rejects.toThrow(NotFound)
    await expect(readPostByLink(database(), 'A'.repeat(22), post, how, NOW)).rejects.toThrow(NotFound)
  })

  it('has no other link, and none after thirty days', async () => {
    const job = await newJob()
    const { offer } = await keepOffer(workspace(), job, someOffer(), NOW)
    const { token, expiresAt } = await makeLink(workspace(), job, offer.id, NOW)
    await expect(readByLink(database(), 'x'.repeat(22), NOW)).rejects.toThrow(NotFound)
    await expect(readByLink(database(), token, new Date(expiresAt))).rejects.toThrow(NotFound)
  })

  it.each([
    ['another page', (sum: string) => yes(sum.replace(/./, sum.startsWith('a') ? 'b' : 'a')), 'checksum'],
    ['an option that is not in it', (sum: string) => yes(sum, { option: 'For nothing' }), 'option'],
    ['it too late', (sum: string) => yes(sum, { at: '2026-12-24T08:00:00Z' }), 'still open'],
  ])('cannot accept %s', async (_what, answer, says) => {
    const job = await newJob()
    const { offer, checksum } = await keepOffer(workspace(), job, someOffer(), NOW)
    const refused = answerOffer(workspace(), job, offer.id, answer(checksum), NOW)
    await expect(refused).rejects.toThrow(InputError)
    await expect(refused).rejects.toThrow(says)
  })

  it('cannot accept one that another has replaced', async () => {
    const job = await newJob()
    const first = await keepOffer(workspace(), job, someOffer(), NOW)
    await keepOffer(workspace(), job, someOffer(), NOW)
    await expect(answerOffer(workspace(), job, first.offer.id, yes(first.checksum), NOW)).rejects.toThrow('the newest')
  })
})

describe('the links to an offer', () => {
  it('are taken back at once, and a new one opens it again', async () => {
    const job = await newJob()
    const { offer } = await keepOffer(workspace(), job, someOffer(), NOW)
    const links = [await makeLink(workspace(), job, offer.id, NOW), await makeLink(workspace(), job, offer.id, NOW)]
    await expect(takeBackLinks({ ...workspace(), id: 'elsewhere' }, job, offer.id, NOW)).rejects.toThrow(NotFound)
    expect((await readByLink(database(), links[0]!.token, NOW)).offer.id).toBe(offer.id)
    expect(await takeBackLinks(workspace(), job, offer.id, NOW)).toBe(2)
    for (const { token } of links) {
      await expect(readByLink(database(), token, NOW)).rejects.toThrow(NotFound)
      await expect(readPdfByLink(database(), token, NOW)).rejects.toThrow(NotFound)
    }
    expect(await takeBackLinks(workspace(), job, offer.id, NOW)).toBe(0)
    const { token } = await makeLink(workspace(), job, offer.id, NOW)
    expect((await readByLink(database(), token, NOW)).offer.id).toBe(offer.id)
  })
})

describe('two firms', () => {
  it('whose devices chose the same identity have an offer each, and neither hears of the other', async () => {
    await database()('workspace').insert({ id: 'elsewhere', name: 'Elsewhere', made_at: NOW })
    const other = { ...workspace(), id: 'elsewhere' }
    const [ours, theirs] = [await newJob(), (await importJob(other, demoJobs().at(-1)!)).id]
    const draft = someOffer()
    const one = await keepOffer(workspace(), ours, draft)
    const two = await keepOffer(other, theirs, { ...draft, customer: 'Somebody else' })
    expect([one.offer.number, two.offer.number]).toEqual([1, 1])
    expect(await keepOffer(other, theirs, { ...draft, customer: 'Somebody else' })).toEqual(two)
    const { token } = await makeLink(other, theirs, draft.id, NOW)
    const seen = await readByLink(database(), token, NOW)
    expect(seen).toMatchObject({ offer: { id: draft.id, customer: 'Somebody else' } })
    expect(sha(await readPdfByLink(database(), token, NOW))).toBe(two.checksum)
    await answerByLink(database(), token, yes(two.checksum, { way: 'link' }), NOW)
    expect((await readOffers(other, theirs, NOW))[0]!.state).toBe('accepted')
    expect((await readOffers(workspace(), ours, NOW))[0]!.state).toBe('sent')
    await expect(readOffers(other, ours, NOW)).rejects.toThrow(NotFound)
    expect((await readOfferWatch(other, NOW)).offers.map(({ jobId }) => jobId)).toEqual([theirs])
  })
})

describe('a link to a job that was put away', () => {
  it('opens nothing by any of its addresses, until the job is back', async () => {
    const job = await newJob()
    const { offer, checksum } = await keepOffer(workspace(), job, someOffer(), NOW)
    const { token } = await makeLink(workspace(), job, offer.id, NOW)
    const how = { system: 'metric', paper: 'A4', asker: 'somebody' } as const
    const asks = () => [
      readByLink(database(), token, NOW),
      readPdfByLink(database(), token, NOW),
      readPostByLink(database(), token, 'A1', how, NOW),
      answerByLink(database(), token, yes(checksum, { way: 'link' }), NOW),
    ]
    await deleteJob(workspace(), job, NOW)
    for (const each of await Promise.allSettled(asks())) expect(each).toMatchObject({ reason: expect.any(NotFound) })
    await restoreJob(workspace(), job)
    expect((await readByLink(database(), token, NOW)).state).toBe('sent')
    expect(await readPdfByLink(database(), token, NOW)).toBeInstanceOf(Buffer)
  })
})

describe('what waits on the list of jobs', () => {
  it('is the newest offer of each job, until it has been answered for two weeks', async () => {
    const job = await newJob()
    await keepOffer(workspace(), job, someOffer(), NOW)
    const { offer, checksum } = await keepOffer(workspace(), job, someOffer(), NOW)
    const mine = async (now: Date) =>
      (await readOfferWatch(workspace(), now)).offers.filter(({ jobId }) => jobId === job)
    expect(await mine(NOW)).toMatchObject([{ number: 2, state: 'sent', validUntil: '2026-12-23' }])
    await answerOffer(workspace(), job, offer.id, yes(checksum), NOW)
    expect(await mine(NOW)).toMatchObject([{ state: 'accepted', by: 'Rowan Pell', option: 'For good' }])
    expect(await mine(new Date('2026-12-09T12:00:00Z'))).toEqual([])
    await deleteJob(workspace(), job, NOW)
    expect(await mine(NOW)).toEqual([])
  })

  it('comes into no job by a file', () => {
    const file = { ...demoJobs().at(-1)!, offers: [{ number: 7 }] }
    expect(works.readJob(JSON.stringify(file), {}).text).not.toContain('"offers"')
  })
})
