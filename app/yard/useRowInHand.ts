import { nextTick, ref, watch, type Ref } from 'vue'
import Papa from 'papaparse'
import type { InputError } from '~~/core/errors'
import type { YardChange } from '~~/core/yard/change'
import type { YardColumn, YardRow, YardTable } from '~~/core/yard/column'
import { readTable, type TableRead } from '~~/core/yard/csv'
import { pastedChanges, typedChange } from './model/cells'
import { useCellTerms } from './useCellTerms'

export interface ShownTable {
  table: YardTable
  rows: readonly YardRow[]
  change: (changes: readonly YardChange[]) => Promise<InputError | undefined>
}

/**
 * The row that is typed into: taken up by hand or by key, left downwards as in a list on paper.
 *
 * @param frame   that its fields stand in
 * @param columns that may be typed into, in their order
 * @param brought hears of a block that was pasted
 */
export function useRowInHand(
  shown: () => ShownTable,
  frame: Readonly<Ref<HTMLElement | null>>,
  columns: () => readonly YardColumn[],
  brought: (read: TableRead) => void,
) {
  const terms = useCellTerms()
  const inHand = ref<string>()
  watch(
    () => shown().table.key,
    () => (inHand.value = undefined),
  )

  async function take({ key }: YardRow, path?: string): Promise<void> {
    inHand.value = key
    await nextTick()
    const at = path === undefined ? '' : `[data-path="${path}"] input`
    frame.value?.querySelector<HTMLElement>(`.in-hand ${at || 'input'}`)?.focus()
  }
  async function save(column: YardColumn, row: YardRow, typed: string): Promise<InputError | undefined> {
    const { table, change } = shown()
    try {
      const made = typedChange(table, column, row, typed, terms.value)
      return made && (await change([made]))
    } catch (error) {
      return error as InputError
    }
  }
  /** The same column, one line down. */
  function goDown({ key }: YardRow, { path }: YardColumn): void {
    const { rows } = shown()
    const next = rows[rows.findIndex((each) => each.key === key) + 1]
    if (next) void take(next, path)
  }

  /** A block of a spreadsheet goes down where one stands; one with headings is a list that was brought. */
  function paste(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text/plain') ?? ''
    if (!/[\t\n]/.test(text.trim())) return
    event.preventDefault()
    const { table, rows } = shown()
    const cells = Papa.parse<string[]>(text.replace(/\n$/, ''), { delimiter: '\t' }).data
    if (cells[0]?.some((cell) => cell.trim().toLowerCase() === 'key'))
      return brought(readTable(table, rows, cells, terms.value.currency))
    const path = (event.target as HTMLElement).closest<HTMLElement>('[data-path]')?.dataset.path
    const place = {
      rows,
      at: Math.max(
        0,
        rows.findIndex(({ key }) => key === inHand.value),
      ),
      columns: columns(),
      from: Math.max(
        0,
        columns().findIndex((each) => each.path === path),
      ),
    }
    brought(pastedChanges(table, place, cells, terms.value))
  }
  return { inHand, take, save, goDown, paste }
}
