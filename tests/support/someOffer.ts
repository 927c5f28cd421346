import type { Job } from '../../core/document/job'
import { OFFER_FORMAT, type OfferDraft, type OfferOption } from '../../core/offer/offer'
import { optionWork, pricedOption } from '../../core/offer/ofJob'
import { plan } from '../../core/plan/plan'
import { linesDrawing } from '../../core/report/lineDrawing'
import { resolveJob } from '../../core/resolve/resolve'
import type { CatalogueRow, CostSettings } from '../../core/cost/catalogue'
import { catalogue, costSettings } from '../../data/catalogue'
import { currencies } from '../../data/currencies'
import { demoJobs } from '../../data/demo/jobs'
import { tables } from '../../data/tables'

interface Terms {
  rows?: readonly CatalogueRow[]
  settings?: CostSettings
  currency?: string
}

/** One option of a job: some of its posts mended otherwise than they were chosen. */
export function someOption(
  job: Job,
  name: string,
  methods: Readonly<Record<string, string>>,
  { rows = catalogue, settings = costSettings, currency = 'EUR' }: Terms = {},
): OfferOption {
  return pricedOption(name, optionWork(job, methods, tables), {
    visits: 2,
    hires: { 'hire/mixer': 1 },
    catalogue: rows,
    settings,
    currency: currencies.find(({ code }) => code === currency)!,
    show: (gust) => `${gust.toFixed(0)} m/s`,
  })
}

/** The storm-broken fence of the demo with two ways of mending all of its broken posts. */
export function stormFence(): { job: Job; methods: (method: string) => Record<string, string> } {
  const job = demoJobs().at(-1)!
  const broken = plan(job, tables).posts.filter(({ diagnosis }) => diagnosis.state === 'failed')
  return {
    job,
    methods: (method) =>
      Object.fromEntries(
        broken
          .filter(({ methods }) => methods.some((each) => each.method === method && each.allowed))
          .slice(0, 6)
          .map(({ line, post }) => [`${line}/${post}`, method]),
      ),
  }
}

let counter = 0
export function someOffer(more: Partial<OfferDraft> = {}, terms: Terms = {}): OfferDraft {
  const { job, methods } = stormFence()
  const lasting = methods('new-post-concrete')
  const currency = currencies.find(({ code }) => code === (terms.currency ?? 'EUR'))!
  return {
    format: OFFER_FORMAT,
    version: 1,
    id: `offer-${++counter}-${'x'.repeat(8)}`,
    jobVersion: 1,
    job: job.name,
    site: job.site?.name ?? '',
    madeAt: '2026-11-23T10:00:00.000Z',
    validUntil: '2026-12-23',
    by: 'Wren',
    customer: 'the society',
    currency,
    options: [
      someOption(job, 'For good', lasting, terms),
      someOption(job, 'Propped for now', methods('make-safe'), terms),
    ],
    included: ['What stands in the bill, and taking away what is dug out.'],
    excluded: ['Panels and rails, unless they stand in the bill.'],
    cautions: ['Keep away from a leaning fence in wind.'],
    drawing: linesDrawing(
      resolveJob(job, tables).lines,
      new Set(Object.keys(lasting).map((each) => each.split('/')[1]!)),
    ),
    ...more,
  }
}
