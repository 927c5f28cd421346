import loadHighs from 'highs'
import { countText, type CountSolver } from '../core/numeric/countProgramme'
import { lpText, type SolveProgramme } from '../core/numeric/integerProgramme'

/**
 * The solver of integer programmes, for workers, server and tests alike.
 *
 * @param runtime address of its program, where it does not lie beside the module: in a browser
 * @throws Error when the solver stops for any other reason than an answer, or that there is none
 */
export async function integerSolver(runtime?: string): Promise<SolveProgramme> {
  const solver = await loadHighs(runtime === undefined ? {} : { locateFile: () => runtime })
  return (programme) => {
    const found = solver.solve(lpText(programme), EXACT)
    if (found.Status === 'Infeasible') return undefined
    if (found.Status !== 'Optimal') throw new Error(`the solver stopped: ${found.Status}`)
    const columns = Object.values(found.Columns) as { Name: string; Primal: number }[]
    return new Set(columns.filter(({ Primal }) => Primal > 0.5).map(({ Name }) => Name))
  }
}

/** The best answer, not one that is nearly as good; and the same one each time. */
const EXACT = {
  mip_rel_gap: 0,
  mip_abs_gap: 1e-9,
  mip_feasibility_tolerance: 1e-9,
  random_seed: 1,
  output_flag: false,
} as const

/**
 * The same solver for whole counts.
 *
 * @param runtime address of its program, where it does not lie beside the module: in a browser
 */
export async function countSolver(runtime?: string): Promise<CountSolver> {
  const solver = await loadHighs(runtime === undefined ? {} : { locateFile: () => runtime })
  return {
    whole(programme, branches) {
      const options = branches === undefined ? EXACT : { ...EXACT, mip_max_nodes: branches }
      const found = solver.solve(countText(programme, true), options)
      const columns = Object.values(found.Columns) as { Name: string; Primal?: number }[]
      const isBest = found.Status === 'Optimal'
      if (found.Status === 'Infeasible' || columns.some(({ Primal }) => Primal === undefined)) return undefined
      return { counts: new Map(columns.map(({ Name, Primal }) => [Name, Math.round(Primal!)])), isBest }
    },
    linear(programme) {
      const found = solver.solve(countText(programme, false), { output_flag: false })
      if (found.Status !== 'Optimal') return undefined
      const rows = found.Rows as unknown as { Dual: number }[]
      return { least: found.ObjectiveValue, duals: Object.values(rows).map(({ Dual }) => Dual) }
    },
  }
}
