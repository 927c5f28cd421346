import { createHash, randomBytes } from 'node:crypto'
import { InputError } from '../../core/errors'
import { offerChanges } from '../../core/offer/changes'
import type { OfferAnswer } from '../../core/offer/answer'
import { stateOf } from '../../core/offer/answer'
import type { Offer, OfferDraft } from '../../core/offer/offer'
import type { KeptOffer, OfferLink, OfferWatch } from '../../shared/contract'
import { NotFound, Taken } from '../http/failures'
import { requireJob } from '../jobs/service'
import { together, type Workspace } from '../workspace/workspace'
import { offerPaper } from '../papers/papers'
import * as offers from './repository'
import { sameData } from '../../core/sameData'

/** A link outlives what it shows by no more than this, ms; and never stands longer than thirty days. */
const LINK_STANDS = 30 * 24 * 3600e3

/**
 * Keeps an offer under the next number of its job, with the bytes of its page. Sent again, it is the one that is
 * there.
 *
 * @throws NotFound for an unknown job
 * @throws Taken for another offer under the same identity
 */
export async function keepOffer(
  workspace: Workspace,
  jobId: string,
  draft: OfferDraft,
  now = new Date(),
): Promise<KeptOffer> {
  await requireJob(workspace, jobId)
  return together(workspace, async (inside) => {
    const number = await offers.nextNumber(inside, jobId)
    const there = await offers.findOffer(inside, jobId, draft.id)
    if (there) {
      const { number: its, ...same } = JSON.parse(there.text) as Offer
      if (!sameData(same, draft)) throw new Taken(`Another offer is there under the identity "${draft.id}".`)
      return keptOf({ ...there, number: its }, undefined, now)
    }
    const [before] = await offers.offersOf(inside, jobId)
    const offer: Offer = { ...draft, number }
    const changes = before ? offerChanges(JSON.parse(before.text) as Offer, offer) : []
    const pdf = await offerPaper(inside.person?.id ?? inside.id, offer, changes)
    const stored = {
      id: draft.id,
      jobId,
      number,
      text: JSON.stringify(offer),
      pdf,
      checksum: createHash('sha256').update(pdf).digest('hex'),
      validUntil: draft.validUntil,
      madeAt: new Date(draft.madeAt),
    }
    await offers.insertOffer(inside, stored)
    return keptOf(stored, undefined, now)
  })
}

/** Offers of a job, the last first: the newest stands, those before it are replaced. */
export async function readOffers(workspace: Workspace, jobId: string, now = new Date()): Promise<KeptOffer[]> {
  await requireJob(workspace, jobId)
  const rows = await offers.offersOf(workspace, jobId)
  const answers = await offers.answersOf(
    workspace,
    rows.map(({ id }) => id),
  )
  return rows.map((row, i) => keptOf(row, answers.get(row.id), now, i > 0))
}

function keptOf(
  { text, checksum }: offers.OfferHead,
  answer: offers.StoredAnswer | undefined,
  now: Date,
  isReplaced = false,
): KeptOffer {
  const offer = JSON.parse(text) as Offer
  const answered: OfferAnswer | undefined = answer && {
    isAccepted: answer.isAccepted,
    ...(answer.option === undefined ? {} : { option: answer.option }),
    name: answer.name,
    checksum: answer.seenChecksum,
    way: answer.way,
    at: answer.answeredAt.toISOString(),
  }
  return {
    offer,
    checksum,
    state: stateOf(offer, answered, { isReplaced, today: now.toISOString().slice(0, 10) }),
    ...(answered ? { answer: answered } : {}),
  }
}

/** So many are looked through, and an answer is told for so long, ms. */
const WATCHED = 200
const ANSWER_IS_NEWS = 14 * 24 * 3600e3

