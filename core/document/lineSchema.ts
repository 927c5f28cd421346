import { array, number } from 'yup'
import { LIMITS, LONGEST } from '../limits'
import {
  choice,
  flag,
  listOfAtMost,
  name,
  needed,
  neededChoice,
  neededTime,
  part,
  quantity,
  record,
  text,
  typed,
} from '../schema/fields'
import { LINE_KINDS } from '../wind/fence'
import { postSchema } from './postSchema'
import { lineSetOutSchema } from './setOutSchema'
import { MARK_KINDS, SERVICES } from './vocabulary'

/* A line of a fence with its posts, and what lies along it. */

export const markSchema = record({
  id: name(LONGEST.lineOrPost),
  kind: neededChoice(MARK_KINDS),
  station: needed(0, 20_000, 'm'),
  /** Where a run of it ends. */
  to: quantity(0, 20_000, 'm'),
  offset: quantity(-100, 100, 'm'),
  /** It hangs on the fence or runs above the ground. */
  above: flag(),
  /** It stays live: supported while the work goes on, clipped back at its end. */
  keep: flag(),
  /** Found, marked and kept clear of: said once for all of it. */
  inHand: part({ at: neededTime(), by: text(LONGEST.person), note: text(LONGEST.note) }),
  size: quantity(0.005, 5, 'm'),
  service: choice(SERVICES),
  note: text(LONGEST.note),
})

export type Coordinates = [longitude: number, latitude: number] | [longitude: number, latitude: number, height: number]
const coordinatesSay = 'longitude, latitude and perhaps a height'
const coordinatesSchema = array(number().strict().required('a number'))
  .strict()
  .min(2, coordinatesSay)
  .max(3, coordinatesSay)

/** Of a fence, m. */
export const FENCE_HEIGHT = [0.3, 4, 'm'] as const

export const lineSchema = record({
  id: name(LONGEST.lineOrPost),
  name: text(LONGEST.name),
  kind: choice(LINE_KINDS),
  height: quantity(...FENCE_HEIGHT),
  gap: quantity(0, 1, 'm').test('under-cladding', 'less than the height of the fence', function (gap) {
    const { height = 1.8 } = this.parent as { height?: number }
    // A height that is none is said of itself.
    return gap === undefined || !(height >= FENCE_HEIGHT[0]) || gap < height
  }),
  solidity: quantity(0.02, 1),
  length: quantity(0.3, 20_000, 'm'),
  cornerAtStart: flag(),
  cornerAtEnd: flag(),
  remainingYears: quantity(0, 200, 'years'),
  levelReference: quantity(-20, 20, 'm'),
  /** What became of the posts of the line: those gone by their footing, of so many, in so many years. */
  history: record({
    posts: needed(1, 2000),
    ageYears: needed(0.5, 100, 'years'),
    gone: needed(0, 2000).test('of-them', 'at most as many as its posts', function (gone) {
      return gone === undefined || gone <= ((this.parent as { posts?: number }).posts ?? Infinity)
    }),
  }).optional(),
  setOut: lineSetOutSchema,
  marks: listOfAtMost(LIMITS.marks, 'marks', markSchema),
  course: listOfAtMost(LIMITS.coursePoints, 'points', typed<Coordinates>(coordinatesSchema)),
  posts: array(postSchema)
    .strict()
    .typeError('a list of posts')
    .required('a list of posts')
    .min(1, 'at least one post')
    .max(LIMITS.posts, `at most ${LIMITS.posts} posts`),
})
