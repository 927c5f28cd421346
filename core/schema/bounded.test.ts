import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { InputError } from '../errors'
import { requireBounded } from './bounded'

const wrong = (value: unknown) => {
  try {
    requireBounded(value, 'body')
    return undefined
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    return error.message
  }
}
const nested = (depth: number, shell: (inner: unknown) => unknown) => {
  let value: unknown = 1
  for (let i = 0; i < depth; i++) value = shell(value)
  return value
}

describe('what comes from outside', () => {
  it.each([...demoJobs(), null, 1, '', [], { 'x-note': [1, { ä: '½ 🙂' }] }].map((value) => [value]))(
    'is let in where it is within bounds',
    (value) => expect(wrong(value)).toBeUndefined(),
  )

  it.each<[string, unknown, string]>([
    ['a number without end', JSON.parse('{"lines":[{"height":1e999}]}'), 'lines[0].height is "Infinity"'],
    ['none at all', { a: [0, NaN] }, 'a[1] is "NaN"; it must be a finite number'],
    ['half a letter', { name: 'bank \ud800' }, 'name is "text with half a letter"'],
    ['half a letter in a key', { a: { '\udfff': 1 } }, 'a is "with the key'],
    ['a key of the language', JSON.parse('{"a":{"__proto__":{"b":1}}}'), 'a is "with the key "__proto__"'],
    ['another', { constructor: 1 }, 'body is "with the key'],
    ['a long key', { ['k'.repeat(201)]: 1 }, 'body is "with the key'],
    ['a long text', ['x'.repeat(50_001)], '[0] is "50001 letters"'],
    ['a long list', { posts: Array.from({ length: 20_001 }, () => 0) }, 'posts is "a list of 20001"'],
    ['many keys', Object.fromEntries(Array.from({ length: 1_001 }, (_, i) => [`k${i}`, 1])), 'body is "1001 keys"'],
    ['many values', Array.from({ length: 100 }, () => Array.from({ length: 4_500 }, () => 0)), 'more than 400000'],
    ['lists in lists', nested(25, (inner) => [inner]), 'it must be at most 24 parts within parts'],
    ['parts in parts', nested(25, (inner) => ({ a: inner })), 'it must be at most 24 parts within parts'],
  ])('is refused with %s', (_name, value, message) => {
    expect(wrong(value)).toContain(message)
  })

  it('is refused in no time, however deep', () => {
    expect(wrong(JSON.parse(`${'['.repeat(1e6)}${']'.repeat(1e6)}`))).toContain('parts within parts')
    expect(wrong(nested(24, (inner) => [inner]))).toBeUndefined()
  })
})
