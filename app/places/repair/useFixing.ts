import { computed, reactive } from 'vue'
import { InputError } from '~~/core/errors'
import { fixingFit, sawFaces, type FixingFit } from '~~/core/repair/fixingFit'
import { row } from '~~/core/tables/tables'
import { sectionSize } from '~~/core/timber/section'
import type { MethodPlan } from '~~/core/plan/types'
import type { SpurPart } from '~~/core/tables/parts'
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
  /** What it goes through: the spur, where there is one; else a plate of no thickness to speak of. */
  const part = computed(() => {
    const spur = method().parts.find(({ kind }) => kind === 'spur')
    if (!spur) return { name: 'plate', thickness: PLATE }
    const { size } = row(view.tables.value.parts.lists.spur.rows as readonly SpurPart[], spur.key)
    return { name: 'spur', thickness: size }
  })
  const wood = computed(() => sectionSize(view.post.value!.section))
  const isHarsh = computed(
    () => view.post.value!.material === 'treated-softwood' || view.site.value?.exposure === 'waterside',
  )

  const fit = computed<FixingFit | undefined>(() => {
    const { kind, diameter, length, hole, washer, isOneSided, isRustproof } = fixing
    if (diameter === undefined || length === undefined || hole === undefined) return undefined
    const place = {
      hole,
      part: part.value.thickness,
      wood: wood.value.across,
      isHard: view.post.value!.material === 'oak',
      isHarsh: isHarsh.value,
      isOneSided,
    }
    const coating = isRustproof ? 'hot-dip' : 'plated'
    return fixingFit(
      place,
      { kind, diameter, length, coating, ...(washer === undefined ? {} : { washer }) },
      preferences.measures,
    )
  })
  const cut = computed(() => {
    if (fixing.blade === undefined) return ''
    const faces = sawFaces(fixing.blade, wood.value.along, wood.value.across)
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
  return { fixing, part, wood, isHarsh, fit, cut, set }
}

/** A plate or an angle, m. */
const PLATE = 0.005
const RANGES = {
  diameter: [0.003, 0.03],
  length: [0.02, 0.5],
  hole: [0.003, 0.06],
  washer: [0.005, 0.15],
  blade: [0.01, 0.4],
} as const
