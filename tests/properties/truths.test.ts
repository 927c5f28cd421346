import { describe, it } from 'vitest'
import { tables } from '../../data/tables'
import { truths } from './truths'

/** Of each truth; `npm run properties` tries many more. */
const CASES = 2_000

describe('truths of the core over its whole range', () => {
  it.each(truths(tables).map((truth) => [truth.name, truth] as const))(
    '%s',
    (_name, truth) => truth.check(CASES),
    60_000,
  )
})
