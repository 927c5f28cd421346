import { shallowRef } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { snapStation, type Snapped } from '~~/core/setout/snap'
import { usePreferencesStore } from '~/session/preferences'

/** Marks of a tape that a dragged post keeps to, m. */
const TAPE_STEP = { metric: 0.01, 'feet-inches': 0.0127 }
/** ms. */
const SHORT = 30
/** How near an equal bay draws the post to it, px. */
const SNAP_PIXELS = 9

/** Moving a post along the line on the drawing; the figure runs along, and is kept when it is let go. */
export function usePostDrag(scale: () => number) {
  const session = useJobSession()
  const view = useJobView()
  const preferences = usePreferencesStore()
  const held = shallowRef<{ id: string; from: number } & Snapped>()

  function grab(id: string): void {
    const post = view.line.value?.posts.find((each) => each.id === id)
    if (!post) return
    held.value = { id, from: post.station, station: post.station }
    // Felt through a glove, where the device can.
    navigator.vibrate?.(SHORT)
  }
  function pull(pixels: number): void {
    const posts = view.line.value!.posts
    const i = posts.findIndex(({ id }) => id === held.value!.id)
    const [before, after, further] = [posts[i - 1]?.station, posts[i + 1]?.station, posts[i - 2]?.station]
    const snapped = snapStation(held.value!.from + pixels / scale(), {
      before,
      after,
      bayBefore: before !== undefined && further !== undefined ? before - further : undefined,
      step: TAPE_STEP[preferences.units],
      reach: SNAP_PIXELS / scale(),
    })
    held.value = { id: held.value!.id, from: held.value!.from, ...snapped }
  }
  async function drop(): Promise<void> {
    const { id, station, from } = held.value!
    if (station !== from) {
      const line = view.line.value!.id
      await session.edit([{ name: 'setPost', line, post: id, key: 'station', value: station }])
    }
    held.value = undefined
  }
  function letGo(): void {
    held.value = undefined
  }
  return { held, grab, pull, drop, letGo }
}
