import type { Currency } from '../core/money/money'

/** Decimal places after ISO 4217. One currency a workspace. */
export const currencies: readonly Currency[] = [
  { code: 'EUR', name: 'euro', places: 2 },
  { code: 'GBP', name: 'pound', places: 2 },
  { code: 'USD', name: 'dollar', places: 2 },
  { code: 'SEK', name: 'krona', places: 2 },
  { code: 'JPY', name: 'yen', places: 0 },
  { code: 'KRW', name: 'won', places: 0 },
]
