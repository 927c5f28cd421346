import type { Place } from '../place'

export const load: Place = {
  key: 'load',
  name: 'Load & cost',
  digit: '9',
  says: 'what goes into the van, what it costs, now and over the years',
  draws: 'itself',
  drawing: () => import('./LoadDrawing.vue'),
  panel: () => import('./Panel.vue'),
}
