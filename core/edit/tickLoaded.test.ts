import { describe, expect, it } from 'vitest'
import { fence } from '../../data/demo/days'
import { tables } from '../../data/tables'
import { InputError } from '../errors'
import { checkEdit } from './check'
import { tickLoaded, type TickLoaded } from './commands/tickLoaded'

const at = '2026-11-26T08:00:00.000Z'
const tick = (key: string, value: string | null = at): TickLoaded => ({ name: 'tickLoaded', key, value })
const job = fence({ posts: 2 })

describe('a thing in the van', () => {
  it('is ticked, and taken out again', () => {
    const one = tickLoaded.apply(tickLoaded.apply(job, tick('spade')), tick('bolts'))
    expect(one.load!.loaded!.map(({ key }) => key)).toEqual(['bolts', 'spade'])
    const none = tickLoaded.apply(tickLoaded.apply(one, tick('bolts', null)), tick('spade', null))
    expect(none).toEqual(job)
  })
  it('comes back as it was when it is undone', () => {
    for (const before of [job, tickLoaded.apply(job, tick('spade'))])
      for (const command of [tick('spade', null), tick('spade', '2026-11-26T09:00:00.000Z')])
        expect(tickLoaded.apply(tickLoaded.apply(before, command), tickLoaded.inverse(before, command))).toEqual(before)
  })
  it('meets nobody else’s tick but one of the same thing', () => {
    expect(tickLoaded.target(tick('a'))).not.toEqual(tickLoaded.target(tick('b')))
    expect(tickLoaded.says(tick('a'), { length: String })).toBe('loaded')
    expect(tickLoaded.says(tick('a', null), { length: String })).toBe('not loaded')
  })
  it('wants a moment', () => {
    expect(checkEdit(job, [tick('spade', 'soon')], tables)).toBeInstanceOf(InputError)
    expect(checkEdit(job, [tick('spade'), tick('spade', null)], tables)).toBeUndefined()
  })
})
