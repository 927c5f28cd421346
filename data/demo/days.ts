import type { DaySetup, Job, Post } from '../../core/document/job'
import type { Mood } from '../../core/weather/simulated'

/** A day to be planned, invented: what is done, who comes with what, and the weather. */
export interface DemoDay {
  name: string
  job: Job
  setup: DaySetup
  station: string
  /** As it comes, where none is told. */
  mood?: Mood
}

const all = ['dig', 'mix', 'saw', 'lift'] as const
const person = (id: string, skills: readonly (typeof all)[number][] = all) => ({ id, name: id, skills: [...skills] })
/** One of them may not lift alone, nor dig. */
const three = [person('A'), person('B'), person('C', ['mix', 'saw', 'lift'])]

interface Work {
  posts: number
  gate?: true
  mix?: string
  method?: string
  soil?: string
  filling?: string
}

/** So many rotted posts of a close-boarded fence, their repairs chosen. */
export function fence({ posts, gate, mix = 'post-mix-20', method = 'new-post-concrete', soil = 'firm-clay', filling }: Work): Job {
  const repair = { method, mix, ...(filling ? { filling } : {}) }
  const all = Array.from(
    { length: posts },
    (_, i): Post => ({
      id: `B${i + 1}`,
      station: Math.round(i * 2.4 * 1e3) / 1e3,
      material: 'treated-softwood',
      section: { shape: 'rectangle', along: 0.1, across: 0.1 },
      length: 2.4,
      ageYears: 14,
      soil,
      footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 },
      observations: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03 },
      repair,
    }),
  )
  if (gate) {
    const last = all.at(-1)!
    all[all.length - 1] = { ...last, duty: 'gate-hinge', gate: { leafWidth: 1.1, leafMass: 32, hingeSpacing: 0.9 } }
  }
  return {
    format: 'vindex-job',
    version: 1,
    name: `${posts} posts`,
    site: { name: 'Sedgewater Allotment Society', exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.45, minimumDepth: 0.6 },
    lines: [{ id: 'B', name: 'Bank side', kind: 'close-boarded', height: 1.8, gap: 0.05, length: (posts - 1) * 2.4, posts: all }],
  }
}

const SPRING = '2026-04-13'
const AUTUMN = '2026-10-12'
/** The second evening has the front. */
const STORMY = '2026-11-28'

export const demoDays: readonly DemoDay[] = [
  { name: 'two posts, one person', job: fence({ posts: 2 }), setup: { first: SPRING, crew: [person('A')] }, station: 'bank', mood: 'steady' },
  { name: 'three posts and a gate, one person', job: fence({ posts: 4, gate: true }), setup: { first: SPRING, crew: [person('A')] }, station: 'bank', mood: 'steady' },
  { name: 'five posts, two people', job: fence({ posts: 5 }), setup: { first: SPRING, crew: [person('A'), person('B')] }, station: 'hollow', mood: 'steady' },
  { name: 'six posts in ordinary concrete', job: fence({ posts: 6, mix: 'general-20' }), setup: { first: SPRING, crew: [person('A'), person('B')], tools: { props: 6, level: 2 } }, station: 'bank', mood: 'steady' },
  { name: 'four spurs with a mixer', job: fence({ posts: 4, method: 'repair-spur' }), setup: { first: AUTUMN, crew: [person('A'), person('B')], tools: { props: 4, level: 1, mixer: 1 } }, station: 'estuary', mood: 'steady' },
  {
    name: 'nine posts and a gate post before the front',
    job: fence({ posts: 10, gate: true }),
    setup: {
      first: STORMY,
      // A Saturday: nobody leaves it open for a front.
      rest: [],
      crew: three,
      tools: { props: 4, level: 2, mixer: 1 },
      hires: [{ tool: 'mixer', from: 600, to: 960 }],
      deliveries: [{ day: 0, from: 540, to: 540, says: 'bags come' }],
      covered: true,
    },
    station: 'bank',
    mood: 'storm',
  },
  { name: 'eight posts in hard clay with a breaker', job: fence({ posts: 8, soil: 'stiff-clay' }), setup: { first: AUTUMN, crew: three, tools: { props: 8, level: 2, breaker: 1 } }, station: 'ridge', mood: 'steady' },
  { name: 'eight posts, bags in the hole, four people', job: fence({ posts: 8, filling: 'water-first' }), setup: { first: SPRING, crew: [...three, person('D')], tools: { props: 8, level: 2 } }, station: 'bank', mood: 'steady' },
  { name: 'three posts in the heat, shaded', job: fence({ posts: 3 }), setup: { first: '2026-07-06', crew: [person('A'), person('B')], shaded: true }, station: 'hollow', mood: 'heat' },
  { name: 'five posts between showers', job: fence({ posts: 5 }), setup: { first: AUTUMN, crew: [person('A'), person('B')], tools: { props: 5, level: 1 } }, station: 'bank', mood: 'wet' },
  { name: 'seven posts in stone, two people', job: fence({ posts: 7, method: 'new-post-stone' }), setup: { first: SPRING, crew: [person('A'), person('B')] }, station: 'bank', mood: 'steady' },
  { name: 'twelve posts and a gate with an auger', job: fence({ posts: 13, gate: true }), setup: { first: SPRING, crew: [...three, person('D')], tools: { props: 6, level: 2, mixer: 1, auger: 1, breaker: 1 } }, station: 'bank', mood: 'steady' },
]
