import { execFileSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { groundResponse, groundThreshold, type BuriedPost } from '../core/ground/postInGround'
import type { Soil } from '../core/ground/soil'
import { tables } from '../data/tables'
import { root, state } from '../scripts/lib/paths.mjs'

const RUNS = 4_000
const ROUNDS = 25
const WARM_UP = 50_000

export interface Comparison {
  name: string
  /** Nanoseconds of one calculation. */
  here: number
  inC: number
  /** Largest difference of the two results, as a share. */
  apart: number
}

/** The ground's two calculations against the same algorithm in C, compiled with -O2, in one run. */
export function againstC(): Comparison[] {
  mkdirSync(state, { recursive: true })
  const program = join(state, 'post_in_ground')
  execFileSync('cc', ['-O2', '-o', program, join(root, 'bench', 'post_in_ground.c'), '-lm'])
  const soil = tables.soils.find((each) => each.key === 'firm-clay') as Soil
  const posts = Array.from(
    { length: 16 },
    (_, i): BuriedPost => ({
      soil,
      saturated: false,
      ignoredTop: 0,
      segments: [{ top: 0, bottom: 0.6 + i * 1e-3, width: 0.25 }],
      height: 0.94,
    }),
  )
  return [
    compare('response of a post to a load', 'response', program, (i) => {
      const { rotation, residual } = groundResponse(posts[i % 16]!, 1000)!
      return rotation + residual
    }),
    compare('over and lean of a post', 'over-lean', program, (i) => groundThreshold(posts[i % 16]!, 'lean')!),
  ]
}

function compare(name: string, what: string, program: string, calculate: (i: number) => number): Comparison {
  let result = 0
  for (let i = 0; i < WARM_UP; i++) result = calculate(i)
  const times = Array.from({ length: ROUNDS }, () => {
    const began = performance.now()
    for (let i = 0; i < RUNS; i++) result = calculate(i)
    return ((performance.now() - began) * 1e6) / RUNS
  })
  const here = times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!
  const [inC, resultOfC] = execFileSync(program, [what, String(RUNS)], { encoding: 'utf8' })
    .split(' ')
    .map(Number) as [number, number]
  return { name, here, inC, apart: Math.abs(result / resultOfC - 1) }
}
