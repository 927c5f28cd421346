import type { Place } from '../place'

export const pour: Place = {
  key: 'pour',
  name: 'Pour',
  digit: '7',
  says: 'the clock on wet concrete, checks, what may go on when',
  draws: 'itself',
  seesToWet: true,
  drawing: () => import('~/pours/WetHoles.vue'),
  panel: () => import('./Panel.vue'),
}
