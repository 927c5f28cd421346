import type { LengthSystem } from '~~/core/units/length'

/** What may be typed at the tape, as it would be read out in each country. */
export const TAPE_EXAMPLES: Record<LengthSystem, { readings: string; row: string; gates: string }> = {
  metric: { readings: '0, 2.4, 4.83, 7.2 gate 1.1, 8.45 corner', row: '6 x 2.4', gates: 'gate 1.1, double gate 1.5' },
  'feet-inches': {
    readings: `0, 8', 16' 1", 24' gate 3' 6", 28' corner`,
    row: "6 x 8'",
    gates: `gate 3' 6", double gate 5'`,
  },
}
