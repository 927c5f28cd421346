import 'fake-indexeddb/auto'
import { describe, expect, it } from 'vitest'
import type { OfferAnswer } from '~~/core/offer/answer'
import type { CellChange } from '~~/core/yard/change'
import { rowsNow } from '~~/core/yard/rows'
import { shippedYard } from '~~/data/yard'
import { someOffer } from '~~/tests/support/someOffer'
import { fakeYardServer, yardDevice } from './fakeYard'

const price = (was: number, value: number, key = 'mix/post-mix-20'): CellChange => ({
  table: 'catalogue',
  key,
  path: 'price',
  was,
  value,
})
type Device = ReturnType<typeof yardDevice>
const priceAt = ({ yard }: Device, key = 'mix/post-mix-20') =>
  rowsNow(shippedYard, yard.own.value).catalogue!.find((row) => row.key === key)!.price

describe('the yard on a device', () => {
  it('is changed without a signal, reopened, and then sent in order', async () => {
    const server = fakeYardServer()
    server.state.isAway = true
    const first = yardDevice(server)
    await first.yard.change([price(640, 690)])
    await first.yard.change([price(690, 700)])
    const again = await first.again()
    await again.yard.refresh()
    expect(priceAt(again)).toBe(700)
    server.state.isAway = false
    await again.queue.idle()
    expect(server.state.own.catalogue!['mix/post-mix-20']).toMatchObject({ price: 700 })
    expect(server.state.version).toBe(2)
    expect(again.queue.waiting('yard')).toBe(0)
    expect(priceAt(again)).toBe(700)
  })

  it('is changed once where the answer was lost', async () => {
    const server = fakeYardServer()
    server.state.losesAnswers = 2
    const device = yardDevice(server)
    await device.yard.change([price(640, 690)])
    await device.queue.idle()
    expect(server.state.version).toBe(1)
    expect(device.yard.conflicts.value).toEqual([])
  })

  it('refuses at once what cannot stand, and keeps what was', async () => {
    const device = yardDevice(fakeYardServer())
    const refused = await device.yard.change([price(640, -3)])
    expect(refused?.message).toContain('price is -3')
    expect(priceAt(device)).toBe(640)
    expect(device.yard.steps.value.back).toBe(0)
  })

  it('goes back and forth, also after it was opened again', async () => {
    const server = fakeYardServer()
    const first = yardDevice(server)
    await first.yard.change([price(640, 690), price(720, 750, 'mix/fast-set-22')])
    await first.yard.change([price(690, 710)])
    await first.queue.idle()
    const device = await first.again()
    await device.yard.refresh()
    await device.yard.undo()
    expect([priceAt(device), priceAt(device, 'mix/fast-set-22')]).toEqual([690, 750])
    await device.yard.undo()
    expect([priceAt(device), priceAt(device, 'mix/fast-set-22')]).toEqual([640, 720])
    await device.yard.redo()
    expect([priceAt(device), priceAt(device, 'mix/fast-set-22')]).toEqual([690, 750])
    await device.yard.change([price(690, 660)])
    expect(device.yard.steps.value.again).toBe(0)
    await device.queue.idle()
    expect(server.state.own.catalogue!['mix/post-mix-20']).toMatchObject({ price: 660 })
  })

  it('shows both where somebody else was faster: theirs stands until mine is chosen', async () => {
    const server = fakeYardServer()
    const [mine, theirs] = [yardDevice(server), yardDevice(server)]
    await theirs.yard.change([price(640, 655)])
    await theirs.queue.idle()
    // This device has not heard of it.
    server.state.isAway = true
    await mine.yard.change([price(640, 690)])
    await mine.yard.change([price(410, 430, 'stone/gravel')])
    server.state.isAway = false
    await mine.queue.idle()
    expect([priceAt(mine), priceAt(mine, 'stone/gravel')]).toEqual([655, 430])
    expect(mine.yard.conflicts.value).toHaveLength(1)
    const [conflict] = mine.yard.conflicts.value
    expect(conflict).toMatchObject({ mine: { value: 690 }, theirs: { price: 655 } })
    await mine.yard.decide(conflict!, true)
    await mine.queue.idle()
    await theirs.yard.refresh()
    expect([priceAt(theirs), mine.yard.conflicts.value.length]).toEqual([690, 0])
  })

  it('leaves theirs where that is chosen', async () => {
    const server = fakeYardServer()
    const [mine, theirs] = [yardDevice(server), yardDevice(server)]
    await theirs.yard.change([price(640, 655)])
    await theirs.queue.idle()
    await mine.yard.change([price(640, 690)])
    await mine.queue.idle()
    await mine.yard.decide(mine.yard.conflicts.value[0]!, false)
    await mine.queue.idle()
    expect([priceAt(mine), server.state.version, mine.yard.conflicts.value.length]).toEqual([655, 2, 0])
  })
})

describe('offers on a device', () => {
  const draft = () => someOffer()
  const yes: OfferAnswer = {
    isAccepted: true,
    option: 'For good',
    name: 'Rowan',
    checksum: 'c'.repeat(64),
    way: 'device',
    at: '2026-11-24T09:00:00Z',
  }

  it('are made and taken without a signal, and both arrive', async () => {
    const server = fakeYardServer()
    const first = yardDevice(server)
    const offer = draft()
    await first.offers.make('job', offer)
    await first.queue.idle()
    server.state.isAway = true
    await first.offers.answer('job', offer.id, yes)
    const device = await first.again()
    expect(await device.offers.of('job')).toMatchObject([{ state: 'accepted', answer: { name: 'Rowan' } }])
    server.state.isAway = false
    await device.queue.idle()
    expect(server.state.offers).toMatchObject([{ state: 'accepted', answer: yes }])
  })

  it('have their number when the server has kept them, and the ones before are replaced', async () => {
    const server = fakeYardServer()
    const device = yardDevice(server)
    server.state.isAway = true
    await device.offers.make('job', draft())
    await device.offers.make('job', draft())
    expect((await device.offers.of('job')).map(({ offer, state }) => [offer.number, state])).toEqual([
      [undefined, undefined],
      [undefined, undefined],
    ])
    server.state.isAway = false
    await device.queue.idle()
    expect((await device.offers.of('job')).map(({ offer, state }) => [offer.number, state])).toEqual([
      [2, 'sent'],
      [1, 'replaced'],
    ])
  })

  it('that the server refuses lie in the tray', async () => {
    const device = yardDevice(fakeYardServer())
    const wrong = draft()
    wrong.options[0]!.net += 1
    await device.offers.make('job', wrong)
    await device.queue.idle()
    await device.tray.load()
    expect(device.tray.items.value).toMatchObject([{ kind: 'offers', why: expect.stringContaining('options[0].net') }])
    expect(await device.offers.of('job')).toEqual([])
  })
})
