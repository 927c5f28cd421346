import { wrap } from 'comlink'
import { onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import type { CatalogueRow } from '~~/core/cost/catalogue'
import type { Cutting } from '~~/core/cost/cutting'
import { stockOfKind, type Offcut } from '~~/core/cost/lineBill'
import type { CutPiece } from '~~/core/setout/cutList'
import type { CutWork } from './cutWorker'

/** What each kind of stick is cut from, worked out anew whenever what is wanted changes. */
export function useCuts(
  wanted: Ref<Readonly<Record<string, readonly CutPiece[]>>>,
  catalogue: Ref<readonly CatalogueRow[]>,
  offcuts: Ref<readonly Offcut[]>,
) {
  const cuts = shallowRef<Readonly<Record<string, Cutting>>>({})
  const failure = ref('')
  const isBusy = ref(false)
  let worker: Worker | undefined
  let round = 0
  const stop = () => {
    worker?.terminate()
    worker = undefined
    isBusy.value = false
  }

  async function cutAll(): Promise<void> {
    stop()
    const mine = ++round
    failure.value = ''
    const kinds = Object.entries(wanted.value)
    if (kinds.length === 0) {
      cuts.value = {}
      return
    }
    isBusy.value = true
    worker = new Worker(new URL('./cutWorker.ts', import.meta.url), { type: 'module' })
    const work = wrap<CutWork>(worker)
    const found: Record<string, Cutting> = {}
    try {
      for (const [stock, pieces] of kinds) {
        const sold = stockOfKind(stock, catalogue.value, offcuts.value)
        // What no stick is sold for has no price: that is said beside the bill.
        if (sold.length > 0) found[stock] = await work.cut([...pieces], sold)
      }
      if (mine === round) cuts.value = found
    } catch (error) {
      if (mine === round) failure.value = (error as Error).message
    } finally {
      if (mine === round) stop()
    }
  }
  const key = () => JSON.stringify(wanted.value)
  watch([key, catalogue, offcuts], () => void cutAll(), { immediate: true })
  onScopeDispose(stop)
  return { cuts, isBusy, failure }
}
