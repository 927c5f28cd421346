import { computed } from 'vue'
import { usePreferencesStore } from '~/session/preferences'
import type { CellTerms } from './model/cells'
import { useYard } from './useYard'

/** What cells are read and typed in: this workspace's money, this person's lengths. */
export function useCellTerms() {
  const preferences = usePreferencesStore()
  const { currency } = useYard()
  return computed<CellTerms>(() => ({ currency: currency.value, measures: preferences }))
}
