import { computed, reactive } from 'vue'
import { InputError } from '~~/core/errors'
import { fixingFit, sawFaces, type FixingFit } from '~~/core/repair/fixingFit'
import { placeOnPost } from '~~/core/repair/fixingPlace'
import { sectionSize } from '~~/core/timber/section'
import type { MethodPlan } from '~~/core/plan/types'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'

/** A fixing out of the box against the hole and the wood of this post; nothing of it is kept. */
export function useFixing(method: () => MethodPlan) {
  const view = useJobView()
  const preferences = usePreferencesStore()
  const fixing = reactive({
    kind: 'bolt' as 'bolt' | 'screw',
    diameter: undefined as number | undefined,
    length: undefined as number | undefined,
    hole: undefined as number | undefined,
    washer: undefined as number | undefined,
    blade: undefined as number | undefined,
    isOneSided: false,
    isRustproof: false,
  })
  const place = computed(() => placeOnPost(view.post.value!, view.site.value!, method().parts, view.tables.value))

  const fit = computed<FixingFit | undefined>(() => {
    const { kind, diameter, length, hole, washer, isOneSided, isRustproof } = fixing
    if (diameter === undefined || length === undefined || hole === undefined) return undefined
    const coating = isRustproof ? 'hot-dip' : 'plated'
    return fixingFit(
      { ...place.value, hole, isOneSided },
      { kind, diameter, length, coating, ...(washer === undefined ? {} : { washer }) },
      preferences.measures,
    )
  })
  const cut = computed(() => {
    if (fixing.blade === undefined) return ''
    const { along, across } = sectionSize(view.post.value!.section)
    const faces = sawFaces(fixing.blade, along, across)
    if (faces === null) return 'The saw does not meet in the middle: finish by hand.'
    return faces === 1 ? 'The saw goes through in one cut.' : 'Cut from both faces: the saw meets in the middle.'
  })

  /** Sizes that no fixing has are said at the field. */
  async function set(key: 'diameter' | 'length' | 'hole' | 'washer' | 'blade', value: number | null) {
    const [least, most] = RANGES[key]
    if (value !== null && (value < least || value > most)) {
      const { small } = preferences.measures
      return new InputError(key, value, `from ${small(least)} to ${small(most)}`)
    }
    fixing[key] = value ?? undefined
    return undefined
  }
  return { fixing, place, fit, cut, set }
}

/** Sizes that fixings and saws have, m. */
const RANGES = {
  diameter: [0.003, 0.03],
  length: [0.02, 0.5],
  hole: [0.003, 0.06],
  washer: [0.005, 0.15],
  blade: [0.01, 0.4],
} as const
