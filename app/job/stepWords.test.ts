import { expect, it } from 'vitest'
import { stepFacts, waitFacts } from './stepWords'

const step = { key: 'pour', text: 'Pour.', minutes: 38, hands: 1, first: [] }

it('says in one line what a step wants', () => {
  expect(stepFacts(step)).toBe('about 40 min')
  expect(stepFacts({ ...step, minutes: 1.4 })).toBe('a minute or two')
  expect(stepFacts({ ...step, minutes: 7.2, hands: 2, first: [3] })).toBe('about 7 min; two people; after step 3')
  expect(stepFacts({ ...step, first: [3, 4] })).toContain('after steps 3 and 4')
})

it('says how long to wait, and by when', () => {
  const wait = (hours: number) =>
    stepFacts({ ...step, after: { milestone: 'props', says: 'props may be loosened', hours } })
  expect(wait(0.4)).toContain('wait 25 min in ground at 10 °C (50 °F): props may be loosened then')
  expect(wait(30.8)).toContain('wait 31 h in')
  expect(waitFacts(step)).toBe('')
  expect(waitFacts({ ...step, within: 10.05 })).toBe('Within 10 min of pouring.')
  expect(wait(200)).toContain('wait 9 days in')
  expect(stepFacts({ ...step, within: 10.05 })).toContain('within 10 min of pouring')
  expect(stepFacts({ ...step, leave: 720 })).toContain('then leave it 12 h')
})
