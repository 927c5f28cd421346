import { computed, watch } from 'vue'
import { useLocalStorage, usePermission } from '@vueuse/core'
import type { Pours } from './pours'

/** What was called out already, so that an opened page does not call it again; only of late. */
const called = useLocalStorage<string[]>('vindex-called', [])
const KEPT = 200
/** What is longer ago is called by nobody any more, ms. */
const STILL_NEWS = 10 * 60_000
/** Three short tones; shaken in the same measure, ms. */
const SHAKE = [200, 100, 200, 100, 400]
const TONES = [0, 0.3, 0.6]
const TONE = 0.2
const PITCH = 880

export const isSilent = useLocalStorage('vindex-silent', false)

/** Calls out what a wet post wants when it is due: by sound, by shaking, and by a notification where it may. */
export function useAlarms({ clocks, now }: Pours, go: (line: string, post: string) => void) {
  const due = computed(() =>
    clocks.value.flatMap(({ pour, marks }) =>
      marks.flatMap(({ key, says, at }) =>
        at !== null && at <= now.value && at > now.value - STILL_NEWS
          ? [{ id: `${pour.id} ${key}`, line: pour.line, post: pour.post, says }]
          : [],
      ),
    ),
  )
  watch(
    due,
    (all) => {
      const fresh = all.filter(({ id }) => !called.value.includes(id))
      if (fresh.length === 0) return
      called.value = [...called.value, ...fresh.map(({ id }) => id)].slice(-KEPT)
      if (isSilent.value) return
      sound()
      navigator.vibrate?.(SHAKE)
      for (const { line, post, says } of fresh) notify(`${post}: ${says}`, () => go(line, post))
    },
    { immediate: true },
  )
}

/** Whether notifications may be shown, and the question. */
export function useNotificationLeave() {
  const leave = usePermission('notifications')
  return { leave, ask: () => Notification?.requestPermission() }
}

function notify(words: string, opens: () => void): void {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted') return
  try {
    const shown = new Notification('Vindex', { body: words, tag: words })
    shown.onclick = () => {
      window.focus()
      opens()
    }
  } catch {
    // Phones show them through the service worker alone.
    void navigator.serviceWorker?.ready.then((worker) => worker.showNotification('Vindex', { body: words, tag: words }))
  }
}

let player: AudioContext | undefined
function sound(): void {
  try {
    player ??= new AudioContext()
    for (const after of TONES) {
      const tone = player.createOscillator()
      tone.frequency.value = PITCH
      tone.connect(player.destination)
      tone.start(player.currentTime + after)
      tone.stop(player.currentTime + after + TONE)
    }
  } catch {
    // A device without sound shows and shakes.
  }
}
