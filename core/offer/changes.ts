import { toDecimal } from '../money/money'
import type { OfferDraft, OfferOption } from './offer'

/**
 * What is other in a new version of an offer, in sentences; nothing where nothing is.
 *
 * @example ['For good: EUR 1234.50, before it was EUR 1180.00.', 'For good, B4: a new post, before it was a spur.']
 */
export function offerChanges(before: OfferDraft, now: OfferDraft): string[] {
  const was = new Map(before.options.map((each) => [each.name, each]))
  const is = new Set(now.options.map(({ name }) => name))
  return [
    ...now.options.flatMap((each) => {
      const old = was.get(each.name)
      return old ? optionChanges(old, each, now) : [`${each.name}: new.`]
    }),
    ...before.options.filter(({ name }) => !is.has(name)).map(({ name }) => `${name}: not offered any more.`),
    ...(before.validUntil === now.validUntil ? [] : [`It holds until ${now.validUntil}.`]),
  ]
}

function optionChanges(old: OfferOption, now: OfferOption, { currency }: OfferDraft): string[] {
  const words = (amount: number) => `${currency.code} ${toDecimal(amount, currency)}`
  const posts = new Map(old.posts.map((each) => [each.post, each.method]))
  return [
    ...(old.gross === now.gross ? [] : [`${now.name}: ${words(now.gross)}, before it was ${words(old.gross)}.`]),
    ...now.posts.flatMap(({ post, method }) => {
      const before = posts.get(post)
      if (before === method) return []
      return [
        `${now.name}, ${post}: ${method.toLowerCase()}${before ? `, before it was ${before.toLowerCase()}` : ''}.`,
      ]
    }),
    ...old.posts
      .filter(({ post }) => !now.posts.some((each) => each.post === post))
      .map(({ post }) => `${now.name}: ${post} is not in it any more.`),
  ]
}
