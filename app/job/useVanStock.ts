import { computed } from 'vue'
import { useJobSession, useJobView } from './openJob'
import { mixKey, vanStock } from '~~/core/cost/vanStock'
import { useYard } from '~/yard/useYard'

/** What is on the van for the job that is open, and its bags of the mix in hand. */
export function useVanStock() {
  const session = useJobSession()
  const view = useJobView()
  const { catalogue } = useYard()
  const mix = computed(() => session.job?.site?.van?.mix ?? view.methodInHand.value?.concrete?.mix)
  const stock = computed(() => vanStock(session.job?.site?.van, catalogue.value, mix.value))
  const bags = computed(() => (mix.value === undefined ? undefined : stock.value.get(mixKey(mix.value))))
  function setBags(counted: number | null) {
    const value = counted === null ? null : { ...(mix.value === undefined ? {} : { mix: mix.value }), bags: counted }
    return session.edit([{ name: 'setSite', key: 'van', value }])
  }
  return { stock, bags, setBags }
}
