import { planDays } from '../core/day/search'
import { questionOf } from '../tests/support/demoDay'
import { demoDays, fence } from '../data/demo/days'

const POSTS = [5, 10, 20, 40]
const ROUNDS = 40

/** What planning costs by how many posts there are: two people, a set of props for each post, mild weather. */
export function dayFigures(): { posts: number; milliseconds: number }[] {
  const [first] = demoDays
  return POSTS.map((posts) => {
    const setup = {
      first: first!.setup.first!,
      crew: ['A', 'B'].map((id) => ({
        id,
        name: id,
        skills: ['dig', 'mix', 'saw', 'lift'] as ('dig' | 'mix' | 'saw' | 'lift')[],
      })),
      tools: { props: posts, level: 2 },
    }
    const question = questionOf({ ...first!, job: fence({ posts }), setup })
    planDays(question, { seed: 1, rounds: 2 })
    const began = performance.now()
    planDays(question, { seed: 1, rounds: ROUNDS })
    return { posts, milliseconds: performance.now() - began }
  })
}
