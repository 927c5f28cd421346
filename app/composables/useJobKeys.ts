import { useEventListener } from '@vueuse/core'
import { useJobStore } from '~/stores/job'
import { usePreferencesStore } from '~/stores/preferences'
import { useFinder } from './useFinder'
import { PLACES } from './places'

export const KEYS = [
  { keys: '← →', says: 'post before, next post' },
  { keys: '2 3 4 5 0', says: 'Look, Cause, Repair, Hole, Sheet' },
  { keys: 'n', says: 'new reading: the first one not made yet' },
  { keys: '/', says: 'find a post or do anything by its name' },
  { keys: 'u', says: 'metres, or feet and inches' },
  { keys: 'z', says: 'undo' },
  { keys: 'shift + z', says: 'redo' },
  { keys: '?', says: 'this list' },
] as const

/** Keys of the job screen; they rest while somebody types or a list is open. */
export function useJobKeys(): void {
  const store = useJobStore()
  const view = useJobView()
  const preferences = usePreferencesStore()
  const finder = useFinder()

  const actions: Record<string, () => unknown> = {
    ArrowLeft: () => view.walk(-1),
    ArrowRight: () => view.walk(1),
    u: () => preferences.switchUnits(),
    z: () => store.undo(),
    Z: () => store.redo(),
    n: () => newReading(),
    '/': () => finder.show('find'),
    '?': () => finder.show('keys'),
    ...Object.fromEntries(PLACES.map(({ digit, place }) => [digit, () => view.goTo(place)])),
  }

  function newReading(): void {
    view.goTo('look')
    void nextTick(() => {
      const unanswered = [...document.querySelectorAll<HTMLElement>('.question')].find(
        (question) => !question.querySelector('[aria-pressed="true"]'),
      )
      unanswered?.querySelector('button')?.focus()
    })
  }

  useEventListener('keydown', (event: KeyboardEvent) => {
    const typing = (event.target as HTMLElement).closest(
      'input, textarea, select, [role="combobox"], [role="listbox"], [contenteditable]',
    )
    if (typing || finder.open.value || event.ctrlKey || event.metaKey || event.altKey) return
    const action = actions[event.key]
    if (!action) return
    event.preventDefault()
    action()
  })
}
