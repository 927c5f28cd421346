import type { SupplyRow } from '../core/concrete/supply'

/**
 * Ways of getting concrete. Working values: a workspace puts its own prices here, in minor units.
 * Barrow: 6 minutes to mix a 10 L bag and 3 to place it. Mixer: a half-day's hire, a drum of 90 L
 * in 20 minutes. Delivered: half a cubic metre is the least, carried by the barrow at 40 L a trip.
 */
export const supply: readonly SupplyRow[] = [
  { key: 'barrow', name: 'Mixed in a barrow', fixedMinutes: 10, minutesPerCubicMetre: 900, carryingMinutes: 0, fixedCost: 0, costPerCubicMetre: 52_000, least: 0 },
  { key: 'mixer', name: 'Hired mixer', fixedMinutes: 35, minutesPerCubicMetre: 300, carryingMinutes: 0, fixedCost: 4_200, costPerCubicMetre: 21_000, least: 0 },
  { key: 'delivered', name: 'Delivered by lorry', fixedMinutes: 45, minutesPerCubicMetre: 60, carryingMinutes: 1, fixedCost: 6_000, costPerCubicMetre: 17_000, least: 0.5 },
]
