import { plan } from '../core/plan/plan'
import { thresholdWords } from '../core/plan/thresholds'
import type { MethodPlan, PostPlan } from '../core/plan/types'
import { row, type Tables } from '../core/tables/tables'
import { showLength } from '../core/units/length'
import { showGust } from '../core/units/quantity'
import { table } from './markdown'
import { jobOf, type TrialPost } from './posts'
import { GUST_NEIGHBOURS, neighbour, STANDARD_WORDS } from './standardFence'

/** What the program says of an invented post. */
export function judged(trial: TrialPost, tables: Tables): { post: PostPlan; first: MethodPlan | undefined } {
  const post = plan(jobOf(trial), tables).posts.find((each) => each.post === 'P')!
  return { post, first: post.methods.find(({ method }) => method === post.recommended?.method) }
}

function neighbourRows(tables: Tables): string[][] {
  return GUST_NEIGHBOURS.map(([name, change]) => {
    const { standing } = judged(neighbour(change), tables).post
    const { lean, over, bare } = standing.links.find(({ link }) => link === 'footing')!
    const bareLean = lean! * Math.sqrt(tables.experience.ground)
    return [name, ...[bareLean, lean!, bare!, over!].map((gust) => gust.toFixed(1))]
  })
}

const STATES = {
  'not-looked-at': 'not looked at',
  'nothing-wrong': 'nothing wrong found',
  unsettled: 'not settled',
  failed: 'failed',
}

/** The invented posts with what is made of them, as a page in Markdown. */
export function postsPage(trials: readonly TrialPost[], tables: Tables): string {
  const rows = trials.map((trial) => {
    const { post, first } = judged(trial, tables)
    const { state, inForce } = post.diagnosis
    const causes = inForce.map((cause) => row(tables.causes.causes, cause).name).join(' and ')
    const hole =
      first?.hole && `${showLength(first.hole.depth, 'metric')} × ${showLength(first.hole.diameter, 'metric')}`
    const bags = first?.concrete && `${first.concrete.bags.count} (${first.concrete.bags.exactCount.toFixed(2)})`
    return [
      trial.name,
      `${trial.line.kind ?? ''} ${trial.line.height} m, ${trial.site.exposure}, ${trial.post.soil}`,
      standingWords(post),
      causes || STATES[state],
      first?.name ?? '–',
      hole ?? '–',
      bags ?? '–',
      first ? thresholdWords(first, (gust) => showGust(gust, 'metric')) || 'today only' : '–',
    ]
  })
  return [
    '# Thirty posts',
    'Invented posts of allotments, gardens and farms, as somebody would note them, and what is made of them: made by `npm run pages` from `evaluation/posts.ts`, where the repairs, depths and bags that practice would accept stand beside each; a test holds them to it. Bags are of 20 kg, in brackets by measure. The hole is depth × width.',
    table(['post', 'fence and ground', 'as it stands', 'what is wrong', 'repair', 'hole', 'bags', 'with it'], rows),
    '## What experience does',
    `${STANDARD_WORDS} and six that differ from it in one thing, in the wet season: gusts in m/s from which the ground lets it lean, and at which it goes over.`,
    table(['fence', 'leans, bare', 'leans', 'goes over, bare', 'goes over'], neighbourRows(tables)),
    '',
  ].join('\n\n')
}

function standingWords({ standing }: PostPlan): string {
  const { state, range, holdingGust, says } = standing
  if (state === 'range') return `between ${range!.map((gust) => showGust(gust, 'metric')).join(' and ')}: ${says}`
  if (state === 'moves') return `${says}: under ${showGust(holdingGust!, 'metric')}`
  if (state === 'given-way') return `has given way: ${says}`
  return state === 'not-known' ? `not known: ${says}` : thresholdWords(standing, (gust) => showGust(gust, 'metric'))
}
