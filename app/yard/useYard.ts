import { computed } from 'vue'
import { createSharedComposable } from '@vueuse/core'
import { usePreferencesStore } from '~/session/preferences'
import { yard } from '~/sync/device'
import type { CatalogueRow, CostSettings } from '~~/core/cost/catalogue'
import type { Offcut } from '~~/core/cost/lineBill'
import type { OwnedTool } from '~~/core/cost/tools'
import type { Vehicle } from '~~/core/cost/vehicle'
import type { YardRow } from '~~/core/yard/column'
import { rowsNow, tablesWith } from '~~/core/yard/rows'
import { inUnits } from '~~/data/customs'
import { currencies } from '~~/data/currencies'
import { tables, tablesIn } from '~~/data/tables'
import { shippedYard } from '~~/data/yard'

/** How a workspace reckons, and how long its offers hold. */
export type Reckoning = CostSettings & { validDays: number }

/** The yard's tables as they are here. */
export const useYard = createSharedComposable(() => {
  const rows = computed(() => rowsNow(shippedYard, yard.own.value))
  const of = <Row>(table: string) => computed(() => (rows.value[table] ?? []) as unknown as readonly Row[])
  const reckonings = of<Reckoning>('reckoning')
  const reckoning = computed(() => reckonings.value[0]!)
  return {
    rows,
    catalogue: of<CatalogueRow>('catalogue'),
    offcuts: of<Offcut>('offcuts'),
    vehicles: of<Vehicle>('vehicles'),
    people: of<YardRow & { name: string; letter: string; skills?: string[] }>('people'),
    tools: of<OwnedTool>('tools'),
    reckoning,
    currency: computed(() => currencies.find(({ code }) => code === reckoning.value.currency)!),
  }
})

const own = computed(() => yard.own.value)
const base = computed(() => tablesWith(tables, own.value))

/** The tables that figures rest on: the workspace's, in the units of whoever reads. */
export function useTables() {
  const preferences = usePreferencesStore()
  return computed(() =>
    Object.keys(own.value).length === 0 ? tablesIn[preferences.units] : inUnits(base.value, preferences.units),
  )
}
