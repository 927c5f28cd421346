import { nextTick } from 'vue'
import { useDrawing } from '~/picture/useDrawing'
import { useEventListener } from '@vueuse/core'
import { usePreferencesStore } from '~/session/preferences'
import { useFinder } from './useFinder'
import { PLACES } from '~/places'
import type { OpenJob } from '~/job/openJob'

export const KEYS = [
  { keys: '← →', says: 'post before, next post' },
  { keys: PLACES.map(({ digit }) => digit).join(' '), says: PLACES.map(({ name }) => name).join(', ') },
  { keys: '+ −', says: 'draw larger, draw smaller' },
  { keys: 'n', says: 'new reading: the first one not made yet' },
  { keys: '/', says: 'find a post or do anything by its name' },
  { keys: 'u', says: 'metres, or feet and inches' },
  { keys: 'z', says: 'undo' },
  { keys: 'shift + z', says: 'redo' },
  { keys: '?', says: 'this list' },
] as const

/** Keys that work on every screen. */
export function useCommonKeys(): void {
  const preferences = usePreferencesStore()
  const finder = useFinder()
  useKeys({ u: () => preferences.switchUnits(), '/': () => finder.show('find'), '?': () => finder.show('keys') })
}

/** Runs an action by its key; keys rest while somebody types or a list is open. */
function useKeys(actions: Record<string, () => unknown>): void {
  const finder = useFinder()
  useEventListener('keydown', (event: KeyboardEvent) => {
    const typing = (event.target as HTMLElement).closest(TYPING)
    if (typing || event.defaultPrevented || finder.open.value || event.ctrlKey || event.metaKey || event.altKey) return
    const action = actions[event.key]
    if (!action) return
    event.preventDefault()
    action()
  })
}

const TYPING = 'input, textarea, select, [role="combobox"], [role="listbox"], [contenteditable]'

/** Keys of the job screen. */
export function useJobKeys({ session, view }: OpenJob): void {
  const drawing = useDrawing()

  const actions: Record<string, () => unknown> = {
    ArrowLeft: () => view.walk(-1),
    ArrowRight: () => view.walk(1),
    z: () => session.undo(),
    Z: () => session.redo(),
    n: () => newReading(),
    '+': () => drawing.enlarge(1.25),
    '-': () => drawing.enlarge(0.8),
    ...Object.fromEntries(PLACES.map(({ digit, key }) => [digit, () => view.goTo(key)])),
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

  useKeys(actions)
}
