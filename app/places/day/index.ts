import type { Place } from '../place'

export const day: Place = {
  key: 'day',
  name: 'Day',
  digit: '8',
  says: 'who does what when, what waits for what',
  draws: 'itself',
  drawing: () => import('./DayDrawing.vue'),
  panel: () => import('./Panel.vue'),
}
