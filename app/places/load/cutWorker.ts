import { expose } from 'comlink'
import runtime from 'highs/runtime?url'
import { cutSticks, type Cutting } from '~~/core/cost/cutting'
import type { CutPiece, StockLength } from '~~/core/setout/cutList'
import { countSolver } from '~~/shared/solver'

/* Sticks are cut by a solver beside the screen, which goes on. */

const work = {
  async cut(pieces: readonly CutPiece[], stock: readonly StockLength[]): Promise<Cutting> {
    return cutSticks(pieces, stock, await countSolver(runtime))
  },
}
export type CutWork = typeof work
expose(work)
