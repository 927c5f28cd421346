import type { Place } from '../place'

export const sheet: Place = {
  key: 'sheet',
  name: 'Sheet',
  digit: '0',
  says: 'the page to print and hand over',
  draws: 'own-page',
  panel: () => import('./Panel.vue'),
}
