import { answersByTable, type RepairMethod } from '../method'

const key = 'make-safe'

/** Props, ties, barrier: today only, always open, and it holds no gust of its own. */
export const makeSafe: RepairMethod = {
  key,
  isStopGap: true,
  takesOut: [],
  needs: [],
  answers: answersByTable(key),
  against: () => [],
  variants: () => [{}],
  design: () => ({ links: [], parts: [], stands: () => [] }),
}
