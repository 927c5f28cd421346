import type { Place } from '../place'

export const cause: Place = {
  key: 'cause',
  name: 'Cause',
  digit: '3',
  says: 'what failed, and why',
  draws: 'as-it-stands',
  panel: () => import('./Panel.vue'),
}
