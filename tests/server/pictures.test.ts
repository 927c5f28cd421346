import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { backup } from '../../database/backup'
import { pictureStore } from '../../database/pictures/open'
import { checksumOf, pictureKey, StoreFailure, wholePicture } from '../../database/pictures/store'
import { deleteJob, forgetDeleted, importJob } from '../../server/jobs/service'
import { problemOf } from '../../server/http/answering'
import { readPhotograph, storePhotograph } from '../../server/photographs/service'
import { pictureFolder } from '../support/pictureFolder'
import { sidewaysPhotograph } from '../support/pictures'
import { s3Server, type S3Server } from '../support/s3Server'
import { ownDatabase } from './ownDatabase'

const { database, workspace } = ownDatabase('pictures')
const { pictures, folder } = pictureFolder()
const DAY = 24 * 3600e3
const newJob = async () => (await importJob(workspace(), demoJobs()[0])).id
const files = () => readdirSync(folder, { recursive: true, withFileTypes: true }).filter((each) => each.isFile())

let server: S3Server
beforeAll(async () => {
  server = await s3Server()
  vi.stubEnv('AWS_ACCESS_KEY_ID', 'somebody')
  vi.stubEnv('AWS_SECRET_ACCESS_KEY', 'secret')
})
afterAll(async () => {
  vi.unstubAllEnvs()
  await server.stop()
})

describe('a store of pictures', () => {
  const bytes = Buffer.from('a picture')
  const key = pictureKey('home', checksumOf(bytes))
  const own = mkdtempSync(join(tmpdir(), 'vindex-store-'))
  afterAll(() => rmSync(own, { recursive: true }))
  const stores = {
    'in a folder': () => pictureStore(own),
    'that speaks S3': () => pictureStore(`s3://pictures/of-a-firm?endpoint=${server.address}`),
  }

  it.each(Object.entries(stores))(
    '%s gives back what was put there, once, and knows what it has not',
    async (_name, of) => {
      const store = of()
      expect([await store.get(key), await store.has(key)]).toEqual([undefined, false])
      await store.put(key, bytes)
      await store.put(key, bytes)
      expect(await store.has(key)).toBe(true)
      expect(await store.get(key)).toEqual(bytes)
      expect(await wholePicture(store, 'home', checksumOf(bytes))).toEqual(bytes)
      await store.remove(key)
      await store.remove(key)
      expect(await store.get(key)).toBeUndefined()
      await expect(wholePicture(store, 'home', checksumOf(bytes))).rejects.toThrow('is not in the store')
    },
  )

  it('has nothing half written under its name, and notices what is not as it was', async () => {
    const store = pictureStore(own)
    await store.put(key, bytes)
    writeFileSync(join(own, key), 'a lecture')
    await expect(wholePicture(store, 'home', checksumOf(bytes))).rejects.toThrow('is damaged in the store')
    // Cut off it is written anew.
    writeFileSync(join(own, key), 'a')
    await store.put(key, bytes)
    expect(readFileSync(join(own, key))).toEqual(bytes)
  })

  it('takes no name that leads out of it', () => {
    expect(() => pictureKey('../other', checksumOf(bytes))).toThrow(StoreFailure)
    expect(() => pictureKey('home', '../../secret')).toThrow(StoreFailure)
  })

  it('puts an S3 object under the prefix of its bucket; away it is said to be away, not wrong', async () => {
    const store = stores['that speaks S3']()
    await store.put(key, bytes)
    expect([...server.objects.keys()]).toEqual([`/pictures/of-a-firm/${key}`])
    server.fails = true
    const failure = await store.get(key).catch((error: unknown) => error)
    server.fails = false
    expect(failure).toBeInstanceOf(StoreFailure)
    expect(problemOf(failure)).toMatchObject({ status: 503, type: 'store-away' })
  }, 20_000)
})

describe('a photograph', () => {
  it('lies in the store and not in the database; what an earlier version put there is still shown', async () => {
    const job = await newJob()
    const picture = await sidewaysPhotograph()
    const { checksum } = await storePhotograph(workspace(), pictures, job, 'picture-1', picture)
    expect(await database()('photograph').where({ job_id: job }).pluck('data')).toEqual([null])
    const { data } = await readPhotograph(workspace(), pictures, job, 'picture-1')
    expect(checksumOf(data)).toBe(checksum)
    const older = Buffer.from('of before')
    await database()('photograph').where({ job_id: job }).update({ data: older })
    expect((await readPhotograph(workspace(), pictures, job, 'picture-1')).data).toEqual(older)
  })

  it('goes with its job, unless another job of the workspace shows the same one', async () => {
    const before = files().length
    const [one, two] = [await newJob(), await newJob()]
    const picture = await sidewaysPhotograph(64, 48)
    for (const job of [one, two]) await storePhotograph(workspace(), pictures, job, 'picture-1', picture)
    expect(files()).toHaveLength(before + 1)
    const now = Date.now()
    await deleteJob(workspace(), one, new Date(now - 31 * DAY))
    expect(await forgetDeleted(database(), pictures, new Date(now))).toBe(1)
    expect((await readPhotograph(workspace(), pictures, two, 'picture-1')).data.length).toBeGreaterThan(0)
    await deleteJob(workspace(), two, new Date(now - 31 * DAY))
    expect(await forgetDeleted(database(), pictures, new Date(now))).toBe(1)
    expect(files()).toHaveLength(before)
  })

  it('that somebody takes again just as the last one of it goes, is there', async () => {
    const [one, two] = [await newJob(), await newJob()]
    const picture = await sidewaysPhotograph(80, 48)
    const { checksum } = await storePhotograph(workspace(), pictures, one, 'picture-1', picture)
    const now = Date.now()
    await deleteJob(workspace(), one, new Date(now - 31 * DAY))
    // Between the question whether it is needed and its removal, and between its storing and its row.
    const late = { ...pictures }
    late.remove = async (key) => {
      await storePhotograph(workspace(), pictures, two, 'picture-2', picture)
      await pictures.remove(key)
    }
    expect(await forgetDeleted(database(), late, new Date(now))).toBe(1)
    expect(checksumOf((await readPhotograph(workspace(), pictures, two, 'picture-2')).data)).toBe(checksum)
    const gone = { ...pictures }
    gone.put = async (key, bytes) => {
      await pictures.put(key, bytes)
      if (gone.put !== pictures.put) await pictures.remove(key)
      gone.put = pictures.put
    }
    const three = await newJob()
    const other = await sidewaysPhotograph(84, 48)
    await storePhotograph(workspace(), gone, three, 'picture-3', other)
    expect((await readPhotograph(workspace(), pictures, three, 'picture-3')).data.length).toBeGreaterThan(0)
  })

  it('that the store has lost is named by the backup, which has all the rest', async () => {
    const job = await newJob()
    const { checksum } = await storePhotograph(
      workspace(),
      pictures,
      job,
      'picture-9',
      await sidewaysPhotograph(50, 40),
    )
    await pictures.remove(pictureKey('home', checksum))
    const { counts, missing } = await backup(database(), pictures, join(folder, 'some.backup'))
    expect(missing).toEqual([`the picture ${pictureKey('home', checksum)} is not in the store`])
    expect(counts.photograph).toBeGreaterThan(0)
  })
})
