import { array, object } from 'yup'
import { amountOf, type FrozenLine } from '../cost/frozen'
import { InputError } from '../errors'
import { LIMITS, LONGEST } from '../limits'
import { exact, sumExact } from '../money/exact'
import { taxOn, type Currency } from '../money/money'
import { isPlainDrawing } from '../report/plainDrawing'
import { choice, listOfAtMost, name, needed, neededTime, record, text } from '../schema/fields'
import { readBy } from '../schema/violations'
import { OFFER_FORMAT, type OfferDraft, type OfferOption } from './offer'

const FRACTION = 'a fraction such as 18/5'
const fraction = () =>
  text(80)
    .required(FRACTION)
    .matches(/^\d{1,30}(\/[1-9]\d{0,30})?$/, FRACTION)
const minor = () => needed(0, 1e14).integer('whole minor units')
const percent = () => needed(0, 100, '%')
const sentences = () => listOfAtMost(60, 'sentences', text(LONGEST.note)).required('a list of sentences')

const line = record({
  key: name(LONGEST.key),
  name: name(LONGEST.name),
  quantity: fraction(),
  unit: name(LONGEST.key),
  price: minor(),
  pack: needed(0.001, 1e6),
  factor: fraction(),
  tax: percent(),
  amount: minor(),
})
const option = record({
  name: name(LONGEST.name),
  posts: listOfAtMost(
    LIMITS.postsOfJob,
    'posts',
    record({ post: name(LONGEST.lineOrPost), method: name(LONGEST.name), stands: text(LONGEST.note) }),
  ).required('a list of posts'),
  lines: listOfAtMost(LIMITS.offerLines, 'lines', line).required('a list of lines'),
  net: minor(),
  taxes: listOfAtMost(10, 'rates', record({ percent: percent(), net: minor(), amount: minor() })).required(
    'a list of rates',
  ),
  gross: minor(),
  deposits: minor(),
  visits: needed(0, 100),
})
const DRAWING = 'a drawing of rectangles, lines and words alone'
const DAY = 'a day such as 2026-12-24'
const schema = object({
  format: choice([OFFER_FORMAT]).required(OFFER_FORMAT),
  version: needed(1, 1),
  id: name(LONGEST.identity).min(8, 'an identity of 8 letters at least'),
  jobVersion: needed(1, 1e9),
  job: name(LONGEST.name),
  site: text(LONGEST.name),
  madeAt: neededTime(),
  validUntil: text(10)
    .required(DAY)
    .matches(/^\d{4}-\d\d-\d\d$/, DAY),
  by: text(LONGEST.person),
  customer: text(LONGEST.name),
  currency: record({ code: name(3), name: name(40), places: needed(0, 4) }),
  options: array(option)
    .strict()
    .required('a list of options')
    .min(1, 'at least one option')
    .max(4, 'at most 4 options'),
  included: sentences(),
  excluded: sentences(),
  cautions: sentences(),
  drawing: text(LONGEST.drawing).test('plain', DRAWING, (drawing) => !drawing || isPlainDrawing(drawing)),
})
  .strict()
  .typeError('an object')

/**
 * An offer as it is sent to be kept: every amount is reckoned again from what it says it is made of.
 *
 * @throws InputError for the first thing that is wrong
 */
export function readOffer(body: unknown): OfferDraft {
  const offer = readBy<OfferDraft>(schema, body, 'body', undefined, { firstOnly: true })
  if (offer.validUntil < offer.madeAt.slice(0, 10))
    throw new InputError('validUntil', offer.validUntil, `${offer.madeAt.slice(0, 10)} or later`)
  offer.options.forEach((each, i) => requireSums(each, offer.currency, `options[${i}]`))
  return offer
}

function requireSums({ lines, net, taxes, gross }: OfferOption, currency: Currency, at: string): void {
  const same = (key: string, said: number, is: bigint) => {
    if (BigInt(said) !== is) throw new InputError(`${at}.${key}`, said, `${is}: what its lines come to`)
  }
  lines.forEach((each, i) => same(`lines[${i}].amount`, each.amount, amountOf(each)))
  const sum = (of: readonly FrozenLine[]) => of.reduce((total, { amount }) => total + BigInt(amount), 0n)
  same('net', net, sum(lines))
  const rates = new Set(lines.map(({ tax }) => tax))
  if (taxes.length !== rates.size || new Set(taxes.map((each) => each.percent)).size !== rates.size)
    throw new InputError(`${at}.taxes`, taxes.length, `one for each rate of its lines: ${[...rates].join(', ')}`)
  for (const [i, each] of taxes.entries()) {
    const under = sum(lines.filter(({ tax }) => tax === each.percent))
    same(`taxes[${i}].net`, each.net, under)
    same(`taxes[${i}].amount`, each.amount, taxOn(under, each.percent, currency))
  }
  same('gross', gross, sumExact([net, ...taxes.map(({ amount }) => amount)].map((each) => exact(each))).n)
}
