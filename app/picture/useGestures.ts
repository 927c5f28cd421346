import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'

/** A pointer that has moved less is a tap, px. */
const TAP = 6

export interface Gestures {
  /** Says whether the thing under the pointer is taken along; else the drawing is. */
  grab: (target: Element) => boolean
  pull: (pixels: number) => void
  drop: () => unknown
  pan: (pixels: number) => void
  rest: (pixels: number) => void
  enlarge: (factor: number) => void
}

/** One finger moves, two fingers or the wheel make it larger; a tap stays a tap. */
export function useGestures(frame: Ref<HTMLElement | null>, enabled: () => boolean, gestures: Gestures): void {
  const pointers = new Map<number, { x: number; y: number }>()
  let start = { x: 0 }
  let moving: 'nothing' | 'tap' | 'thing' | 'drawing' = 'nothing'
  let target: Element | undefined
  let apart = 0

  const distance = () => {
    const [a, b] = [...pointers.values()]
    return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0
  }

  useEventListener(frame, 'pointerdown', (event: PointerEvent) => {
    if (!enabled() || (event.target as Element).closest('button')) return
    pointers.set(event.pointerId, { x: event.clientX, y: event.clientY })
    if (pointers.size === 1) {
      start = { x: event.clientX }
      moving = 'tap'
      target = event.target as Element
    } else {
      if (moving === 'drawing') gestures.rest(0)
      moving = 'nothing'
      apart = distance()
    }
  })
  useEventListener(frame, 'pointermove', (event: PointerEvent) => {
    if (!pointers.has(event.pointerId)) return
    pointers.set(event.pointerId, { x: event.clientX, y: event.clientY })
    if (pointers.size === 2) {
      const now = distance()
      if (apart > 0) gestures.enlarge(now / apart)
      apart = now
      return
    }
    const pixels = event.clientX - start.x
    if (moving === 'tap' && Math.abs(pixels) > TAP) {
      moving = gestures.grab(target!) ? 'thing' : 'drawing'
      // Only now: a captured tap would not reach the post under it.
      frame.value?.setPointerCapture(event.pointerId)
    }
    if (moving === 'thing') gestures.pull(pixels)
    if (moving === 'drawing') gestures.pan(pixels)
  })
  const end = (event: PointerEvent) => {
    if (!pointers.delete(event.pointerId)) return
    if (moving === 'thing') void gestures.drop()
    if (moving === 'drawing') gestures.rest(event.clientX - start.x)
    if (pointers.size === 0) moving = 'nothing'
  }
  useEventListener(frame, 'pointerup', end)
  useEventListener(frame, 'pointercancel', end)
  useEventListener(
    frame,
    'wheel',
    (event: WheelEvent) => {
      if (!enabled()) return
      event.preventDefault()
      if (Math.abs(event.deltaX) > Math.abs(event.deltaY)) gestures.rest(-event.deltaX)
      else gestures.enlarge(event.deltaY < 0 ? 1.12 : 1 / 1.12)
    },
    { passive: false },
  )
}
