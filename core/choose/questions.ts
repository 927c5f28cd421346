import type { Command } from '../edit/commands'
import type { ResolvedLine, ResolvedPost, ResolvedSite } from '../resolve/resolve'
import type { Tables } from '../tables/tables'
import { measuresIn } from '../units/quantity'
import type { Metres, Minutes } from '../units/types'
import type { PostValue } from '../edit/keyed'
import type { SetPost } from '../edit/commands/setPost'

/** One other thing that may be true. */
export interface Supposition {
  says: string
  commands: readonly Command[]
}

/** A fact that the choice may hang on, and how it is found out. */
export interface Question {
  key: string
  name: string
  /** What comes before the words of a supposition: 'the ground is' stiff clay. */
  when: string
  /** What to do to know, and how long that takes. */
  reading: string
  minutes: Minutes
  suppose: (known: Known) => readonly Supposition[]
}
export interface Known {
  site: ResolvedSite
  line: ResolvedLine
  post: ResolvedPost
  tables: Tables
  set: <K extends SetPost['key']>(key: K, value: PostValue<K>) => Command[]
}

/** Minutes are working values. */
export const questions: readonly Question[] = [
  {
    key: 'soil',
    name: 'The ground',
    when: 'the ground is',
    reading: 'Feel it at half a metre: thumb, then bar',
    minutes: 10,
    suppose: ({ post, tables, set }) =>
      tables.soils
        .filter(({ key, kind }) => key !== post.soil && kind !== 'none')
        .map(({ key, name }) => ({ says: name.toLowerCase(), commands: set('soil', key) })),
  },
  {
    key: 'saturated',
    name: 'Water in the ground',
    when: '',
    reading: 'Look into a hole of half a metre after rain',
    minutes: 10,
    suppose: ({ post, set }) => [
      post.saturated
        ? { says: 'no water stands in the ground', commands: set('saturated', false) }
        : { says: 'water stands in the ground', commands: set('saturated', true) },
    ],
  },
  {
    key: 'exposure',
    name: 'How the place lies',
    when: 'the place is',
    reading: 'Stand at the post and look to windward: open for 300 m, or houses and trees',
    minutes: 1,
    suppose: ({ site, tables }) =>
      exposuresIn(tables)
        .filter((each) => each !== site.exposure)
        .map((value) => ({
          says: tables.exposures[value].name.toLowerCase().replace(/:.*/, ''),
          commands: [{ name: 'setSite', key: 'exposure', value }],
        })),
  },
  {
    key: 'wood',
    name: 'The wood at ground level',
    when: 'the wood at ground level is',
    reading: 'Probe it on all four faces',
    minutes: 3,
    suppose: ({ line, post, tables }) => {
      const { small } = measuresIn(tables.units)
      const now = post.observations.probeAtGround ?? 0
      return [0, 0.015, 0.04]
        .filter((depth) => Math.abs(depth - now) > 0.005)
        .map((value) => ({
          says: value === 0 ? 'sound' : `soft to ${small(value)}`,
          commands: [{ name: 'setReading', line: line.id, post: post.id, key: 'probeAtGround', value }],
        }))
    },
  },
  {
    key: 'footing',
    name: 'The old footing',
    when: 'there is',
    reading: 'Dig down one side of it to its bottom',
    minutes: 20,
    suppose: ({ post, tables, set }) => {
      if (post.footing?.diameter !== undefined) return []
      const { length } = measuresIn(tables.units)
      const size = (wide: Metres, deep: Metres) => ({
        says: `a block ${length(wide)} wide and ${length(deep)} deep`,
        commands: set('footing', block(wide, deep)),
      })
      return [{ says: 'no concrete', commands: set('footing', { kind: 'none' }) }, size(0.2, 0.35), size(0.3, 0.6)]
    },
  },
  {
    key: 'room',
    name: 'Room to dig',
    when: '',
    reading: 'Look for walls, roots and services on all sides',
    minutes: 5,
    suppose: ({ post, set }) => [
      post.roomToDig === false
        ? { says: 'there is room to dig', commands: set('roomToDig', true) }
        : { says: 'there is no room to dig', commands: set('roomToDig', false) },
    ],
  },
  {
    key: 'removable',
    name: 'Whether it has to come out again',
    when: '',
    reading: 'Ask the owner',
    minutes: 1,
    suppose: ({ post, set }) => [
      post.removable
        ? { says: 'it stays for good', commands: set('removable', false) }
        : { says: 'it has to come out again', commands: set('removable', true) },
    ],
  },
]
const exposuresIn = ({ exposures }: Tables) => Object.keys(exposures) as (keyof Tables['exposures'])[]
const block = (diameter: Metres, bottom: Metres): PostValue<'footing'> => ({
  kind: 'concrete',
  diameter,
  top: 0.05,
  bottom,
})
