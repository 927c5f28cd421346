import { randomUUID } from 'node:crypto'
import { chosenMethods } from '../../core/cost/jobBills'
import type { Job } from '../../core/document/job'
import { OFFER_FORMAT, type OfferDraft } from '../../core/offer/offer'
import { optionOfJob, USUAL_SENTENCES } from '../../core/offer/ofJob'
import { planner } from '../../core/plan/plan'
import { linesDrawing } from '../../core/report/lineDrawing'
import { resolveJob } from '../../core/resolve/resolve'
import { measuresIn } from '../../core/units/quantity'
import { catalogue, costSettings } from '../../data/catalogue'
import { currencies } from '../../data/currencies'
import { tables } from '../../data/tables'

const DAY = 24 * 3600e3
/** Made some days ago, and it holds for three weeks yet. */
const SINCE = 6
const UNTIL = 21

/** An offer for a job of the demo: what was chosen, and beside it what holds it up for now. */
export function demoOffer(job: Job, by: string, now: Date): OfferDraft {
  const resolved = resolveJob(job, tables)
  const planned = { job, plan: planner(tables)(job, resolved) }
  const lasting = chosenMethods(planned)
  const propped = Object.fromEntries(Object.keys(lasting).map((address) => [address, 'make-safe']))
  const currency = currencies.find(({ code }) => code === costSettings.currency)!
  const terms = { hires: {}, catalogue, settings: costSettings, currency, tables, show: measuresIn('metric').gust }
  const at = (days: number) => new Date(now.getTime() + days * DAY).toISOString()
  const worked = new Set(Object.keys(lasting).map((address) => address.split('/')[1]!))
  return {
    format: OFFER_FORMAT,
    version: 1,
    id: randomUUID(),
    jobVersion: 1,
    job: job.name,
    site: job.site?.name ?? '',
    madeAt: at(-SINCE),
    validUntil: at(UNTIL).slice(0, 10),
    by,
    customer: 'the committee',
    currency,
    options: [optionOfJob(job, 'For good', lasting, terms), optionOfJob(job, 'Propped for now', propped, terms)],
    drawing: linesDrawing(resolved.lines, worked),
    included: [...USUAL_SENTENCES.included],
    excluded: [...USUAL_SENTENCES.excluded],
    cautions: [...USUAL_SENTENCES.cautions],
  }
}
