import { cutSticks } from '../core/cost/cutting'
import { drawsFrom } from '../core/numeric/draws'
import { countSolver } from '../shared/solver'

const SOLD = [
  { length: 2.4, price: 520 },
  { length: 3, price: 640 },
  { length: 3.6, price: 760 },
  { length: 4.8, price: 1_020 },
  { length: 6, price: 1_300 },
]

/** Pieces all different, out of five lengths of stock: how long, and how far the price is over the bound. */
export async function stickFigures(): Promise<{ pieces: number; milliseconds: number; gap: number }[]> {
  const solver = await countSolver()
  return [12, 50, 200].map((count) => {
    const draws = drawsFrom(7)
    const pieces = Array.from({ length: count }, () => ({
      length: Math.round(600 + 2_400 * draws.share()) / 1e3,
      count: 1,
    }))
    const began = performance.now()
    const { gap } = cutSticks(pieces, SOLD, solver)
    return { pieces: count, milliseconds: performance.now() - began, gap }
  })
}
