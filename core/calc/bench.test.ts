import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { calculation, type Calculation } from './calculation'
import type { FormField } from './form'
import { group, keyOf, listOf, optional, quantity } from './inputs'
import { calculations } from './registry'
import { figuresFound, numbersGiven, reachOf, sweep, valueAt, withValue } from './sweep'

/** What can be filled in of a form, from what was given; what is left over has no field. */
function strangers(form: readonly FormField[], given: Readonly<Record<string, unknown>>): string[] {
  const known = new Set(form.map(({ key }) => key))
  return Object.keys(given).filter((key) => !known.has(key))
}

describe('every calculation', () => {
  it.each(calculations.map((each) => [each.name, each] as const))(
    '%s has its form, its source and its example',
    (_name, each) => {
      const { form, inputs, source, example } = each
      expect(form.map(({ key }) => key)).toEqual(Object.keys(inputs))
      expect(source.length).toBeGreaterThan(10)
      expect(strangers(form, example[0])).toEqual([])
      for (const field of form) expect(field.name, field.key).toMatch(/^[a-z0-9 ]+$/)
    },
  )

  it.each(calculations.map((each) => [each.name, each] as const))(
    '%s has a drawing that moves with its figures',
    (_name, each) => {
      const [given] = each.example
      const figures = figuresFound(each.run(given, tables))
      const moving = numbersGiven(each.form, given).some((input) =>
        figures.some((figure) => new Set(sweep(each, given, input, figure, tables).points.map(({ y }) => y)).size > 1),
      )
      expect(moving).toBe(true)
    },
  )
})

describe('a calculation that is added', () => {
  const added: Calculation = calculation({
    name: 'added',
    says: 'a calculation of a test',
    source: 'a test of its own',
    inputs: {
      soil: keyOf('soil', (all) => all.soils),
      depth: quantity(0.1, 3, 'm'),
      bays: listOf(group({ wide: quantity(0.3, 4, 'm') }), 9),
      isWet: optional(quantity(0, 1), 0.5),
    },
    outputs: { sum: 'm' },
    example: [{ soil: 'gravel', depth: 0.6, bays: [{ wide: 2 }] }, { sum: 2.6 }],
    run: ({ depth, bays }) => ({ sum: bays.reduce((sum, { wide }) => sum + wide, depth) }),
  })
  it('has a form without anybody making it', () => {
    const [soil, depth, bays, wet] = added.form
    expect(soil).toMatchObject({ kind: 'row', name: 'soil', isOptional: false })
    expect((soil as Extract<FormField, { kind: 'row' }>).rows(tables)).toBe(tables.soils)
    expect(depth).toMatchObject({ kind: 'number', minimum: 0.1, maximum: 3, unit: 'm' })
    expect(bays).toMatchObject({ kind: 'list', of: { kind: 'group', fields: [{ key: 'wide', kind: 'number' }] } })
    expect(wet).toMatchObject({ name: 'is wet', isOptional: true, otherwise: 0.5 })
  })
  it('is swept over any number that was given', () => {
    const [given] = added.example
    const inputs = numbersGiven(added.form, given)
    expect(inputs.map(({ path }) => path)).toEqual([['depth'], ['bays', 0, 'wide']])
    const { from, to, points } = sweep(added, given, inputs[1]!, ['sum'], tables)
    expect([from, to]).toEqual([1, 4])
    expect(points).toHaveLength(41)
    expect(points[0]).toEqual({ x: 1, y: 1.6 })
    // Past what may be there is no point.
    expect(sweep(added, { ...given, depth: 2.9 }, inputs[0]!, ['sum'], tables).to).toBe(3)
    expect(sweep(added, { ...given, soil: 'cheese' }, inputs[0]!, ['sum'], tables).points).toEqual([])
  })
  it('hides no error that is not of what was typed', () => {
    const broken = {
      ...added,
      run: () => {
        throw new TypeError('no')
      },
    }
    expect(() =>
      sweep(broken, added.example[0], numbersGiven(added.form, added.example[0])[0]!, ['sum'], tables),
    ).toThrow(TypeError)
  })
})

describe('ways into a value', () => {
  it('find figures, those at the top first, of lists a few', () => {
    expect(
      figuresFound({ list: [1, 2, 3, 4, 5, 6], a: 1, deep: { b: 2, no: 'x', none: null, far: Infinity } }),
    ).toEqual([['a'], ['list', 0], ['list', 1], ['list', 2], ['list', 3], ['deep', 'b']])
  })
  it('put another value in its place and leave the rest', () => {
    const value = { a: [{ b: 1 }, { b: 2 }], c: 3 }
    expect(withValue(value, ['a', 1, 'b'], 5)).toEqual({ a: [{ b: 1 }, { b: 5 }], c: 3 })
    expect(withValue({}, ['x', 'y'], 1)).toEqual({ x: { y: 1 } })
    expect(value.a[1]!.b).toBe(2)
    expect(valueAt(value, ['a', 0, 'b'])).toBe(1)
    expect(valueAt(value, ['no', 'b'])).toBeUndefined()
  })
  it('reach from half to twice, within what may be', () => {
    expect(reachOf({ minimum: 0, maximum: 10 }, 2)).toEqual([1, 4])
    expect(reachOf({ minimum: -5, maximum: 3 }, -2)).toEqual([-4, -1])
    expect(reachOf({ minimum: 0, maximum: 3 }, 0)).toEqual([0, 1])
    expect(reachOf({ minimum: 2, maximum: 3 }, 2)).toEqual([2, 3])
  })
})
