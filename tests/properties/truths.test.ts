import { describe, it } from 'vitest'
import { tables } from '../../data/tables'
import { truths } from './truths'

describe('truths of the core over its whole range', () => {
  it.each(truths(tables).map((truth) => [truth.name, truth] as const))('%s', (_name, { check, cases }) => check(cases))
})
