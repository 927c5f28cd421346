import { describe, expect, it } from 'vitest'
import { OFFERED } from '../../data/demo/rails'
import { seedDemo } from '../../server/demo/service'
import { listJobs } from '../../server/jobs/service'
import { readOffers, readOfferWatch } from '../../server/offers/service'
import { readVisitWatch } from '../../server/record/service'
import { ownDatabase } from './ownDatabase'

const { workspace } = ownDatabase('demo')
const NOW = new Date('2029-04-02T09:00:00Z')

describe('the demo on the day on which it is first opened', () => {
  it('has an offer out with two ways, the lasting one dearer, that holds for three weeks', async () => {
    await seedDemo(workspace(), NOW)
    const { offers } = await readOfferWatch(workspace(), NOW)
    expect(offers).toMatchObject([{ job: OFFERED, number: 1, state: 'sent', validUntil: '2029-04-23' }])
    const [kept] = await readOffers(workspace(), offers[0]!.jobId, NOW)
    const [lasting, propped] = kept!.offer.options
    expect([lasting!.posts.length, lasting!.visits, propped!.visits]).toEqual([7, 2, 1])
    expect(new Set(lasting!.posts.map(({ method }) => method))).toEqual(new Set(['Renew the whole run']))
    expect(lasting!.gross).toBeGreaterThan(propped!.gross)
    expect(kept!.checksum).toMatch(/^[0-9a-f]{64}$/)
  })
  it('has somebody to go back to, and concrete that is a few hours old', async () => {
    const { visits } = await readVisitWatch(workspace(), NOW)
    expect(visits.find(({ job, why }) => job.startsWith('Nursery') && why === 'months-3')).toMatchObject({
      posts: ['N4'],
    })
    const { jobs } = await listJobs(workspace(), { search: 'Bee hedge' })
    const [poured] = jobs[0]!.summary.pours!
    expect(NOW.getTime() - Date.parse(poured!.startedAt)).toBe(4 * 3600e3)
  })
})
