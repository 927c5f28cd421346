import { select, zoom, zoomIdentity, type D3ZoomEvent, type ZoomTransform } from 'd3'
import { onScopeDispose, watch, type Ref } from 'vue'

/** A pointer that has moved less is a tap, px. */
const TAP = 6
/** A finger takes a thing along only when it has rested on it so long, ms: a swipe never moves what was measured. */
const HOLD = 450

export interface Gestures {
  /** By a mouse at once, by a finger when it was held. Says whether the thing under the pointer is taken along; else the drawing is. */
  grab: (target: Element) => boolean
  pull: (pixels: number) => void
  drop: () => unknown
  pan: (pixels: number) => void
  rest: (pixels: number) => void
  enlarge: (factor: number) => void
}

type ZoomEvent = D3ZoomEvent<HTMLElement, unknown>
const isWheel = (event: Event | null): event is WheelEvent => event?.type === 'wheel'

/** One finger moves, two fingers or the wheel make it larger; a tap stays a tap. */
export function useGestures(frame: Ref<HTMLElement | null>, enabled: () => boolean, gestures: Gestures): void {
  let moving: 'nothing' | 'thing' | 'drawing' = 'nothing'
  let isPinched = false
  let target: Element | undefined
  let before: ZoomTransform = zoomIdentity
  let byFinger = false
  let resting: ReturnType<typeof setTimeout> | undefined

  function held(): void {
    if (moving === 'nothing' && !isPinched && gestures.grab(target!)) moving = 'thing'
  }
  function moved({ transform, sourceEvent }: ZoomEvent): void {
    if (transform.k !== before.k) {
      // Two fingers, or the wheel: what one finger had begun is over.
      if (moving === 'drawing') gestures.rest(0)
      clearTimeout(resting)
      moving = 'nothing'
      isPinched = true
      gestures.enlarge(transform.k / before.k)
    } else if (!isPinched && !isWheel(sourceEvent)) {
      if (moving === 'nothing' && Math.abs(transform.x) > TAP) {
        clearTimeout(resting)
        moving = !byFinger && gestures.grab(target!) ? 'thing' : 'drawing'
      }
      if (moving === 'thing') gestures.pull(transform.x)
      if (moving === 'drawing') gestures.pan(transform.x)
    }
    before = transform
  }
  function ended(this: HTMLElement & { __zoom?: ZoomTransform }, { transform }: ZoomEvent): void {
    clearTimeout(resting)
    if (moving === 'thing') void gestures.drop()
    if (moving === 'drawing') gestures.rest(transform.x)
    moving = 'nothing'
    // Each gesture is measured from where it begins: where the drawing stands, the drawing itself says.
    this.__zoom = zoomIdentity
  }

  const behaviour = zoom<HTMLElement, unknown>()
    .clickDistance(TAP)
    .filter((event: MouseEvent) => {
      const onButton = (event.target as Element).closest('button, [role=slider]') !== null
      return enabled() && !onButton && !event.button && !isSideways(event)
    })
    .on('start', ({ sourceEvent }: ZoomEvent) => {
      const began = sourceEvent as Event | null
      target = began?.target as Element | undefined
      byFinger = began?.type.startsWith('touch') ?? false
      clearTimeout(resting)
      if (byFinger && target) resting = setTimeout(held, HOLD)
      isPinched = false
      before = zoomIdentity
    })
    .on('zoom', moved)
    .on('end', ended)

  /** A wheel that turns sideways goes on to the next post. */
  const isSideways = (event: Event) => isWheel(event) && Math.abs(event.deltaX) > Math.abs(event.deltaY)
  function sideways(event: WheelEvent): void {
    if (!enabled() || !isSideways(event)) return
    event.preventDefault()
    gestures.rest(-event.deltaX)
  }

  function release(element: HTMLElement): void {
    select(element).on('.zoom', null).on('wheel.sideways', null)
  }
  watch(
    frame,
    (element, earlier) => {
      if (earlier) release(earlier)
      if (!element) return
      select<HTMLElement, unknown>(element)
        .call(behaviour)
        .on('dblclick.zoom', null)
        .on('wheel.sideways', sideways, { passive: false })
    },
    { immediate: true },
  )
  onScopeDispose(() => clearTimeout(resting))
  onScopeDispose(() => frame.value && release(frame.value))
}
