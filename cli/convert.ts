import { createHash } from 'node:crypto'
import Papa from 'papaparse'
import { jobBills } from '../core/cost/jobBills'
import { optionCost, unpricedOf } from '../core/cost/option'
import type { Job } from '../core/document/job'
import { InputError, requireChoice } from '../core/errors'
import { jobGeoJson } from '../core/exchange/geojson'
import { postsTable } from '../core/exchange/posts'
import { billTable, hoursTable, readingsTable } from '../core/exchange/recordTables'
import { toDecimal } from '../core/money/money'
import { plan } from '../core/plan/plan'
import { standingYears } from '../core/survive/years'
import { customerPageOf } from '../core/record/customerPageOf'
import { visitEvents } from '../core/record/visitEvents'
import { customerSheets } from '../core/report/customerSheet'
import { linesDrawing } from '../core/report/lineDrawing'
import { PAPER_NAMES, PAPERS } from '../core/report/pages'
import { resolveJob } from '../core/resolve/resolve'
import { LENGTH_SYSTEMS } from '../core/units/length'
import { measuresIn } from '../core/units/quantity'
import { catalogue, costSettings } from '../data/catalogue'
import { currencies } from '../data/currencies'
import { tablesIn } from '../data/tables'
import { pdfOfPages } from '../paper/pdf'
import { calendarText } from '../shared/calendar'

export const FORMATS = ['csv', 'geojson', 'ics', 'svg', 'pdf'] as const
const TABLES = ['posts', 'readings', 'bill', 'hours'] as const

/** What a form of a job is asked for with. */
export interface ConvertOptions {
  to?: string
  table?: string
  post?: string
  paper?: string
  units?: string
}

const pricing = {
  catalogue,
  settings: costSettings,
  currency: currencies.find(({ code }) => code === costSettings.currency)!,
}

/**
 * A job in another form: text, or the bytes of a PDF.
 *
 * @throws InputError for a form, a table, a paper or a post that there is not
 */
export async function converted(
  job: Job,
  { to, table = 'posts', post, paper = 'A4', units = 'metric' }: ConvertOptions,
  now: Date,
): Promise<string | Buffer> {
  const system = requireChoice('--units', units, LENGTH_SYSTEMS)
  const tables = tablesIn[system]
  switch (requireChoice('--to', to, FORMATS)) {
    case 'csv':
      return `${Papa.unparse(tableOf(job, requireChoice('--table', table, TABLES)), { newline: '\n' })}\n`
    case 'geojson':
      return `${JSON.stringify(jobGeoJson(job, tables.causes), null, 2)}\n`
    case 'ics':
      return calendarText(visitEvents(job, idOf(job)), now.getTime())
    case 'svg': {
      const worked = job.lines.flatMap(({ posts }) => posts.filter(({ repair }) => repair?.method).map(({ id }) => id))
      return linesDrawing(resolveJob(job, tables).lines, new Set(worked))
    }
    case 'pdf':
      return sheets(job, postsToPrint(job, post), requireChoice('--paper', paper, PAPER_NAMES), system, now)
  }
}

/** Of a job that has no identity yet: the same job has always the same. */
const idOf = (job: Job): string => createHash('sha256').update(job.name).digest('hex').slice(0, 16)

function tableOf(job: Job, table: (typeof TABLES)[number]): string[][] {
  switch (table) {
    case 'posts':
      return postsTable(job)
    case 'readings':
      return readingsTable(job)
    case 'hours':
      return hoursTable(job)
    case 'bill':
      return bill(job)
  }
}

function bill(job: Job): string[][] {
  const tables = tablesIn.metric
  const resolved = resolveJob(job, tables)
  const lines = jobBills({ job, resolved, plan: plan(job, tables) }, tables).flatMap((each) => each.lines)
  const { lines: charged } = optionCost(lines, pricing.catalogue, pricing.settings, pricing.currency)
  const priced = charged.map(({ key, name, row, quantity, amount }) => ({
    key,
    name,
    quantity: quantity.valueOf().toString(),
    unit: row.unit,
    amount: toDecimal(Number(amount), pricing.currency),
  }))
  // Nothing that the repair takes is left out of its bill: without a price it stands there with an empty amount.
  const unpriced = unpricedOf(lines, pricing.catalogue).map(({ key, quantity }) => ({
    key,
    name: 'no price in the catalogue',
    quantity: quantity.valueOf().toString(),
    unit: '',
    amount: '',
  }))
  return billTable([...priced, ...unpriced], pricing.currency.code)
}

/** One post, or all whose repair was chosen. */
function postsToPrint(job: Job, post: string | undefined): string[] {
  const all = job.lines.flatMap(({ posts }) => posts)
  if (post === undefined) return all.filter(({ repair }) => repair?.method).map(({ id }) => id)
  if (!all.some(({ id }) => id === post)) throw new InputError('--post', post, 'a post of the job')
  return [post]
}

async function sheets(
  job: Job,
  posts: readonly string[],
  paper: (typeof PAPER_NAMES)[number],
  system: (typeof LENGTH_SYSTEMS)[number],
  now: Date,
): Promise<Buffer> {
  const says = measuresIn(system)
  const pages = posts.flatMap((post) => {
    const tables = tablesIn[system]
    const years = (method: string) => standingYears(job, tables, post, { methods: [method] })
    const page = customerPageOf(job, post, { tables, pricing, now: now.getTime(), says, years })
    return page ? customerSheets(page, paper, says) : []
  })
  if (pages.length === 0) throw new InputError('--post', posts.join(', ') || 'none', 'a post with a repair to print')
  return pdfOfPages(pages, PAPERS[paper].millimetres, job.name)
}
