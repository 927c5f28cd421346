import type { Place } from '../place'

export const look: Place = {
  key: 'look',
  name: 'Look',
  digit: '2',
  says: 'record what you see at the post',
  draws: 'as-it-stands',
  panel: () => import('./Panel.vue'),
}
