import { computed, onMounted, ref, shallowRef } from 'vue'
import { usePreferencesStore } from '~/session/preferences'
import { api } from '~/sync/api'
import {
  opinionTable,
  brierScore,
  countedRows,
  ENOUGH_CASES,
  reliability,
  type OpinionCase,
} from '~~/core/record/opinion'
import { learntFigures } from '~~/core/record/learnt'
import type { Lesson, RatioLesson } from '~~/core/record/lessons'
import { tables } from '~~/data/tables'

/** What the records of all jobs come to. It needs a signal: they lie on the server. */
export function useLessons() {
  const preferences = usePreferencesStore()
  const lessons = shallowRef<readonly Lesson[]>()
  const failure = ref('')
  onMounted(async () => {
    try {
      lessons.value = (await api.readLessons(preferences.person.trim())).lessons
    } catch {
      failure.value = 'Your records lie on the server: there is no connection.'
    }
  })
  const ratios = computed(() => (lessons.value ?? []).filter((each): each is RatioLesson => each.kind !== 'cause'))
  const cases = computed<OpinionCase[]>(() =>
    (lessons.value ?? []).filter((each) => each.kind === 'cause').map((each) => each as OpinionCase),
  )
  const figures = computed(() => learntFigures(ratios.value))
  const ownPace = computed(() => {
    const person = preferences.person.trim()
    return person ? learntFigures(ratios.value, person) : []
  })
  const opinion = computed(() => ({
    cases: cases.value,
    rows: opinionTable(cases.value),
    brier: brierScore(cases.value),
    bins: reliability(cases.value),
    isEnough: cases.value.length >= ENOUGH_CASES,
    counted: countedRows(cases.value, (cause, observation, value) => {
      const row = tables.causes.evidence.find((each) => each.observation === observation)
      const name = tables.causes.causes.find(({ key }) => key === cause)?.name ?? cause
      return `${name}: ${row?.words[value] ?? value}`
    }),
  }))
  return { lessons, failure, figures, ownPace, opinion }
}
