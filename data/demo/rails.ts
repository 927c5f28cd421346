import type { Job, Line } from '../../core/document/job'
import { fence, gardens, inConcrete, rotted, run, timber } from './setting'

const sound = { pushPivot: 'nothing-moves', probeAtGround: 0 } as const

/** Low rails among the trees: the posts are gone at the ground, their footings are as good as new. */
export function orchardRails(): Job {
  const gone = { ...rotted, footingFound: 'adequate' } as const
  const line: Line = {
    id: 'R',
    name: 'Orchard rails',
    kind: 'post-and-rail',
    height: 1.1,
    gap: 0.2,
    length: 16.2,
    remainingYears: 12,
    posts: run({ letter: 'R', count: 10, bay: 1.8 }, inConcrete(1.8, 13, [0.3, 0.65]), {
      3: { observations: gone, pointedAt: true },
      4: { observations: gone },
      8: { observations: { ...gone, probeAtGround: 0.022 } },
    }),
  }
  return fence('Orchard rails, sound footings', { ...gardens, exposure: 'sheltered' }, line)
}

/** Where the tractor comes in twice a year: the two posts in the middle have to come out. */
export function tractorGap(): Job {
  const loose = { ...rotted, comesUpright: 'with-force' } as const
  const line: Line = {
    id: 'G',
    name: 'Tractor gap',
    kind: 'post-and-rail',
    height: 1.2,
    gap: 0.2,
    length: 7.2,
    remainingYears: 15,
    posts: run({ letter: 'G', count: 5, bay: 1.8 }, inConcrete(1.9, 10, [0.25, 0.6]), {
      2: { removable: true, observations: loose, pointedAt: true, repair: { method: 'lift-out-sleeve' } },
      3: { removable: true, observations: { ...loose, probeAtGround: 0.02 }, repair: { method: 'lift-out-sleeve' } },
    }),
  }
  return fence('Tractor gap, posts that lift out', { ...gardens, exposure: 'sheltered' }, line)
}

/** Its customer has an offer. */
export const OFFERED = 'Car park side, offer out'

/** Twenty-four years old and rotten in seven posts of ten: the society has an offer for all of it. */
export function carPark(): Job {
  const line: Line = {
    id: 'K',
    name: 'Car park side',
    kind: 'close-boarded',
    height: 1.6,
    gap: 0.05,
    length: 21.6,
    cornerAtStart: true,
    cornerAtEnd: true,
    remainingYears: 20,
    posts: run(
      { letter: 'K', count: 10, bay: 2.4 },
      {
        ...timber,
        length: 2.2,
        ageYears: 24,
        footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.55 },
        observations: { ...rotted, onset: 'slowly' },
        repair: { method: 'replace-run' },
      },
      Object.fromEntries([1, 6, 9].map((number) => [number, { observations: { ...sound, probeAtGround: 0.008 }, repair: {} }])),
    ),
  }
  return fence(OFFERED, { ...gardens, exposure: 'sheltered' }, line)
}
