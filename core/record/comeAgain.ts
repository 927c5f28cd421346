import type { CatalogueRow, CostSettings } from '../cost/catalogue'
import { hiresOf } from '../cost/hire'
import { lineBill } from '../cost/lineBill'
import type { DaySetup } from '../document/job'
import type { Currency, Minor } from '../money/money'

/**
 * What coming again costs beside the work itself: a call-out with its way, and the hire of today once more.
 *
 * @returns before tax
 * @example a call-out of 35.00 and 24 km at 0.55, nothing hired: 48.20
 */
export const comeAgain = (
  catalogue: readonly CatalogueRow[],
  settings: CostSettings,
  currency: Currency,
  hires: NonNullable<DaySetup['hires']>,
): Minor => lineBill([], { visits: 1, hires: hiresOf(hires, catalogue) }, { catalogue, settings, currency }).total.net
