import type { CatalogueRow, CostSettings } from '../../core/cost/catalogue'
import type { Job } from '../../core/document/job'
import { customerPageOf } from '../../core/record/customerPageOf'
import { customerSheets } from '../../core/report/customerSheet'
import type { PaperName } from '../../core/report/pages'
import { standingYears } from '../../core/survive/years'
import type { LengthSystem } from '../../core/units/length'
import { measuresIn } from '../../core/units/quantity'
import type { Moment } from '../../core/weather/forecast'
import { rowsNow, tablesWith, type OwnRows } from '../../core/yard/rows'
import { currencies } from '../../data/currencies'
import { inUnits } from '../../data/customs'
import { tables } from '../../data/tables'
import { shippedYard } from '../../data/yard'

export interface SheetOptions {
  /** What the workspace has of its own. */
  own: OwnRows
  system: LengthSystem
  paper: PaperName
  /** Milliseconds. */
  now: Moment
}

/** The customer's page of a post as drawings, priced by the yard; undefined where there is nothing to print. */
export function customerSheetsOf(
  job: Job,
  post: string,
  { own, system, paper, now }: SheetOptions,
): string[] | undefined {
  const rows = rowsNow(shippedYard, own)
  const settings = rows.reckoning![0] as unknown as CostSettings
  const says = measuresIn(system)
  const here = inUnits(tablesWith(tables, own), system)
  const page = customerPageOf(job, post, {
    tables: here,
    years: (method) => standingYears(job, here, post, { methods: [method] }),
    pricing: {
      catalogue: rows.catalogue as unknown as readonly CatalogueRow[],
      settings,
      currency: currencies.find(({ code }) => code === settings.currency)!,
    },
    now,
    says,
  })
  return page && customerSheets(page, paper, says)
}
