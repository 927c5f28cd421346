import { object } from 'yup'
import { LONGEST } from '../limits'
import { choice, flag, name, neededTime, text } from '../schema/fields'
import { readBy } from '../schema/violations'
import type { OfferDraft } from './offer'

/** What was answered, by whom, and to which page. */
export interface OfferAnswer {
  isAccepted: boolean
  /** The option that is taken. */
  option?: string
  name: string
  /** SHA-256 of the page that was seen. */
  checksum: string
  way: 'link' | 'device'
  at: string
}

export const OFFER_STATES = ['sent', 'accepted', 'declined', 'replaced', 'over'] as const
export type OfferState = (typeof OFFER_STATES)[number]

/**
 * @param isReplaced whether there is a newer one
 * @param today as 2026-12-24
 * @example stateOf({ validUntil: '2026-12-01' }, undefined, { isReplaced: false, today: '2026-12-02' }) // 'over'
 */
export function stateOf(
  { validUntil }: Pick<OfferDraft, 'validUntil'>,
  answer: OfferAnswer | undefined,
  { isReplaced, today }: { isReplaced: boolean; today: string },
): OfferState {
  if (answer) return answer.isAccepted ? 'accepted' : 'declined'
  if (isReplaced) return 'replaced'
  return validUntil < today ? 'over' : 'sent'
}

const SHA = /^[0-9a-f]{64}$/
const schema = object({
  isAccepted: flag().required('true or false'),
  option: text(LONGEST.name),
  name: name(LONGEST.person),
  checksum: text(64).required('the SHA-256 of the page').matches(SHA, 'the SHA-256 of the page'),
  way: choice(['link', 'device']),
  at: neededTime(),
})
  .strict()
  .typeError('an object')

/** @throws InputError for the first thing that is wrong */
export function readAnswer(body: unknown): OfferAnswer {
  const read = readBy<Partial<Pick<OfferAnswer, 'way'>> & Omit<OfferAnswer, 'way'>>(schema, body, 'body', undefined, {
    firstOnly: true,
  })
  return { ...read, way: read.way ?? 'device' }
}
