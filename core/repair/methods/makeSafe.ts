import type { RepairMethod } from '../method'

/** Props, ties, barrier: today only, always open, and it holds no gust of its own. */
export const makeSafe: RepairMethod = {
  key: 'make-safe',
  refusals: () => [],
  design: () => ({ links: [] }),
}
