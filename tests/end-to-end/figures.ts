import { calculate } from '../../core/calc/registry'
import { plan } from '../../core/plan/plan'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'

const post = { shape: 'rectangle', along: 0.1, across: 0.1 }
const hole = { shape: 'round', diameter: 0.3, depth: 0.75, stoneBed: 0.1, fillTop: 0.075 }
const CALCULATIONS: [name: string, input: object][] = [
  [
    'post-in-ground',
    { soil: 'medium-sand', segments: [{ top: 0, bottom: 0.76, width: 0.25 }], height: 0.94, force: 500 },
  ],
  [
    'post-in-ground',
    {
      soil: 'stiff-clay',
      saturated: true,
      ignoredTop: 0.15,
      segments: [
        { top: 0, bottom: 0.2, width: 0.1 },
        { top: 0.2, bottom: 0.9, width: 0.35 },
      ],
      height: 1.3,
      force: 900,
    },
  ],
  ['wind-force', { from: 0, to: 1.2, length: 24, height: 1.8, gap: 0.05, solidity: 0.55, gust: 34, exposure: 'open' }],
  ['return-period', { gust: 31.4, gust50: 38 }],
  ['code-depth', { force: 2544, height: 0.914, width: 0.254, lateral: 15_709 }],
  ['hole-volume', { hole, post, overdig: 0.1 }],
  ['bags', { concrete: 0.0349, mix: 'post-mix-20', filling: 'water-first', hole, post }],
  ['hand-batch', { concrete: 0.1, ratio: 6, waterCement: 0.6 }],
  ['setting', { mix: 'general-20', temperatures: [12, 9, 5, 3, 1, 4, 8] }],
  ['spacing', { length: 23.7, maxBay: 2.4, avoid: [{ at: 7.1, clear: 0.4 }] }],
  [
    'diagnose',
    {
      material: 'oak',
      duty: 'line',
      ageYears: 14,
      observations: { pushPivot: 'at-ground-line', probeAtGround: 0.012 },
    },
  ],
]

/** Every figure of the demo jobs and of some calculations, to every digit. */
export function allFigures(): string {
  const plans = demoJobs().map((job) => plan(job, tables))
  const results = CALCULATIONS.map(([name, input]) => calculate(name, input, tables))
  return JSON.stringify({ plans, results })
}
