import {
  add,
  dinero,
  halfAwayFromZero,
  multiply,
  toDecimal as decimalOf,
  toSnapshot,
  transformScale,
} from 'dinero.js/bigint'
import { InputError } from '../errors'
import type { Exact } from './exact'

/** A currency by its code, with the decimal places of its smaller unit. */
export interface Currency {
  code: string
  name: string
  /** 2 where a hundred make one; 0 where there is no smaller unit. */
  places: number
}

/** Whole minor units. */
export type Minor = bigint

const money = (amount: Minor, { code, places }: Currency) =>
  dinero({ amount, currency: { code, base: 10n, exponent: BigInt(places) } })

/**
 * What a line is rounded to, once: half away from zero.
 *
 * @example roundedOnce(exact('12.5')) // 13n; of −12.5 it is −13n
 */
export function roundedOnce({ n, d, s }: Exact): Minor {
  const whole = (2n * n + d) / (2n * d)
  return s < 0n ? -whole : whole
}

/** @example totalOf([120n, 380n], euro) // 500n */
export const totalOf = (amounts: readonly Minor[], currency: Currency): Minor =>
  toSnapshot(amounts.reduce((sum, each) => add(sum, money(each, currency)), money(0n, currency))).amount

/**
 * Tax on the sum of what stands under one rate, rounded once.
 *
 * @param percent as a decimal, such as 8.1
 * @example taxOn(10_050n, 8.1, euro) // 814n: 814.05
 */
export function taxOn(net: Minor, percent: number, currency: Currency): Minor {
  const [whole = '0', part = ''] = String(percent).split('.')
  const ratio = { amount: BigInt(`${whole}${part}`), scale: BigInt(part.length + 2) }
  const exactly = multiply(money(net, currency), ratio)
  return toSnapshot(transformScale(exactly, BigInt(currency.places), halfAwayFromZero)).amount
}

/** An amount by its decimal point, exactly. @example toDecimal(640n, euro) // '6.40' */
export const toDecimal = (amount: Minor | number, currency: Currency): string =>
  decimalOf(money(BigInt(amount), currency))

/** An amount as people write it. @example moneyWords(123450n, euro, 'en-GB') // '€1,234.50' */
export function moneyWords(amount: Minor | number, currency: Currency, locale?: string): string {
  const decimal = toDecimal(amount, currency) as Intl.StringNumericLiteral
  return new Intl.NumberFormat(locale, { style: 'currency', currency: currency.code }).format(decimal)
}

/**
 * An amount as somebody typed it, in minor units.
 *
 * @throws InputError for what is no amount, or has more places than the currency
 * @example minorOf('12.5', euro) // 1250n
 */
export function minorOf(text: string, { places, code }: Currency): Minor {
  const found = /^\s*(-?)(\d{1,12})(?:[.,](\d+))?\s*$/.exec(text)
  const part = found?.[3] ?? ''
  if (!found || part.length > places)
    throw new InputError('price', text, `an amount in ${code} with at most ${places} decimal places`)
  const amount = BigInt(`${found[2]}${part.padEnd(places, '0')}`)
  return found[1] === '-' ? -amount : amount
}
