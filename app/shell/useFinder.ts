import { ref } from 'vue'
import { createSharedComposable } from '@vueuse/core'

/** Which of the two overlays is open: find anything, or the list of keys. */
export const useFinder = createSharedComposable(() => {
  const open = ref<'find' | 'keys' | undefined>()
  const show = (which: 'find' | 'keys') => (open.value = which)
  const hide = () => (open.value = undefined)
  return { open, show, hide }
})
