import type { Job, Line, Post } from '../../core/document/job'
import type { Observations } from '../../core/cause/observations'
import { fence, gardens, rotted, stands, timber } from './setting'

/** Off plumb across the line, away positive, by a level of 1.2 m. */
const leaning = (offset: number): Observations => ({ ...stands, lean: { offset, over: 1.2, direction: 90 } })

const sawn: Partial<Post> = {
  ...timber,
  length: 2.1,
  ageYears: 11,
  footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.55 },
}

/** Where the lane comes in: two rotted posts between old ones that lean a little, and a gate on rising ground. */
export function laneEntrance(): Job {
  const leaf = { leafWidth: 1.3, leafMass: 38, hingeSpacing: 0.9, leafHeight: 1.4, hingeGap: 0.018, meetingGap: 0.012 }
  const post = (id: string, station: number, groundLevel: number, own: Partial<Post>): Post => ({
    ...sawn,
    id,
    station,
    groundLevel,
    ...own,
  })
  const line: Line = {
    id: 'E',
    name: 'Lane entrance',
    kind: 'close-boarded',
    height: 1.5,
    gap: 0.06,
    length: 14.8,
    remainingYears: 12,
    marks: [{ id: 'tap-pipe', kind: 'service', service: 'water', station: 0.4, to: 8.6, above: true, keep: true, note: 'clipped along the rails to the tap' }],
    posts: [
      post('E1', 0, 0, { carriesString: true, observations: leaning(0.012) }),
      post('E2', 2.4, -0.03, { observations: rotted, pointedAt: true }),
      post('E3', 4.8, -0.07, { observations: { ...rotted, lean: { offset: -0.05, over: 1.2, direction: 90 } }, pointedAt: true }),
      post('E4', 7.2, -0.06, { observations: leaning(0.028), found: { gapLow: 0.05 } }),
      post('E5', 9.6, -0.05, {
        duty: 'gate-hinge',
        section: { shape: 'rectangle', along: 0.125, across: 0.125 },
        gate: { ...leaf, rise: 0.06, sag: 0.024, openingBottom: 2.652, openingTop: 2.634 },
        observations: { ...stands, onset: 'slowly' },
      }),
      post('E6', 12.38, -0.02, { duty: 'gate-hinge', section: { shape: 'rectangle', along: 0.125, across: 0.125 }, gate: leaf, observations: stands }),
      post('E7', 14.8, 0, {
        carriesString: true,
        hardAgainst: 'paving',
        paving: { along: 0.4, across: 0.4, joint: 0.005, thickness: 0.04, x: 0.2, y: 0.39 },
        observations: { pushPivot: 'panel-only', probeAtGround: 0, fixings: 'loose-rails' },
      }),
    ],
  }
  return fence('Lane entrance, the gate drops', { ...gardens, rules: 'halm-lowland' }, line)
}
