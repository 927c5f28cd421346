import { ref } from 'vue'
import { useJobView } from '~/job/openJob'
import type { Metres } from '~~/core/units/types'

/** Held further aside than this, the drawing goes on to the next post at least, px. */
const STEP_PIXELS = 40

/** How far a finger holds the drawing aside, px, and to which post it goes when it is let go. */
export function usePan(station: () => Metres, scale: () => number) {
  const view = useJobView()
  const pan = ref(0)
  const panning = ref(false)

  function hold(pixels: number): void {
    panning.value = true
    pan.value = pixels
  }
  function rest(pixels: number): void {
    panning.value = false
    pan.value = 0
    if (Math.abs(pixels) < STEP_PIXELS) return
    const posts = view.line.value!.posts
    const middle = station() - pixels / scale()
    const from = posts.findIndex(({ id }) => id === view.post.value?.id)
    const near = posts.reduce(
      (best, post, i) => (Math.abs(post.station - middle) < Math.abs(posts[best]!.station - middle) ? i : best),
      0,
    )
    view.walk((near === from ? -Math.sign(pixels) : near - from) || 0)
  }
  return { pan, panning, hold, rest }
}
