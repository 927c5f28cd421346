import type { Resin } from '../core/concrete/resin'

/**
 * Working values: a workspace puts its own cartridge's label here. Minutes that it can be worked and that it cures, by
 * the temperature of what it stands in.
 */
export const resins: readonly Resin[] = [
  {
    key: 'anchor-resin',
    name: 'anchor resin',
    byTemperature: [
      { temperature: 0, works: 45, cures: 300 },
      { temperature: 5, works: 25, cures: 180 },
      { temperature: 10, works: 15, cures: 120 },
      { temperature: 20, works: 6, cures: 45 },
      { temperature: 30, works: 3, cures: 25 },
    ],
  },
  {
    key: 'bonding-resin',
    name: 'bonding resin for pins',
    byTemperature: [
      { temperature: 5, works: 60, cures: 1_440 },
      { temperature: 10, works: 40, cures: 900 },
      { temperature: 20, works: 20, cures: 360 },
      { temperature: 30, works: 10, cures: 180 },
    ],
  },
]