/** Offers that somebody waits for, or that were answered lately; those that are over last. */
export async function readOfferWatch(workspace: Workspace, now = new Date()): Promise<OfferWatch> {
  const rows = await offers.newestOffers(workspace, WATCHED)
  const answers = await offers.answersOf(
    workspace,
    rows.map(({ id }) => id),
  )
  const watched = rows.map((row) => ({ jobId: row.jobId, ...keptOf(row, answers.get(row.id), now) }))
  return {
    offers: watched
      .filter(({ answer }) => !answer || now.getTime() - Date.parse(answer.at) < ANSWER_IS_NEWS)
      .map(({ jobId, offer, state, answer }) => ({
        jobId,
        job: offer.job,
        number: offer.number,
        validUntil: offer.validUntil,
        state,
        ...(answer ? { by: answer.name } : {}),
        ...(answer?.option === undefined ? {} : { option: answer.option }),
      })),
  }
}

async function offerOfJob(workspace: Workspace, jobId: string, id: string): Promise<offers.OfferHead> {
  const found = await offers.findOffer(workspace, jobId, id)
  if (!found) throw new NotFound('offer', id)
  return found
}

export async function readOfferPdf(workspace: Workspace, jobId: string, id: string): Promise<Buffer> {
  return offers.readPdf(workspace, (await offerOfJob(workspace, jobId, id)).id)
}

/** A way for the customer to this one offer: it is shown once, and only its hash is kept. */
export async function makeLink(workspace: Workspace, jobId: string, id: string, now = new Date()): Promise<OfferLink> {
  const found = await offerOfJob(workspace, jobId, id)
  const token = randomBytes(16).toString('base64url')
  const expiresAt = new Date(now.getTime() + LINK_STANDS)
  await offers.insertLink(workspace, { hash: hashOf(token), offerId: found.id, madeAt: now, expiresAt })
  return { offer: id, token, expiresAt: expiresAt.toISOString() }
}
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Takes back the customer's ways to an offer: whoever has one finds nothing there any more. */
export async function takeBackLinks(
  workspace: Workspace,
  jobId: string,
  id: string,
  now = new Date(),
): Promise<number> {
  return offers.revokeLinks(workspace, (await offerOfJob(workspace, jobId, id)).id, now)
}

/**
 * Accepts or declines an offer, once.
 *
 * @throws InputError for an offer that is over, an option that it has not, or another page than was seen
 * @throws Taken where it was answered otherwise before
 */
export async function answerOffer(
  workspace: Workspace,
  jobId: string,
  id: string,
  answer: OfferAnswer,
  now = new Date(),
): Promise<KeptOffer> {
  const head = await offerOfJob(workspace, jobId, id)
  const kept = (await readOffers(workspace, jobId, now)).find(({ offer }) => offer.id === id)!
  if (kept.answer) {
    const same = kept.answer.isAccepted === answer.isAccepted && kept.answer.option === answer.option
    if (!same) throw new Taken(`${kept.answer.name} has answered this offer before.`)
    return kept
  }
  requireAnswerable(kept, answer)
  const { isAccepted, option, name, checksum, way, at } = answer
  await offers.insertAnswer(
    workspace,
    head.id,
    {
      isAccepted,
      ...(option === undefined ? {} : { option }),
      name,
      seenChecksum: checksum,
      way,
      answeredAt: new Date(at),
    },
    now,
  )
  return (await readOffers(workspace, jobId, now)).find(({ offer }) => offer.id === id)!
}

function requireAnswerable({ offer, checksum, state }: KeptOffer, answer: OfferAnswer): void {
  if (answer.checksum !== checksum) throw new InputError('checksum', answer.checksum, 'that of the page as it was made')
  if (state === 'replaced') throw new InputError('offer', offer.number, 'the newest: another one has taken its place')
  // On a device it may have been said in time and sent late.
  if (answer.at.slice(0, 10) > offer.validUntil)
    throw new InputError('offer', offer.validUntil, 'still open: it held until then')
  if (answer.isAccepted && !offer.options.some(({ name }) => name === answer.option))
    throw new InputError('option', answer.option, `one of ${offer.options.map(({ name }) => name).join(', ')}`)
}
