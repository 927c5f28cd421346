import { createHash } from 'node:crypto'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { InputError } from '../../core/errors'
import { demoJobs } from '../../data/demo/jobs'
import { importJob } from '../../server/jobs/service'
import { readPhotograph, storePhotograph } from '../../server/photographs/service'
import { NotFound, Taken } from '../../server/http/failures'
import { largePhotograph, sidewaysPhotograph } from '../support/pictures'
import { pictureFolder } from '../support/pictureFolder'
import { ownDatabase } from './ownDatabase'

const { database, workspace } = ownDatabase('photographs')
const { pictures } = pictureFolder()
const flat = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#7a6a4f' } })
const newJob = async () => (await importJob(workspace(), demoJobs().at(-1))).id

describe('photographs in the database', () => {
  it('are turned upright and lose what the camera wrote, their place above all', async () => {
    const original = await sidewaysPhotograph()
    expect((await sharp(original).metadata()).orientation).toBe(6)
    const job = await newJob()
    const stored = await storePhotograph(workspace(), pictures, job, 'picture-1', original)
    expect(stored).toMatchObject({ mediaType: 'image/jpeg', pixelWidth: 300, pixelHeight: 400 })

    const { data, checksum } = await readPhotograph(workspace(), pictures, job, 'picture-1')
    expect(createHash('sha256').update(data).digest('hex')).toBe(checksum)
    const { exif, orientation } = await sharp(data).metadata()
    expect([exif, orientation ?? 1]).toEqual([undefined, 1])
    const top = await sharp(data).extract({ left: 150, top: 40, width: 1, height: 1 }).raw().toBuffer()
    expect(top[0]).toBeGreaterThan(150)
  })

  it('of 12 MB are made small', async () => {
    const original = await largePhotograph(12e6)
    expect(original.length).toBeGreaterThan(12e6)
    const stored = await storePhotograph(workspace(), pictures, await newJob(), 'picture-2', original)
    expect(stored).toMatchObject({ pixelWidth: 2048, pixelHeight: 1536 })
  })

  it('that are sent twice are stored once', async () => {
    const job = await newJob()
    const first = await storePhotograph(workspace(), pictures, job, 'picture-3', await sidewaysPhotograph())
    const picture = await sidewaysPhotograph()
    const again = await storePhotograph(workspace(), pictures, job, 'picture-3', picture)
    expect(again).toEqual(first)
    expect(again).toMatchObject({
      id: 'picture-3',
      sentBytes: picture.length,
      sentChecksum: createHash('sha256').update(picture).digest('hex'),
    })
    expect(await database()('photograph').where({ job_id: job })).toHaveLength(1)
  })

  it('of one identity and another content are told apart', async () => {
    const job = await newJob()
    await storePhotograph(workspace(), pictures, job, 'picture-6', await sidewaysPhotograph())
    const other = await sidewaysPhotograph(80, 60)
    await expect(storePhotograph(workspace(), pictures, job, 'picture-6', other)).rejects.toBeInstanceOf(Taken)
  })

  it.each<[string, () => Promise<Buffer>, string]>([
    [
      'a drawing that calls itself one',
      async () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
      'JPEG, PNG',
    ],
    ['another kind of picture', () => flat(20, 20).gif().toBuffer(), 'JPEG, PNG, WebP or AVIF'],
    ['more pixels than a PNG may have', () => flat(8_000, 7_000).png().toBuffer(), 'at most 50 million pixels'],
    ['more pixels than a WebP may have', () => flat(8_000, 7_000).webp().toBuffer(), 'at most 50 million pixels'],
  ])('are not %s', async (_name, make, words) => {
    const error = await storePhotograph(workspace(), pictures, await newJob(), 'picture-7', await make()).catch(
      (caught: unknown) => caught,
    )
    expect(error).toBeInstanceOf(InputError)
    expect((error as Error).message).toContain(words)
  })

  it.each(['png', 'webp', 'avif'] as const)('may be %s', async (format) => {
    const picture = await flat(300, 200).toFormat(format).toBuffer()
    expect(await storePhotograph(workspace(), pictures, await newJob(), 'picture-8', picture)).toMatchObject({
      pixelWidth: 300,
    })
  })

  it('that are none are refused, and nothing is stored', async () => {
    const job = await newJob()
    for (const bad of [Buffer.from('not a picture'), Buffer.alloc(0), (await sidewaysPhotograph()).subarray(0, 200)]) {
      await expect(storePhotograph(workspace(), pictures, job, 'picture-4', bad)).rejects.toBeInstanceOf(InputError)
    }
    await expect(readPhotograph(workspace(), pictures, job, 'picture-4')).rejects.toBeInstanceOf(NotFound)
  })

  it('belong to a job that is there', async () => {
    const picture = await sidewaysPhotograph(40, 30)
    await expect(storePhotograph(workspace(), pictures, 'nobody', 'picture-5', picture)).rejects.toBeInstanceOf(
      NotFound,
    )
  })
})
