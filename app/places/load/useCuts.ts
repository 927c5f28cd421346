import { wrap, type Remote } from 'comlink'
import { onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import type { CatalogueRow } from '~~/core/cost/catalogue'
import type { Cutting } from '~~/core/cost/cutting'
import { stockOfKind, type Offcut } from '~~/core/cost/lineBill'
import type { CutPiece } from '~~/core/setout/cutList'
import type { CutWork } from './cutWorker'

type Wanted = Readonly<Record<string, readonly CutPiece[]>>
const newCutWorker = () => new Worker(new URL('./cutWorker.ts', import.meta.url), { type: 'module' })

async function cutKinds(
  work: Pick<Remote<CutWork>, 'cut'>,
  wanted: Wanted,
  catalogue: readonly CatalogueRow[],
  offcuts: readonly Offcut[],
): Promise<Record<string, Cutting>> {
  const found: Record<string, Cutting> = {}
  for (const [stock, pieces] of Object.entries(wanted)) {
    const sold = stockOfKind(stock, catalogue, offcuts)
    // What no stick is sold for has no price: that is said beside the bill.
    if (sold.length > 0) found[stock] = await work.cut([...pieces], sold)
  }
  return found
}

/** The same, once. */
export async function cutOnce(wanted: Wanted, catalogue: readonly CatalogueRow[], offcuts: readonly Offcut[]) {
  const worker = newCutWorker()
  try {
    return await cutKinds(wrap<CutWork>(worker), wanted, catalogue, offcuts)
  } finally {
    worker.terminate()
  }
}

/** What each kind of stick is cut from, worked out anew whenever what is wanted changes. */
export function useCuts(wanted: Ref<Wanted>, catalogue: Ref<readonly CatalogueRow[]>, offcuts: Ref<readonly Offcut[]>) {
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
    if (Object.keys(wanted.value).length === 0) {
      cuts.value = {}
      return
    }
    isBusy.value = true
    worker = newCutWorker()
    const work = wrap<CutWork>(worker)
    try {
      const found = await cutKinds(work, wanted.value, catalogue.value, offcuts.value)
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
