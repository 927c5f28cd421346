import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import type { Entry, Job } from '../../core/document/job'
import type { Command } from '../../core/edit/commands'
import type { RatioLesson } from '../../core/record/lessons'
import { applyBatch, deleteJob, importJob, listJobs, readStoredJob } from '../../server/jobs/service'
import { customerSheetsOf } from '../../server/sheets/customer'
import { readLessons, readVisitWatch } from '../../server/record/service'
import { changeYard } from '../../server/yard/service'
import { pdfOfPages } from '../../paper/pdf'
import { PAPERS } from '../../core/report/pages'
import { pdfFonts, pdfPages, pdfText } from '../support/pdfText'
import { ownDatabase } from './ownDatabase'

const { workspace } = ownDatabase('record')
const orchard = demoJobs().find(({ name }) => name.startsWith('Orchard'))!
const at = (time: string) => new Date(time)
let count = 0
const send = async (id: string, commands: Command[]) => {
  const { version } = await readStoredJob(workspace(), id)
  return applyBatch(workspace(), id, { id: `batch-${++count}-of-tests`, version, commands })
}

describe('who should be gone back to', () => {
  it('is told from jobs that were signed off, with what is open and after storms', async () => {
    const { id } = await importJob(workspace(), orchard)
    const { visits } = await readVisitWatch(workspace(), at('2026-11-27T00:00:00Z'))
    const mine = visits.filter(({ jobId }) => jobId === id)
    expect(mine[0]).toMatchObject({
      job: orchard.name,
      posts: ['O3'],
      why: 'return',
      open: ['Two clips of the lower rail are still missing.'],
    })
    // The year is not up yet: it is told two weeks before.
    expect(mine.some(({ why }) => why === 'year-1')).toBe(false)
    const year = await readVisitWatch(workspace(), at('2027-03-01T00:00:00Z'))
    expect(year.visits.filter(({ jobId }) => jobId === id).map(({ why }) => why)).toContain('year-1')
  })

  it('follows what is done: a visit that was made is due no more', async () => {
    const { id } = await importJob(workspace(), orchard)
    const due = async () =>
      (await readVisitWatch(workspace(), at('2026-11-27T00:00:00Z'))).visits
        .filter(({ jobId }) => jobId === id)
        .map(({ why }) => why)
    expect(await due()).toContain('return')
    const open = orchard.visits!.find(({ id: visit }) => visit === 'orchard-clips')!
    await send(id, [{ name: 'putVisit', visit: open.id, value: { ...open, doneAt: '2026-11-26T10:00:00Z' } }])
    expect(await due()).not.toContain('return')
  })

  it('after a storm is whoever was signed off before it and not looked at since', async () => {
    // The stand-in for the weather is the same for ever: its gusts at this station are known.
    const calm: Job = { ...orchard, site: { ...orchard.site, gust50: 90 } }
    const { id: quiet } = await importJob(workspace(), calm)
    const rough: Job = { ...orchard, site: { ...orchard.site, gust50: 20 } }
    const { id: stormy } = await importJob(workspace(), rough)
    const { visits } = await readVisitWatch(workspace(), at('2026-11-27T00:00:00Z'))
    const why = (job: string) => visits.filter(({ jobId }) => jobId === job).map((each) => each.why)
    expect(why(stormy)).toContain('gust')
    expect(why(quiet)).not.toContain('gust')
  })

  it('is nobody of a job that was put away', async () => {
    const { id } = await importJob(workspace(), orchard)
    await deleteJob(workspace(), id)
    const { visits } = await readVisitWatch(workspace(), at('2026-11-27T00:00:00Z'))
    expect(visits.some(({ jobId }) => jobId === id)).toBe(false)
  })
})

