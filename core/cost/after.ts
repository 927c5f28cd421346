import type { Job } from '../document/job'
import { exact, NONE, type Exact } from '../money/exact'
import { SERVICES, type CatalogueRow, type CostSettings } from './catalogue'
import { amountOf, frozenLine, type FrozenLine } from './frozen'
import { chargedLine } from './total'

/** What was noted of one thing when the work was done. */
export type UsedNote = NonNullable<NonNullable<Job['load']>['used']>[number]

/** A line of the bill as it was planned and as it came. */
export interface AfterLine {
  key: string
  name: string
  unit: string
  /** Units, exactly; none where nobody had planned it. */
  planned: Exact
  /** Where somebody has said so. */
  used?: Exact
  /** On the way, beside what was planned. */
  bought: Exact
  plannedAmount: bigint
  usedAmount?: bigint
  /** Used over planned less one; absent where nothing was said, or nothing was planned. */
  off?: number
  /** The difference is large enough to be asked about. */
  needsReason: boolean
  reason?: string
  /** Lies in a yard, if it is left over. */
  isGoods: boolean
}

/** A tenth more or less is what happens. */
const ASKED_OVER = 0.1

/**
 * Planned against actual, line by line: as it was offered and taken, or as the bill is now; then what nobody had
 * planned.
 *
 * @example 12 bags planned and 15 used: 0.25 off, and a reason is asked for
 */
export function afterLines(
  planned: readonly FrozenLine[],
  notes: readonly UsedNote[],
  { catalogue, settings }: { catalogue: readonly CatalogueRow[]; settings: CostSettings },
): AfterLine[] {
  const noted = new Map(notes.map((each) => [each.key, each]))
  const known = new Set(planned.map(({ key }) => key))
  const unplanned = notes.flatMap(({ key, used, bought }): FrozenLine[] => {
    const row = catalogue.find((each) => each.key === key)
    const counts = used !== undefined || bought !== undefined
    return known.has(key) || !row || !counts ? [] : [frozenLine(chargedLine(NONE, row, settings), settings)]
  })
  return [...planned, ...unplanned].map((line) => afterLine(line, noted.get(line.key)))
}

function afterLine(line: FrozenLine, note: UsedNote | undefined): AfterLine {
  const planned = exact(line.quantity)
  const bought = exact(note?.bought ?? 0)
  const isPlanned = planned.n > 0n
  // What was bought on the way and not counted afterwards was used.
  const said =
    note?.used === undefined ? (note?.bought === undefined ? undefined : planned.add(bought)) : exact(note.used)
  const off = said === undefined || !isPlanned ? undefined : said.div(planned).valueOf() - 1
  return {
    key: line.key,
    name: line.name,
    unit: line.unit,
    planned,
    bought,
    plannedAmount: BigInt(line.amount),
    isGoods: !SERVICES.concat('hire').some((group) => line.key.startsWith(`${group}/`)),
    needsReason: off === undefined ? said !== undefined && said.n > 0n : Math.abs(off) > ASKED_OVER + 1e-9,
    ...(said === undefined ? {} : { used: said, usedAmount: amountOf({ ...line, quantity: said.toFraction() }) }),
    ...(off === undefined ? {} : { off }),
    ...(note?.reason ? { reason: note.reason } : {}),
  }
}

/** Sums over all lines: as planned, and as it came; what nobody has said is as planned. */
export function afterTotals(lines: readonly AfterLine[]): { planned: bigint; used: bigint } {
  return lines.reduce(
    (sum, { plannedAmount, usedAmount }) => ({
      planned: sum.planned + plannedAmount,
      used: sum.used + (usedAmount ?? plannedAmount),
    }),
    { planned: 0n, used: 0n },
  )
}
