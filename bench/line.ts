import type { LineChoice } from '../core/choose/waysOpen'
import { LINE_GOALS, wholeLine, type LineLimits } from '../core/choose/wholeLine'
import { dice } from '../scripts/lib/dice'
import { integerSolver } from '../shared/solver'

const [POSTS, WAYS, CHANGEOVER] = [120, 17, 20]

/** A line on which every way stands open for every post: far more to choose from than any real one has. */
function openLine(): LineChoice {
  const roll = dice(5)
  const posts = Array.from({ length: POSTS }, (_, i) => ({
    post: `A${i}`,
    options: Array.from({ length: WAYS }, (_, j) => ({
      method: `way ${j}`,
      name: `way ${j}`,
      minutes: 60 + roll(120),
      carried: 20 * roll(8),
      breaks: 1 / (20 + roll(300)),
      breaker: false,
    })),
  }))
  return { line: 'A', posts, left: [] }
}

/** Until the best plan is there; what it is compared with comes after. */
export async function lineFigures(): Promise<[name: string, milliseconds: number][]> {
  const solve = await integerSolver()
  const line = openLine()
  const limits: [string, LineLimits][] = [
    ['no limit', {}],
    ['within 180 h', { minutes: 10_800 }],
    ['within 3 t', { carried: 3_000 }],
    ['4 ways', { ways: 4 }],
  ]
  return LINE_GOALS.flatMap((goal) =>
    limits.map(([name, within]): [string, number] => {
      const began = performance.now()
      let best = 0
      wholeLine(
        line,
        goal,
        within,
        CHANGEOVER,
        (programme) => (best > 0 ? undefined : solve(programme)),
        () => {
          best ||= performance.now() - began
        },
      )
      return [`best plan of ${POSTS} posts with ${WAYS} ways each: ${goal}, ${name}`, best || performance.now() - began]
    }),
  )
}