describe('what jobs have taught', () => {
  const minutesIn = async (person?: string) =>
    (await readLessons(workspace(), person)).lessons.filter(
      (each): each is RatioLesson => each.kind === 'minutes' && each.post === 'O3',
    )
  it('comes from every job, and anew when one goes on', async () => {
    const { id } = await importJob(workspace(), orchard)
    const before = (await minutesIn()).length
    expect(before).toBeGreaterThan(0)
    const entry: Entry = {
      id: 'more-minutes-of-it',
      at: '2026-03-11T10:00:00Z',
      by: 'Wren',
      line: 'O',
      post: 'O3',
      kind: 'minutes',
      value: { step: 'dig', minutes: 30 },
    }
    await send(id, [{ name: 'addEntry', entry: entry.id, value: entry }])
    expect(await minutesIn()).toHaveLength(before + 1)
    // Asked again without an edit, nothing is counted twice.
    expect(await minutesIn()).toHaveLength(before + 1)
    await send(id, [{ name: 'addEntry', entry: entry.id, value: null, back: true }])
    expect(await minutesIn()).toHaveLength(before)
  })

  it('names nobody but whoever asks', async () => {
    await importJob(workspace(), orchard)
    expect((await minutesIn('Wren')).every(({ person }) => person === 'Wren')).toBe(true)
    expect((await minutesIn('Alder')).some(({ person }) => person !== undefined)).toBe(false)
    expect((await minutesIn()).some(({ person }) => person !== undefined)).toBe(false)
  })

  it('does not hang on what the yard has in use', async () => {
    await importJob(workspace(), orchard)
    const before = await readLessons(workspace())
    const row = { key: 'minutes-dig', name: 'digging', kind: 'minutes', task: 'dig', median: 3, ninety: 4, records: 9 }
    await changeYard(workspace(), {
      id: 'a-learnt-figure-of-tests',
      changes: [{ table: 'learnt', key: row.key, was: null, value: row }],
    })
    await importJob(workspace(), orchard)
    const after = await readLessons(workspace())
    const ratios = (of: typeof after) =>
      new Set(of.lessons.flatMap((each) => (each.kind === 'minutes' && each.post === 'O3' ? [each.ratio] : [])))
    expect(ratios(after)).toEqual(ratios(before))
  })

  it('has the first opinion of a post beside what digging found', async () => {
    await importJob(workspace(), orchard)
    const found = (await readLessons(workspace())).lessons.find((each) => each.kind === 'cause')
    expect(found).toMatchObject({ said: 'ground-line-decay', found: ['bad-concrete'] })
  })
})

describe('the summary of a list', () => {
  it('has the visits of a job without opening it', async () => {
    const { id } = await importJob(workspace(), orchard)
    const { jobs } = await listJobs(workspace())
    expect(jobs.find((each) => each.id === id)!.summary.visits?.[0]).toMatchObject({ posts: ['O3'], why: 'return' })
  })
})

describe('the customer’s page', () => {
  const now = at('2026-11-27T00:00:00Z')
  const pageOf = async (paper: 'A4' | 'letter', system: 'metric' | 'feet-inches' = 'metric') => {
    const sheets = customerSheetsOf(orchard, 'O3', { own: {}, system, paper, now: now.getTime() })!
    return pdfOfPages(sheets, PAPERS[paper].millimetres, 'O3')
  }
  it.each(['A4', 'letter'] as const)(
    'is one sheet of %s of a few kilobytes, its letters in it, its text found',
    async (paper) => {
      const pdf = await pageOf(paper)
      expect(pdfPages(pdf)).toBe(1)
      expect(pdf.length).toBeLessThan(60_000)
      expect(pdfFonts(pdf)).toHaveLength(2)
      expect(pdfFonts(pdf).every(({ isEmbedded }) => isEmbedded)).toBe(true)
      const text = pdfText(pdf).replace(/\s+/g, ' ')
      // It names the lesson, what was met, who did it, and when somebody comes again.
      for (const words of [
        'It was thought to be rot at the ground line; when it was dug, it was not.',
        'cracked through; the wood under it was sound',
        'a boulder at 0.45 m',
        'finished on 12 March 2026 by Wren',
        'It took 1 bag more than planned.',
        'On 12 March 2027, after a year.',
        'planning estimates; local codes and licensed practice decide',
      ])
        expect(text).toContain(words)
      // Two hundred words a minute: under two minutes.
      expect(text.split(' ').length).toBeLessThan(400)
      expect(text).not.toMatch(/undefined|NaN|-decay|new-post-concrete/)
    },
  )
  it('speaks in feet and inches where people measure so', async () => {
    const text = pdfText(await pageOf('letter', 'feet-inches')).replace(/\s+/g, ' ')
    expect(text).toMatch(/a boulder at 1′|a boulder at 1' /)
    expect(text).not.toMatch(/ m\/s/)
  })
  it('is none of a post where nothing is to be mended', () => {
    expect(
      customerSheetsOf(orchard, 'O1', { own: {}, system: 'metric', paper: 'A4', now: now.getTime() }),
    ).toBeUndefined()
    expect(
      customerSheetsOf(orchard, 'nobody', { own: {}, system: 'metric', paper: 'A4', now: now.getTime() }),
    ).toBeUndefined()
  })
})
