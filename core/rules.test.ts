import { describe, expect, it } from 'vitest'
import { holds, type Rule } from './rules'

describe('a rule over facts', () => {
  it.each<[string, Rule, object, boolean]>([
    ['one of a list', [[{ key: 'material', in: ['steel'] }]], { material: 'steel' }, true],
    ['none of the list', [[{ key: 'material', in: ['steel'] }]], { material: 'oak' }, false],
    ['any of a fact that is a list', [[{ key: 'around', in: ['root'] }]], { around: ['gap', 'root'] }, true],
    ['not one of a list', [[{ key: 'material', notIn: ['oak'] }]], { material: 'steel' }, true],
    ['not, yet it is', [[{ key: 'material', notIn: ['oak'] }]], { material: 'oak' }, false],
    ['under a bound', [[{ key: 'gap', below: 0.02 }]], { gap: 0.019 }, true],
    ['at a bound', [[{ key: 'gap', below: 0.02 }]], { gap: 0.02 }, false],
    ['over a bound', [[{ key: 'age', above: 12 }]], { age: 12.5 }, true],
    ['at the bound from above', [[{ key: 'age', above: 12 }]], { age: 12 }, false],
    ['between two', [[{ key: 'age', above: 5, below: 12 }]], { age: 8 }, true],
    ['a word where a number is asked', [[{ key: 'age', above: 5 }]], { age: 'old' }, false],
    ['nothing known', [[{ key: 'material', notIn: ['oak'] }]], {}, false],
    [
      'both of a group',
      [
        [
          { key: 'a', in: [true] },
          { key: 'b', in: [true] },
        ],
      ],
      { a: true, b: false },
      false,
    ],
    ['either of two groups', [[{ key: 'a', in: [true] }], [{ key: 'b', in: [true] }]], { a: false, b: true }, true],
    ['no group at all', [], { a: true }, false],
  ])('%s', (_name, rule, facts, expected) => {
    expect(holds(rule, facts as Record<string, unknown>)).toBe(expected)
  })
})
