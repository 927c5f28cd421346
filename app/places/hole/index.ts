import type { Place } from '../place'

export const hole: Place = {
  key: 'hole',
  name: 'Hole',
  digit: '5',
  says: 'depth, width, bags and water',
  draws: 'repaired',
  hasGrips: true,
  panel: () => import('./Panel.vue'),
}
