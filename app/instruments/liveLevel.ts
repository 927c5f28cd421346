import { shallowRef } from 'vue'

/** What a level held to the post in hand shows at this moment; nothing while none is held to one. */
export const liveLevel = shallowRef<{ direction: 'along' | 'across'; slope: number }>()
