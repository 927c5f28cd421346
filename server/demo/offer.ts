import { randomUUID } from 'node:crypto'
import { chosenMethods } from '../../core/cost/jobBills'
import type { Job } from '../../core/document/job'
import type { OfferDraft } from '../../core/offer/offer'
import { offerDraft, optionWork, pricedOption, USUAL_SENTENCES } from '../../core/offer/ofJob'
import { planner } from '../../core/plan/plan'
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
  const planned = { job, resolved, plan: planner(tables)(job, resolved) }
  const lasting = chosenMethods(planned)
  const propped = Object.fromEntries(Object.keys(lasting).map((address) => [address, 'make-safe']))
  const currency = currencies.find(({ code }) => code === costSettings.currency)!
  const terms = { hires: {}, catalogue, settings: costSettings, currency, show: measuresIn('metric').gust }
  const at = (days: number) => new Date(now.getTime() + days * DAY).toISOString()
  const option = (name: string, methods: Record<string, string>) =>
    pricedOption(name, optionWork(job, methods, tables), terms)
  return offerDraft(planned, lasting, {
    id: randomUUID(),
    jobVersion: 1,
    madeAt: at(-SINCE),
    validUntil: at(UNTIL).slice(0, 10),
    by,
    customer: 'the committee',
    currency,
    options: [option('For good', lasting), option('Propped for now', propped)],
    included: [...USUAL_SENTENCES.included],
    excluded: [...USUAL_SENTENCES.excluded],
    cautions: [...USUAL_SENTENCES.cautions],
  })
}
