import type { Filling, Mix } from '../core/concrete/bags'

const LITRES = 1e-3
const MPA = 1e6

/** Working values: a workspace puts its own labels here. */
export const mixes: readonly Mix[] = [
  { key: 'post-mix-20', name: '20 kg fast post mix', supply: 'bag', mass: 20, yields: 10 * LITRES, waterMixed: 2.8 * LITRES, waterOnTop: 3.2 * LITRES, cementShare: 0.18, stiffens: 5, hard: 10, strength: 15 * MPA },
  { key: 'fast-set-22', name: '22.7 kg fast-setting mix', supply: 'bag', mass: 22.7, yields: 11 * LITRES, waterMixed: 2.7 * LITRES, waterOnTop: 3.8 * LITRES, cementShare: 0.2, stiffens: 20, hard: 40, strength: 20 * MPA },
  { key: 'general-20', name: '20 kg general mix', supply: 'bag', mass: 20, yields: 9.4 * LITRES, waterMixed: 2 * LITRES, cementShare: 0.16, stiffens: 90, hard: 240, strength: 20 * MPA },
  { key: 'general-27', name: '27.2 kg general mix', supply: 'bag', mass: 27.2, yields: 12.7 * LITRES, waterMixed: 2.8 * LITRES, cementShare: 0.17, stiffens: 90, hard: 240, strength: 25 * MPA },
  { key: 'high-36', name: '36.3 kg high strength mix', supply: 'bag', mass: 36.3, yields: 17 * LITRES, waterMixed: 3 * LITRES, cementShare: 0.2, stiffens: 90, hard: 240, strength: 30 * MPA },
  { key: 'hand-batch', name: 'cement and ballast, 1 : 6', supply: 'batch', ratio: 6, waterCement: 0.6, moisture: 0.03, stiffens: 90, hard: 240 },
  { key: 'mixer-truck', name: 'delivered concrete', supply: 'lorry', stiffens: 90, hard: 240, strength: 25 * MPA },
]

/**
 * Ways of filling a hole: how it is done, how the water is counted and what goes wrong. Layers and
 * tamped densities are working values.
 */
export const fillings: readonly Filling[] = [
  { key: 'wet-barrow', name: 'Mixed in a barrow', how: 'Mix stiff, place in lifts, rod each lift to the bottom.', risk: 'Slow: one bag at a time.', water: 'mixed' },
  { key: 'dry-pour', name: 'Dry bags, water on top', how: 'Pour the bags in dry round the post, then the counted litres on top.', risk: 'The core can stay dry. Only for light posts without a gate or load.', water: 'on-top' },
  { key: 'water-first', name: 'Water first', how: 'Water to a third of the hole, mix in to above the water, rod to the bottom all round.', risk: 'Too wet or too dry: count the litres, do not trust the third.', water: 'third-of-hole' },
  { key: 'layered', name: 'In layers', how: 'Some water, some mix, worked into the layer below; again to the top.', risk: 'Nobody knows the water unless each layer is counted.', water: 'mixed', layer: 0.15 },
  { key: 'stone', name: 'Graded stone', how: 'Layers of mixed sizes with dust, each tamped hard.', risk: 'Drains well; not for gate posts in sand.', water: 'none', layer: 0.125, density: 1_800 },
  { key: 'tamped-soil', name: 'Tamped soil', how: 'The soil that came out, in thin layers, each tamped hard; a key where a gate pulls.', risk: 'Moves while it settles.', water: 'none', layer: 0.1, density: 1_800 },
]
