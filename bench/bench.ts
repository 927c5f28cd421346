import { heldOut } from '../evaluation/heldOut'
import { tuning } from '../evaluation/tuning'
import { diagnose } from '../core/cause/diagnose'
import { plan, planner } from '../core/plan/plan'
import type { Job } from '../core/document/job'
import { followed } from '../core/setout/topline/follow'
import { demoJobs } from '../data/demo/jobs'
import { tables } from '../data/tables'
import { join } from 'node:path'
import { startDatabase, TEST_DATABASES } from '../scripts/lib/database.mjs'
import { state } from '../scripts/lib/paths.mjs'
import { againstC } from './againstC'
import { dayFigures } from './day'
import { stickFigures } from './sticks'
import { editFigures } from './edits'
import { lifeFigures, practiceFigures } from './lives'
import { lineFigures } from './line'
import { pageFigures } from './page'
import { recordFigures } from './record'

/* npm run bench: figures for the README. Times depend on the machine; the ratios hardly do. */

/** Median of repeated runs after warm-up, ms. */
function milliseconds(work: () => unknown, runs: number): number {
  for (let i = 0; i < runs; i++) work()
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  })
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!
}

/** Every post with measures of its own, so that nothing is remembered from its neighbour. */
function unevenLine(count: number): Job {
  const soils = tables.soils.filter((soil) => soil.kind !== 'none')
  return {
    format: 'vindex-job',
    version: 1,
    name: 'Uneven',
    lines: [
      {
        id: 'A',
        length: count * 2.4,
        posts: Array.from({ length: count }, (_, i) => ({
          id: `A${i}`,
          station: i * 2.4 + (i % 13) * 0.01,
          soil: soils[i % soils.length]!.key,
          length: 2.4 + (i % 17) * 0.01,
          ageYears: i % 20,
          footing: {
            kind: 'concrete' as const,
            diameter: 0.2 + (i % 11) * 0.01,
            top: 0.05,
            bottom: 0.5 + (i % 7) * 0.01,
          },
          observations: { pushPivot: 'at-ground-line', probeAtGround: (i % 5) * 0.01, comesUpright: 'easily' },
        })),
      },
    ],
  }
}

function report(name: string, value: number, unit: string): void {
  console.log(`${name.padEnd(58)} ${value.toFixed(value < 10 ? 2 : 0).padStart(8)} ${unit}`)
}

for (const { name, here, inC, apart } of againstC()) {
  report(name, here / 1e3, 'µs')
  report('  over the same in C, -O2', here / inC, 'times')
  report('  results apart by, in 1e-12', apart * 1e12, '')
}

const small = unevenLine(20)
report(
  'plan() of 20 posts, every one different',
  milliseconds(() => plan(small, tables), 40),
  'ms',
)
const times = [15, 60, 120, 240, 960].map((count) => {
  const job = unevenLine(count)
  return [count, milliseconds(() => plan(job, tables), 15)] as const
})
for (const [count, time] of times) report(`plan() of ${count} posts, every one different`, time, 'ms')
for (const count of [50, 200]) {
  const stations = Array.from({ length: count }, (_, i) => i * 2.4)
  const tops = stations.map((_station, i) => 1.8 + Math.sin(i * i) * 0.15)
  report(
    `tops that follow the ground, ${count} posts`,
    milliseconds(() => followed(stations, tops, 0.02), 20),
    'ms',
  )
}
const [[fewest, least]] = times as [readonly [number, number]]
for (const [count, time] of times.slice(1))
  report(`  cost of ${count} posts over ${fewest}, for each post`, time / least / (count / fewest), 'times')

const [longBank] = demoJobs()
report(
  'plan() of the 120-post demo line',
  milliseconds(() => plan(longBank!, tables), 15),
  'ms',
)
const remembering = planner(tables)
let turn = 0
report(
  '  after an edit of one of its posts',
  milliseconds(() => {
    const job = structuredClone(longBank!)
    job.lines[0]!.posts[60]!.ageYears = turn++ % 50
    return remembering(job)
  }, 30),
  'ms',
)

for (const [name, value] of await lineFigures()) report(name, value, 'ms')

for (const { pieces, milliseconds: time, gap } of await stickFigures()) {
  report(`cutting ${pieces} pieces from five lengths of stock`, time, 'ms')
  report(`  its price over the bound, for ${pieces} pieces`, 1 + gap, 'times')
}
const days = dayFigures()
for (const { posts, milliseconds: time } of days) report(`planning the days of ${posts} posts, 40 rounds`, time, 'ms')
for (const { posts, milliseconds: time } of days.slice(1))
  report(`  cost of ${posts} posts over 5, for each post`, time / days[0]!.milliseconds / (posts / 5), 'times')

const judged = [...tuning, ...heldOut]
report(
  'a full diagnosis with its next checks',
  milliseconds(() => judged.forEach(({ facts, seen }) => diagnose(facts, seen, tables.causes)), 20) / judged.length,
  'ms',
)

const lives = lifeFigures()
report('20 000 lives of one way over thirty years', lives.one, 'ms')
report('  of ten ways, over ten times one', lives.ten / (10 * lives.one), 'times')
report('  with both ends of their range, over those without', lives.withRange / lives.ten, 'times')
report('  of ten ways, over drawing their numbers alone', lives.ten / lives.draws, 'times')
const practice = practiceFigures()
report('the best line of play of a case', practice.search, 'ms')
report('  over one piece of advice', practice.search / practice.advice, 'times')

const database = await startDatabase(join(state, 'bench-database'), { names: TEST_DATABASES })
const { edits, lists, others } = await editFigures(database.url('vindex_test_bench'))
await database.stop()
for (const { posts, edits: made, driver } of edits) {
  report(`edits of a job of ${posts} posts`, made, 'each second')
  report('  over the bare driver', made / driver, 'times')
}
for (const [jobs, time] of lists) report(`a page of the list, of ${jobs} jobs`, time, 'ms')
report('a page of the 1000 jobs of one workspace among 100 000', others.page, 'ms')
report('  a search in them', others.search, 'ms')

for (const [name, value] of await recordFigures()) report(name, value, 'ms')
for (const [name, value] of await pageFigures()) report(name, value, 'ms')
