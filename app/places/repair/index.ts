import type { Place } from '../place'

export const repair: Place = {
  key: 'repair',
  name: 'Repair',
  digit: '4',
  says: 'choose on the gust scale',
  draws: 'repaired',
  panel: () => import('./Panel.vue'),
}
