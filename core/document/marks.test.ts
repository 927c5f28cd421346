import { describe, expect, it } from 'vitest'
import type { Mark } from './job'
import { distanceOf, markCautions, markFlags, marksNear } from './marks'

const run: Mark = { id: 'm', kind: 'service', service: 'electricity', station: 4, to: 8, offset: 0.3 }

describe('what runs along a line', () => {
  it('is as far from a hole as its nearest place', () => {
    expect(distanceOf(run, 6)).toBeCloseTo(0.3, 12)
    expect(distanceOf(run, 8.4)).toBeCloseTo(0.5, 12)
    // Whichever end was typed first.
    expect(distanceOf({ ...run, station: 8, to: 4 }, 6)).toBeCloseTo(0.3, 12)
    expect(marksNear([run], 9.5)).toEqual([])
    expect(marksNear([run], 5)).toEqual([run])
  })
  it('stops the work until somebody has it in hand, once for all of it', () => {
    const inHand = { ...run, inHand: { at: '2026-03-14T09:30:00Z' } }
    for (const station of [4, 6, 8]) {
      expect(markFlags([run], station)[0]).toContain('A buried electricity line')
      expect(markFlags([inHand], station)).toEqual([])
      expect(markCautions([inHand])[0]).toContain('marked and in hand: dig by hand')
    }
  })
  it('above the ground stops it only where it can hurt; a pipe is unclipped and clipped back', () => {
    expect(markFlags([{ ...run, above: true }], 6)[0]).toContain('find out whether it is live')
    const water: Mark = { ...run, service: 'water', above: true, keep: true }
    expect(markFlags([water], 6)).toEqual([])
    expect(markCautions([water])).toEqual([
      'A water line runs here above the ground: unclip and support it before the post moves, clip it back at the end. It stays live.',
    ])
  })
})
