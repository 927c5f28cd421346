import { fc, test as property } from '@fast-check/vitest'
import { describe, expect, it } from 'vitest'
import { boxOf, dimensionLabel, nameLabel, noteLabel, placeLabels, type Label } from './labels'

const viewport = { width: 700, height: 500, pixelsPerMetre: 120, groundY: 300 }
const labels: fc.Arbitrary<Label[]> = fc.array(
  fc.record({
    key: fc.uuid(),
    text: fc.string({ minLength: 1, maxLength: 24 }),
    style: fc.constantFrom('dimension', 'note', 'name'),
    anchor: fc.constantFrom('start', 'middle', 'end'),
    x: fc.integer({ min: 0, max: 400 }),
    y: fc.integer({ min: 0, max: 300 }),
    moves: fc.array(fc.tuple(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 })), { maxLength: 4 }),
  }),
  { maxLength: 40 },
)

describe('words in the drawing', () => {
  property.prop([labels, fc.constantFrom(1, 1.3)])(
    'never lie over each other, and the first always stands',
    (list, scale) => {
      const placed = placeLabels(list, [], scale).map((each) => boxOf(each, scale))
      for (const [i, a] of placed.entries())
        for (const b of placed.slice(i + 1))
          expect(a.left >= b.right || b.left >= a.right || a.top >= b.bottom || b.top >= a.bottom).toBe(true)
      if (list.length > 0) expect(placeLabels(list, [], scale)[0]!.key).toBe(list[0]!.key)
    },
  )

  it('move aside before they are left out', () => {
    const name = (key: string) => nameLabel(key, 'B7', 100, 100)
    const placed = placeLabels([name('a'), name('b'), name('c')])
    expect(placed.map(({ key, y }) => [key, y])).toEqual([
      ['a', 100],
      ['b', 118],
    ])
    expect(placeLabels([name('a')], [{ left: 0, right: 200, top: 0, bottom: 200 }])).toEqual([])
  })

  it('stand beside what they measure or speak of', () => {
    const deep = {
      key: 'depth',
      says: 'hole deep',
      from: [0.2, 0],
      to: [0.2, -0.8],
      side: 'right',
      length: 0.8,
    } as const
    expect(dimensionLabel(deep, viewport, 1, '0.80 m')).toMatchObject({ x: 154, y: 353, anchor: 'start' })
    const note = noteLabel({ key: 'cut', at: [-0.05, 0.04], text: 'cut back', side: 'left' }, viewport, 1)
    expect(note.pointsAt).toEqual([114, 295.2])
    expect(note.x).toBeLessThan(114)
  })
})
