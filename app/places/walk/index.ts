import type { Place } from '../place'

export const walk: Place = {
  key: 'walk',
  name: 'Walk',
  digit: '1',
  says: 'build the line and mark what lies along it',
  draws: 'building',
  panel: () => import('./Panel.vue'),
}
