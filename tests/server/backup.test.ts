import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterAll, describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { pictureKey } from '../../database/pictures/store'
import { backup, restore } from '../../database/backup'
import { seedDemo } from '../../server/demo/service'
import { applyBatch, importJob, listJobs, readHistory, readStoredJob } from '../../server/jobs/service'
import { readPhotograph, storePhotograph } from '../../server/photographs/service'
import { sidewaysPhotograph } from '../support/pictures'
import { readPdfByLink } from '../../server/offers/customer'
import { answerOffer, keepOffer, makeLink, readOffers } from '../../server/offers/service'
import { readLessons } from '../../server/record/service'
import { changeYard, readYard } from '../../server/yard/service'
import { Taken } from '../../server/http/failures'
import { someOffer } from '../support/someOffer'
import { pictureFolder } from '../support/pictureFolder'
import { ownDatabase } from './ownDatabase'

const { database, workspace } = ownDatabase('backup')
const { pictures } = pictureFolder()
const folder = mkdtempSync(join(tmpdir(), 'vindex-backup-'))
afterAll(() => rmSync(folder, { recursive: true }))
const file = join(folder, 'one.backup')

describe('a backup', () => {
  it('brings back jobs, edits, history and pictures to the last byte, and takes away what came after', async () => {
    const { id } = await importJob(workspace(), demoJobs().at(-1), { madeBy: 'made-by-a-device' })
    await applyBatch(workspace(), id, {
      id: 'edit-00001',
      version: 1,
      commands: [{ name: 'renameJob', value: 'Ä ½ 🙂' }],
    })
    await storePhotograph(workspace(), pictures, id, 'picture-1', await sidewaysPhotograph())
    await seedDemo(workspace())
    const price = { table: 'catalogue', key: 'mix/cement', path: 'price', was: 680, value: 700 }
    await changeYard(workspace(), { id: 'change-00001', changes: [price] })
    const { offer, checksum } = await keepOffer(workspace(), id, someOffer())
    const no = { isAccepted: false, name: 'Rowan', checksum, way: 'device', at: '2026-11-24T12:00:00Z' } as const
    await answerOffer(workspace(), id, offer.id, no)
    const { token } = await makeLink(workspace(), id, offer.id)
    const all = async () => ({
      yard: await readYard(workspace()),
      offers: await readOffers(workspace(), id),
      page: await readPdfByLink(database(), token),
      job: await readStoredJob(workspace(), id),
      history: await readHistory(workspace(), id),
      picture: await readPhotograph(workspace(), pictures, id, 'picture-1'),
      list: await listJobs(workspace()),
    })
    const before = await all()
    await readLessons(workspace())
    const { counts, missing } = await backup(database(), pictures, file)
    expect(missing).toEqual([])
    expect(counts).toEqual({
      workspace: 1,
      person: 0,
      sign_in: 0,
      passkey: 0,
      once: 0,
      audit: 0,
      job_seen: 0,
      job: demoJobs().length + 1,
      job_history: 1,
      history_pack: 0,
      photograph: 1,
      setting: 1,
      yard: 1,
      yard_row: 1,
      yard_history: 1,
      // The demo has one out.
      offer: 2,
      offer_link: 1,
      lesson: 2,
      offer_answer: 1,
    })

    await applyBatch(workspace(), id, {
      id: 'edit-00002',
      version: 2,
      commands: [{ name: 'renameJob', value: 'Spoilt' }],
    })
    await importJob(workspace(), demoJobs()[0])
    await database()('photograph').delete()
    await pictures.remove(pictureKey('home', before.picture.checksum))
    await changeYard(workspace(), { id: 'change-00002', changes: [{ ...price, was: 700, value: 1 }] })
    expect(await restore(database(), pictures, file)).toEqual(counts)
    expect(await all()).toEqual(before)
    // The demo jobs do not come a second time, nor does a job that is asked for again.
    await seedDemo(workspace())
    expect((await importJob(workspace(), demoJobs().at(-1), { madeBy: 'made-by-a-device' })).id).toBe(id)
    await expect(importJob(workspace(), demoJobs()[0], { madeBy: 'made-by-a-device' })).rejects.toThrow(Taken)
  })

  it('that is none, is cut off or is of other tables changes nothing', async () => {
    const before = await listJobs(workspace())
    const text = gunzipSync(readFileSync(file)).toString()
    const lines = text.split('\n')
    const header = JSON.parse(lines[0]!) as { migrations: string[] }
    const tried: [string, string, string][] = [
      ['none', 'not a backup\n', 'this is no backup'],
      ['empty', '', 'this backup is cut off'],
      ['something else', '{"format":"other"}\n', 'this is no backup'],
      ['cut off', lines.slice(0, -2).join('\n'), 'this backup is cut off'],
      ['short of a job', without(lines, '["job",'), 'this backup is cut off'],
      ['short of an edit', without(lines, '["job_history",'), 'this backup is cut off'],
      [
        'newer',
        [JSON.stringify({ ...header, migrations: [...header.migrations, '9999_later'] }), ...lines.slice(1)].join('\n'),
        'this backup is of tables as of 9999_later',
      ],
    ]
    for (const [name, content, words] of tried) {
      const wrong = join(folder, name)
      writeFileSync(wrong, gzipSync(content))
      await expect(restore(database(), pictures, wrong), name).rejects.toThrow(words)
    }
    writeFileSync(join(folder, 'not compressed'), text)
    await expect(restore(database(), pictures, join(folder, 'not compressed'))).rejects.toThrow('this is no backup')
    writeFileSync(join(folder, 'half'), readFileSync(file).subarray(0, -20))
    await expect(restore(database(), pictures, join(folder, 'half'))).rejects.toThrow('this backup is cut off')
    await expect(restore(database(), pictures, join(folder, 'not there'))).rejects.toThrow('no such file')
    expect(await listJobs(workspace())).toEqual(before)
  })
})

/** Without the first line that begins so. */
function without(lines: readonly string[], start: string): string {
  const at = lines.findIndex((line) => line.startsWith(start))
  return lines.filter((_line, i) => i !== at).join('\n')
}
