import type { TrialPost } from './posts'

/* The fence that experience was found on, and fences that differ from it in one thing. */

const STANDARD: TrialPost = {
  name: 'the standard fence',
  site: { exposure: 'sheltered', shelter: 0.7, gust50: 38 },
  line: { kind: 'close-boarded', height: 1.8, gap: 0.05 },
  post: { soil: 'firm-clay', footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.6 } },
  expects: { state: 'not-looked-at', repair: [] },
}
export const STANDARD_WORDS =
  'The standard fence (close-boarded, 1.8 m, bays of 2.4 m, 100 mm posts, concrete 0.25 m wide from 0.05 to 0.60 m, firm clay, sheltered garden)'

type Change = Partial<Pick<TrialPost, 'site' | 'line' | 'post'>>
type Neighbour = readonly [name: string, change: Change]

export const neighbour = ({ site, line, post }: Change): TrialPost => ({
  ...STANDARD,
  site: { ...STANDARD.site, ...site },
  line: { ...STANDARD.line, ...line },
  post: { ...STANDARD.post, ...post },
})

const SAME: Neighbour = ['the standard fence', {}]
const WET: Neighbour = ['in saturated ground', { post: { saturated: true } }]
const UNSHELTERED: Neighbour = ['nothing upwind', { site: { shelter: 1 } }]
const OPEN: Neighbour = ['in open country, nothing upwind', { site: { exposure: 'open', shelter: 1 } }]
const OTHERS: readonly Neighbour[] = [
  ['0.75 m deep', { post: { footing: { kind: 'concrete', diameter: 0.25, top: 0.05, bottom: 0.75 } } }],
  ['in medium sand', { post: { soil: 'medium-sand' } }],
  ['1.2 m high', { line: { height: 1.2 } }],
  ['a picket fence', { line: { kind: 'picket' } }],
]
/** What stands by its gusts is asked on one ground; by its years on both. */
export const GUST_NEIGHBOURS = [SAME, WET, OPEN, ...OTHERS]
export const YEAR_NEIGHBOURS = [SAME, UNSHELTERED, OPEN, ...OTHERS]
