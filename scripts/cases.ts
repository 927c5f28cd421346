import { flips, scoreOf, type Score } from '../evaluation/score'
import { advised, drawPost, inOrder, settle } from '../evaluation/simulate'
import { heldOut } from '../evaluation/heldOut'
import { soundHeldOut, soundTuning } from '../evaluation/sound'
import { tuning } from '../evaluation/tuning'
import { LOOK_ORDER } from '../core/cause/lookOrder'
import { diagnosis } from '../data/diagnosis'

// npm run cases: how often the diagnosis is right, how well it knows it, and what its advice saves.

const DRAWN = 2_000
const FACTS = [
  { material: 'treated-softwood', duty: 'line', ageYears: 9 },
  { material: 'oak', duty: 'line', ageYears: 14 },
  { material: 'steel', duty: 'line', ageYears: 12 },
  { material: 'treated-softwood', duty: 'gate-hinge', ageYears: 6 },
]

const percent = (share: number) => `${(100 * share).toFixed(1).padStart(5)} %`
const line = (...cells: (string | number)[]) => console.log(cells.join('  '))

function report(title: string, score: Score): void {
  line(`\n${title}: ${score.cases} cases`)
  line(
    `right first ${percent(score.first)}`,
    `among the first two ${percent(score.firstTwo)}`,
    `Brier ${score.brier.toFixed(3)}`,
  )
  for (const { cause, cases, first, firstTwo, brier } of score.byCause)
    line(
      ' ',
      cause.padEnd(20),
      `${first}/${cases}`.padEnd(6),
      `${firstTwo}/${cases}`.padEnd(6),
      `Brier ${brier.toFixed(4)}`,
    )
  line('  said      of them true')
  for (const { from, to, said, true: share, count } of score.reliability)
    if (count > 0) line(' ', `${from.toFixed(1)}–${to.toFixed(1)}`, percent(said), percent(share), `(${count})`)
  for (const { name, truth, order } of score.missed)
    line('  missed:', name, `(${truth.join(' and ')}):`, `${order[0]!.cause} ${order[0]!.probability.toFixed(2)}`)
}

report('Tuning, looked at while the numbers were chosen', scoreOf([...tuning, ...soundTuning], diagnosis))
report('Held out, never used for that', scoreOf([...heldOut, ...soundHeldOut], diagnosis))
const flipped = flips([...tuning, ...heldOut], diagnosis)
line(`\nOne reading left out turns a settled cause into another, nothing speaking against it: ${flipped.length}`)
for (const each of flipped) line(' ', each)

/** A small generator of our own needs: the same posts every time. */
function chanceFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return state / 2 ** 32
  }
}
const chance = chanceFrom(20_261_124)
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
const posts = Array.from({ length: DRAWN }, (_, i) => drawPost(FACTS[i % FACTS.length]!, diagnosis, chance))
const byAdvice = posts.map((post) => settle(post, diagnosis, advised(post.facts, diagnosis)))
const byOrder = posts.map((post) => settle(post, diagnosis, inOrder(LOOK_ORDER)))
const [a, o] = [byAdvice, byOrder].map((results) => median(results.map(({ minutes }) => minutes))) as [number, number]
line(
  `\n${DRAWN} posts drawn from the model, minutes until settled (median): advised ${a}, in a fixed order ${o}, ratio ${(a / o).toFixed(2)}`,
)
for (const [name, results] of [
  ['advised', byAdvice],
  ['fixed order', byOrder],
] as const) {
  const settled = results.filter((each) => each.settled)
  line(
    ' ',
    name.padEnd(12),
    `settled ${percent(settled.length / DRAWN)}`,
    `right when settled ${percent(settled.filter(({ right }) => right).length / settled.length)}`,
  )
}
