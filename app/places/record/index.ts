import type { Place } from '../place'

export const record: Place = {
  key: 'record',
  name: 'Record',
  digit: '0',
  says: 'what was done, what it proved, when to come back; the pages to print',
  draws: 'own-page',
  panel: () => import('./Panel.vue'),
}
