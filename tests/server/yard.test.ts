import { describe, expect, it } from 'vitest'
import { InputError } from '../../core/errors'
import type { YardChange } from '../../core/yard/change'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'
import { applyBatch, importJob } from '../../server/jobs/service'
import { changeYard, readYard, readYardHistory, tablesHere } from '../../server/yard/service'
import { ownDatabase } from './ownDatabase'

const { workspace } = ownDatabase('yard')
let counter = 0
const batch = (...changes: YardChange[]) => ({ id: `change-${++counter}-x`, by: 'Wren', changes })
const price = (was: number, value: number): YardChange => ({
  table: 'catalogue',
  key: 'mix/post-mix-20',
  path: 'price',
  was,
  value,
})
const priceNow = async () => (await readYard(workspace())).own.catalogue?.['mix/post-mix-20']?.price
const soil = { ...tables.soils.find(({ key }) => key === 'firm-clay')!, key: 'bank-clay', name: 'Bank clay' }

describe('the yard in the database', () => {
  it('has nothing of its own at first; a change is kept, with who and when', async () => {
    expect(await readYard(workspace())).toEqual({ version: 0, own: {} })
    expect(await changeYard(workspace(), batch(price(640, 690)))).toMatchObject({ version: 1, conflicts: [] })
    expect(await priceNow()).toBe(690)
    const { entries } = await readYardHistory(workspace())
    expect(entries).toMatchObject([{ version: 1, changes: [price(640, 690)], madeBy: 'Wren' }])
    expect(Date.parse(entries[0]!.madeAt)).toBeGreaterThan(Date.parse('2026-01-01'))
  })

  it('takes a batch once, however often it is sent, and says the same again', async () => {
    const sent = batch(price(690, 700), price(640, 800))
    const first = await changeYard(workspace(), sent)
    expect(first.conflicts).toMatchObject([{ mine: price(640, 800), theirs: { price: 700 } }])
    expect(await changeYard(workspace(), sent)).toEqual(first)
    expect(await priceNow()).toBe(700)
  })

  it('of two at the same moment one is first, and the other hears of it', async () => {
    const answers = await Promise.all([710, 720, 730].map((value) => changeYard(workspace(), batch(price(700, value)))))
    expect(answers.map(({ conflicts }) => conflicts.length).sort()).toEqual([0, 1, 1])
    expect(new Set(answers.map(({ version }) => version)).size).toBe(3)
  })

  it('writes nothing of a batch in which one row is wrong', async () => {
    const before = await readYard(workspace())
    const wrong: YardChange = { table: 'soils', key: 'bank-clay', was: null, value: { ...soil, cohesion: 0 } }
    await expect(changeYard(workspace(), batch(price(Number(await priceNow()), 1), wrong))).rejects.toThrow(InputError)
    expect(await readYard(workspace())).toEqual(before)
  })

  it('pages its history, the last first', async () => {
    const { version } = await readYard(workspace())
    const { entries } = await readYardHistory(workspace(), version)
    expect(entries.map((each) => each.version)).toEqual(Array.from({ length: version - 1 }, (_, i) => version - 1 - i))
  })

  it('gives jobs its own soils, on every server', async () => {
    const job = demoJobs().at(-1)!
    const { id } = await importJob(workspace(), job)
    const line = job.lines[0]!
    const edit = (version: number) => ({
      id: `edit-${++counter}-xx`,
      version,
      commands: [
        { name: 'setPost' as const, line: line.id, post: line.posts[0]!.id, key: 'soil' as const, value: 'bank-clay' },
      ],
    })
    await expect(applyBatch(workspace(), id, edit(1) as never)).rejects.toThrow('bank-clay')
    await changeYard(workspace(), batch({ table: 'soils', key: 'bank-clay', was: null, value: soil }))
    expect(await applyBatch(workspace(), id, edit(1) as never)).toMatchObject({ version: 2 })
    expect((await tablesHere(workspace())).tables.soils.at(-1)).toEqual(soil)
  })
})
