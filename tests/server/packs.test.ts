import { describe, expect, it } from 'vitest'
import type { Command } from '../../core/edit/commands'
import { demoJobs } from '../../data/demo/jobs'
import { applyBatch, importJob, listJobs, packResting, readHistory, readStoredJob } from '../../server/jobs/service'
import { historySince } from '../../server/jobs/repository'
import { applyCommands } from '../../core/edit/apply'
import { ownDatabase } from './ownDatabase'

/* What was done to a job that rests is packed; who and when, and what it was, are there as before. */

const { database, workspace } = ownDatabase('packs')
const DAY = 24 * 3600e3
const later = () => new Date(Date.now() + 31 * DAY)
const [demo] = demoJobs()
const [line] = demo!.lines
const soils = ['gravel', 'rock', 'firm-clay']
const edit = (i: number): Command =>
  ({ name: 'setPost', line: line!.id, post: line!.posts[i % 3]!.id, key: 'soil', value: soils[i % 3] }) as Command

async function edited(edits: number, from = 1, job?: string): Promise<string> {
  const id = job ?? (await importJob(workspace(), demo)).id
  const somebody = { ...workspace(), person: { id: 'person-1', name: 'Robin', role: 'technician' as const } }
  for (let i = from; i < from + edits; i++)
    await applyBatch(i % 2 ? somebody : workspace(), id, { id: `edit-${i}-of-it`, version: i, commands: [edit(i)] })
  return id
}
const bytes = async (table: string, id: string) =>
  Number(
    (
      await database()(table)
        .where({ job_id: id })
        .sum({ sum: database().raw('octet_length(commands)') })
    )[0]!.sum,
  )

describe('the history of a job that rests', () => {
  it('is packed to a fraction, and reads, replays, refuses and merges as before', async () => {
    const id = await edited(200)
    const all = () => Promise.all([readHistory(workspace(), id), readStoredJob(workspace(), id)])
    await listJobs(workspace())
    const before = await all()
    const large = await bytes('job_history', id)
    expect(await packResting(database(), later())).toBe(200)
    expect(await bytes('history_pack', id)).toBeLessThan(large / 20)
    expect(await all()).toEqual(before)
    expect(before[0].entries.slice(0, 2).map((each) => each.madeBy)).toEqual(['Robin', undefined])
    // From nothing it comes to the same document.
    const entries = await historySince(workspace(), id, 1)
    const replayed = entries.reduce((job, { commands }) => applyCommands(job, commands), demo!)
    expect(replayed).toEqual((await readStoredJob(workspace(), id)).document)
    // Sent again it is known, and what stands on an old version hears what was done since.
    const again = { id: 'edit-7-of-it', version: 7, commands: [edit(7)] }
    expect(await applyBatch(workspace(), id, again)).toMatchObject({ at: 8, version: 201 })
    const stale = await applyBatch(workspace(), id, { ...again, id: 'edit-of-another' }).catch(
      (error: unknown) => error,
    )
    expect((stale as { theirs: Command[] }).theirs).toHaveLength(194)
    // Nothing is left to be packed.
    expect(await packResting(database(), later())).toBe(0)
  })

  it('is packed in pieces of 512, and goes on where it stopped', async () => {
    const id = await edited(70)
    await listJobs(workspace())
    expect(await packResting(database(), later())).toBe(70)
    await edited(600, 71, id)
    await listJobs(workspace())
    expect(await packResting(database(), later())).toBe(600)
    const pieces = await database()('history_pack').where({ job_id: id }).orderBy('first_version')
    expect(pieces.map((each) => [each.first_version, each.last_version])).toEqual([
      [2, 71],
      [72, 583],
      [584, 671],
    ])
    const page = await readHistory(workspace(), id, 560)
    expect(page.entries.map(({ version }) => version)).toEqual(Array.from({ length: 111 }, (_each, i) => 561 + i))
    expect(page.entries[0]!.commands).toEqual([edit(560)])
    expect(page.entries[40]!.commands).toEqual([edit(600)])
  }, 60_000)

  it('stays as it is while somebody works on it, or while it is short', async () => {
    const short = await edited(63)
    const busy = await edited(80)
    await listJobs(workspace())
    expect(await packResting(database(), new Date())).toBe(0)
    await database()('job')
      .where({ id: busy })
      .update({ updated_at: new Date(Date.now() - 31 * DAY) })
    expect(await packResting(database(), new Date())).toBe(80)
    expect(await database()('history_pack').where({ job_id: short })).toEqual([])
  })
})
