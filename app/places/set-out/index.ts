import type { Place } from '../place'

export const setOut: Place = {
  key: 'set-out',
  name: 'Set out',
  digit: '6',
  says: 'strings, levels, cuts, gates',
  draws: 'strings',
  panel: () => import('./Panel.vue'),
}
