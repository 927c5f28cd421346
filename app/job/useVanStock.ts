import { computed } from 'vue'
import { useYard } from '~/yard/useYard'
import { mixKey, vanStock, withBags } from '~~/core/cost/vanStock'
import type { InputError } from '~~/core/errors'
import { useJobSession, useJobView } from './openJob'

/** What is on the van for the job that is open, and its bags of the mix in hand. */
export function useVanStock() {
  const session = useJobSession()
  const view = useJobView()
  const { catalogue } = useYard()
  const van = computed(() => session.job?.site?.van)
  const mix = computed(() => view.methodInHand.value?.concrete?.mix)
  const stock = computed(() => vanStock(van.value, catalogue.value, mix.value))
  const bags = computed(() => (mix.value === undefined ? undefined : stock.value.get(mixKey(mix.value))))
  async function setBags(counted: number | null): Promise<InputError | undefined> {
    if (mix.value === undefined) return undefined
    return session.edit([{ name: 'setSite', key: 'van', value: withBags(van.value, mix.value, counted) }])
  }
  return { stock, bags, setBags }
}
