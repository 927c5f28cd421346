import { ref } from 'vue'
import { createSharedComposable } from '@vueuse/core'
import { ZOOM } from '~/picture/model/viewport'

/** How large the drawing is drawn, shared with the keys that change it. */
export const useDrawing = createSharedComposable(() => {
  /** px per metre that a person asked for; as it fits when absent. */
  const zoom = ref<number>()
  /** As it is drawn now. */
  const scale = ref(ZOOM.least)
  function enlarge(factor: number): void {
    // Two steps of one pinch come before the drawing has followed the first.
    zoom.value = Math.min(ZOOM.most, Math.max(ZOOM.least, (zoom.value ?? scale.value) * factor))
  }
  return { zoom, scale, enlarge }
})
