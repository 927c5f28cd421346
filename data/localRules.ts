import type { LocalRules } from '../core/tables/tables'

/** What the invented carriers of all of them ask for, m. */
const BY_THE_ROAD = { slot: [1.05, 1.15], setBack: [0.15, 0.2] } as const

/** Invented places, to be replaced by a workspace's own: what its map and its office say. */
export const localRules: readonly LocalRules[] = [
  { key: 'halm-lowland', name: 'Halm lowland', says: 'flat farmland and gardens, mild winters', gust50: 38, frostDepth: 0.45, minimumDepth: 0.6, roadside: BY_THE_ROAD },
  { key: 'sedge-coast', name: 'Sedge coast', says: 'within a few kilometres of the sea, hardly any frost', gust50: 44, frostDepth: 0.3, minimumDepth: 0.6, roadside: BY_THE_ROAD },
  { key: 'corrie-uplands', name: 'Corrie uplands', says: 'high valleys, long frosts', gust50: 42, frostDepth: 0.75, minimumDepth: 0.75, roadside: BY_THE_ROAD },
  { key: 'brack-plains', name: 'Brack plains', says: 'inland plains, deep frost', gust50: 40, frostDepth: 1, minimumDepth: 0.75, roadside: BY_THE_ROAD },
]
