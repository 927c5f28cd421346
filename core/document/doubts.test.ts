import { expect, it } from 'vitest'
import { doubtsOf } from './doubts'

it.each([
  ['usual bays', [0, 2.4, 4.8], 1.8, []],
  ['a lone post', [0], 1.1, []],
  ['feet taken for metres', [0, 8, 16], 6, [/8\.00 m.*4\.00 m/, /6\.00 m high/]],
  ['a slip of the point', [0, 2.4, 4.8, 72], 1.8, [/One bay of 67\.20 m among bays of 2\.40 m/]],
] as const)('%s', (_name, stations, height, asked) => {
  const doubts = doubtsOf({ stations, height }, 'metric')
  expect(doubts).toHaveLength(asked.length)
  doubts.forEach((doubt, i) => expect(doubt).toMatch(asked[i]!))
})

it('asks in the units of the reader', () => {
  expect(doubtsOf({ stations: [0, 6] }, 'feet-inches')[0]).toContain(`19'`)
})
