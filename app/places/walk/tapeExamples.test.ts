import { describe, expect, it } from 'vitest'
import { parseTape } from '~~/core/setout/tape'
import { LENGTH_SYSTEMS } from '~~/core/units/length'
import { TAPE_EXAMPLES } from './tapeExamples'

describe.each(LENGTH_SYSTEMS)('what is shown to a person who measures in %s', (units) => {
  const { readings, row, gates } = TAPE_EXAMPLES[units]

  it('can be typed as it stands', () => {
    expect(
      parseTape(readings, units).map(({ station, leaf, duty }) => [station > 0, leaf !== undefined, duty]),
    ).toEqual([
      [false, false, undefined],
      [true, false, undefined],
      [true, false, undefined],
      [true, true, 'gate-hinge'],
      [true, false, 'corner'],
    ])
    expect(parseTape(row, units)).toHaveLength(7)
  })

  it('names gates that are understood', () => {
    for (const [i, gate] of gates.split(', ').entries())
      expect(parseTape(`0, 7 ${gate}`, units)[1]).toMatchObject({ duty: 'gate-hinge', leaves: i + 1 })
  })
})
