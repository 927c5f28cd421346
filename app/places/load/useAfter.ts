import { computed } from 'vue'
import type { useJobSession } from '~/job/openJob'
import { sharedByJob } from '~/job/sharedByJob'
import { timeNow } from '~/sync/clock'
import { yard } from '~/sync/device'
import { usePreferencesStore } from '~/session/preferences'
import { useYard } from '~/yard/useYard'
import { afterLines, afterTotals, type UsedNote } from '~~/core/cost/after'
import { frozenLine } from '~~/core/cost/frozen'
import { settled } from '~~/core/yard/settle'
import { useCost } from './useCost'
import { useOffers } from './useOffers'

/** How it came, against what was offered and taken, or against the bill where nothing was. */
function createAfter(session: ReturnType<typeof useJobSession>) {
  const preferences = usePreferencesStore()
  const cost = useCost()
  const offers = useOffers()
  const { catalogue, offcuts, reckoning } = useYard()

  const taken = computed(() => {
    const kept = offers.all.value.find(({ state }) => state === 'accepted')
    const option = kept?.offer.options.find(({ name }) => name === kept.answer?.option)
    return kept && option ? { number: kept.offer.number, option } : undefined
  })
  const planned = computed(
    () => taken.value?.option.lines ?? cost.bill.value.total.lines.map((line) => frozenLine(line, reckoning.value)),
  )
  const notes = computed<readonly UsedNote[]>(() => session.job?.load?.used ?? [])
  const lines = computed(() =>
    afterLines(planned.value, notes.value, { catalogue: catalogue.value, settings: reckoning.value }),
  )
  const totals = computed(() => afterTotals(lines.value))
  const noteOf = (key: string): Omit<UsedNote, 'key'> => {
    const { key: _key, ...rest } = notes.value.find((each) => each.key === key) ?? { key }
    return rest
  }
  /** Another figure or word on one thing; what is said of it besides stays. */
  function note(key: string, change: { [K in keyof Omit<UsedNote, 'key'>]?: UsedNote[K] | null }) {
    const next = Object.fromEntries(
      Object.entries({ ...noteOf(key), ...change }).filter(([, value]) => value !== null && value !== undefined),
    )
    return session.edit([{ name: 'noteUsed', key, value: Object.keys(next).length > 0 ? next : null }])
  }

  const back = computed(() =>
    settled(
      lines.value,
      { cuts: cost.cutting.cuts.value, taken: cost.bill.value.offcuts },
      { catalogue: catalogue.value, offcuts: offcuts.value },
    ),
  )
  const settledAt = computed(() => session.job?.load?.settled)
  async function putBack(): Promise<void> {
    const refused = await yard.change(back.value.changes, preferences.person.trim() || undefined)
    if (!refused) await session.edit([{ name: 'settleLoad', value: new Date(timeNow()).toISOString() }])
  }
  return { taken, lines, totals, notes, noteOf, note, back, settledAt, putBack, catalogue }
}

export const useAfter = sharedByJob(createAfter)
