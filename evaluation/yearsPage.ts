import { postInHand } from '../core/plan/inHand'
import { standingFootingLink, standingPostLink } from '../core/repair/standing'
import { LIVES, simulate, type Survived } from '../core/survive/simulate'
import { standOf } from '../core/survive/standOf'
import { medianYears } from '../core/survive/years'
import type { Tables } from '../core/tables/tables'
import { USUAL_RANGE } from '../core/wind/experience'
import { table } from './markdown'
import { jobOf } from './posts'
import { neighbour, STANDARD_WORDS, YEAR_NEIGHBOURS } from './standardFence'

/** Years that are looked at. */
const YEARS = 50
const TOLD = [1, 5, 10, 20]

/** Lives of a new fence and its neighbours: with its wood rotting, and as if it never did. */
export function neighbourYears(tables: Tables): { name: string; rots: Survived; stays: Survived }[] {
  return YEAR_NEIGHBOURS.map(([name, change]) => {
    const trial = neighbour({ ...change, post: { ageYears: 0, ...change.post } })
    const { context } = postInHand(jobOf(trial), tables, 'P')!
    const stand = standOf(context, [standingPostLink(context), standingFootingLink(context)!])
    const { wood: _wood, ...undecaying } = stand
    const pressures = [1, USUAL_RANGE, 1 / USUAL_RANGE]
    const [rots, stays] = simulate([stand, undecaying], { gust50: trial.site.gust50!, years: YEARS, pressures })
    return { name, rots: rots!, stays: stays! }
  })
}

const yearsWords = (plumb: readonly number[]): string => medianYears(plumb)?.toFixed(1) ?? `over ${YEARS}`
const inHundred = (share: number): string => String(Math.round(100 * share))

/** How long fences stand by the lives that are reckoned, as a page in Markdown. */
export function yearsPage(tables: Tables): string {
  const found = neighbourYears(tables)
  const medians = found.map(({ name, rots, stays }) => [
    name,
    yearsWords(rots.plumb[0]!),
    yearsWords(stays.plumb[0]!),
    ...rots.plumb.slice(1).map(yearsWords),
  ])
  const chances = found.map(({ name, rots: { plumb, gone, ends } }) => [
    name,
    ...TOLD.map((year) => inHundred(plumb[0]![year - 1]!)),
    inHundred(gone[9]!),
    ...(['leans', 'ground', 'wood'] as const).map((by) => inHundred(ends[by])),
  ])
  return [
    '# How long fences stand',
    `Made by \`npm run pages\`: ${LIVES.toLocaleString('en-GB')} lives of each fence over ${YEARS} years, one seed for all. Each year has its three largest gusts, each from its own side, six in ten of them on saturated ground; the soil is as strong as it happens to be; what a gust leaves adds up with its sign, and out of plumb by 1 in 60 a post is no longer plumb; wood begins to rot after a drawn service life and is gone after twice that.`,
    `${STANDARD_WORDS} and six that differ from it in one thing, all new. One factor was set so that it comes out as the trade has it, 12 to 15 years: wind pressure counts × ${tables.experience.ground.toFixed(2)} in the ground and × ${tables.experience.part.toFixed(2)} in wood, steel and fixings. Everything else follows from it.`,
    '## Years until half are out of plumb',
    'The last two columns are the ends of its range: the factor × and ÷ 1.93, nine in ten of what it may be where no history of the fence is known. It is wide: what a fence has stood already tells more than any formula.',
    table(['fence', 'median', 'as if wood never rotted', 'factor × 1.93', 'factor ÷ 1.93'], medians),
    '## Of a hundred',
    table(
      [
        'fence',
        ...TOLD.map((year) => `plumb after ${year}`),
        'over within 10',
        'of those that end: lean',
        'go over with the footing',
        'rot',
      ],
      chances,
    ),
    'So a hole that does among houses is far too small in the open, in sand, or behind nothing that breaks the wind: by this reckoning, and by the depths that are proposed there. Where such a fence is known to have stood, that history moves the factor, and the years with it.',
    '',
  ].join('\n\n')
}
