import { SERVICES } from '~~/core/cost/catalogue'
import type { LineBill } from '~~/core/cost/lineBill'
import { ONE_LIFTS } from '~~/core/concrete/oldFooting'
import type { Cargo } from '~~/core/cost/vehicle'
import type { MethodPlan } from '~~/core/plan/types'
import { row, type Tables } from '~~/core/tables/tables'
import type { Metres } from '~~/core/units/types'

/** One line of the list that is ticked while loading. */
export interface LoadingLine {
  key: string
  says: string
  count: number
  /** Of all of it, kg; 0 where nobody weighs it. */
  mass: number
  /** Where in the yard it is kept. */
  kept: string
  /** Of a single piece, where two have to lift it. */
  twoLift?: number
}

const TOOLS = 'tools and gear'
const UNLISTED = 'not in the yard’s list'
const RACK = 'timber rack'

/**
 * Everything to be loaded, by the place in the yard where it is kept: what is bought in whole packs, sticks, hired
 * tools, and the gear that the methods want.
 */
export function loadingList(
  { merged, sticks, offcuts, unsold }: LineBill,
  bills: readonly { method: MethodPlan }[],
  tables: Tables,
  show: (length: Metres) => string,
): { lines: LoadingLine[]; cargo: Cargo[] } {
  const bought = merged.flatMap(({ row: of, packs, key }): (LoadingLine & { piece: number })[] => {
    if (!of)
      return [{ key, says: key.replaceAll(/[/-]/g, ' '), count: Number(packs), mass: 0, kept: UNLISTED, piece: 0 }]
    if (SERVICES.includes(of.group)) return []
    const piece = (of.mass ?? 0) * of.pack
    const count = Number(packs)
    return [
      lineOf(
        key,
        of.pack > 1 && of.unit === 'each' ? `${of.name}, ${of.pack} in a pack` : of.name,
        count,
        piece,
        of.kept ?? 'hire',
      ),
    ]
  })
  const wood = sticks.map(({ row: of, count }) => ({
    ...lineOf(of.key, of.name, count, of.mass ?? 0, of.kept ?? ''),
    length: of.length!,
  }))
  const left = offcuts.map(({ offcut, count }) => {
    const metre = sticks.find(({ row: of }) => of.stockOf === offcut.stockOf)?.row
    const mass = metre?.length ? ((metre.mass ?? 0) / metre.length) * offcut.length : 0
    return { ...lineOf(offcut.key, `offcut: ${offcut.name}`, count, mass, offcut.kept ?? RACK), length: offcut.length }
  })
  const gear = [...new Set(bills.flatMap(({ method }) => row(tables.parts.methods, method.method).bring))]
  const all = [...bought, ...wood, ...left]
  return {
    lines: [
      ...all.map(({ piece: _piece, ...line }) => line),
      ...unsold.map(
        ({ key, length, count }): LoadingLine => ({
          key: `${key} ${length}`,
          says: `${key.replaceAll(/[/-]/g, ' ')}, ${show(length)} long`,
          count,
          mass: 0,
          kept: UNLISTED,
        }),
      ),
      ...gear.map((says): LoadingLine => ({ key: says, says, count: 1, mass: 0, kept: TOOLS })),
    ],
    cargo: all
      .filter(({ piece }) => piece > 0)
      .map(
        (each): Cargo => ({
          key: each.key,
          mass: each.piece,
          count: each.count,
          ...('length' in each ? { length: each.length as number } : {}),
        }),
      ),
  }
}

const lineOf = (key: string, says: string, count: number, piece: number, kept: string) => ({
  key,
  says,
  count,
  mass: piece * count,
  kept,
  piece,
  ...(piece > ONE_LIFTS ? { twoLift: piece } : {}),
})

/** In the order in which the yard is walked: by place, then by name. */
export function byPlace(lines: readonly LoadingLine[]): { kept: string; lines: LoadingLine[] }[] {
  const places = [...new Set(lines.map(({ kept }) => kept))].sort()
  return places.map((kept) => ({ kept, lines: lines.filter((line) => line.kept === kept) }))
}
