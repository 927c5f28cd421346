import type { FrozenLine } from '../cost/frozen'
import { toDecimal } from '../money/money'
import { ESTIMATE, Pages, PAPERS } from '../report/pages'
import { element, textLine, wrapped } from '../report/svg'
import type { Offer, OfferOption } from './offer'
import { exact } from '../money/exact'

/* An offer on A4: the options side by side first, then the bill of each. */

/**
 * Pages of an offer, each one SVG document.
 *
 * @param changes what is other than in the version before; nothing of a first one
 */
export function offerPages(offer: Offer, changes: readonly string[] = []): string[] {
  const sheet = new Pages(PAPERS.A4)
  head(sheet, offer)
  if (changes.length > 0) {
    sheet.text(`What has changed since offer ${offer.number - 1}`, 16, { bold: true })
    for (const each of changes) sheet.text(each)
    sheet.y += 8
  }
  if (offer.drawing) picture(sheet, offer.drawing)
  sideBySide(sheet, offer)
  list(sheet, 'Included', offer.included)
  list(sheet, 'Not included', offer.excluded)
  list(sheet, 'To be careful with', offer.cautions)
  for (const option of offer.options) bill(sheet, option, offer)
  return sheet.drawings({ left: ESTIMATE, right: (page, of) => `Offer ${offer.number}, page ${page} of ${of}` })
}

const money = (amount: number, { currency }: Pick<Offer, 'currency'>) =>
  `${currency.code} ${toDecimal(amount, currency)}`

function head(sheet: Pages, offer: Offer): void {
  sheet.add(textLine({ x: sheet.left, y: sheet.y + 14, size: 34, text: `Offer ${offer.number}`, bold: true }))
  const right = [offer.by ?? '', offer.madeAt.slice(0, 10)].filter(Boolean).join(', ')
  sheet.add(textLine({ x: sheet.right, y: sheet.y + 14, size: 15, text: right, anchor: 'end' }))
  sheet.y += 48
  sheet.text([offer.job, offer.site].filter(Boolean).join(', '), 18)
  if (offer.customer) sheet.text(`For ${offer.customer}`, 16)
  sheet.text(`It holds until ${offer.validUntil}. Prices in ${offer.currency.name}.`, 15)
  sheet.y += 14
}

const PICTURE = 190
function picture(sheet: Pages, drawing: string): void {
  const inside = /^<svg [^>]*viewBox="0 0 (\d+(?:\.\d+)?) (\d+(?:\.\d+)?)"[^>]*>([\s\S]*)<\/svg>\s*$/.exec(drawing)
  if (!inside) return
  const [width, height] = [Number(inside[1]), Number(inside[2])]
  const scale = Math.min(sheet.wide / width, PICTURE / height)
  sheet.room(height * scale + 20)
  sheet.add(
    element('g', { transform: `translate(${sheet.left} ${sheet.y - 12}) scale(${scale.toFixed(4)})` }, inside[3]),
  )
  sheet.y += height * scale + 16
}

/** Options in columns: what it comes to, how often somebody comes, and what is done where. */
function sideBySide(sheet: Pages, offer: Offer): void {
  const { options } = offer
  const width = sheet.wide / options.length
  const column = (i: number) => sheet.left + i * width
  sheet.room(170)
  const top = sheet.y
  options.forEach((option, i) => {
    const lines: [string, number, boolean][] = [
      [option.name, 20, true],
      [money(option.gross, offer), 26, true],
      [`with tax; ${money(option.net, offer)} before it`, 14, false],
      [`${option.visits} ${option.visits === 1 ? 'visit' : 'visits'}`, 15, false],
    ]
    let y = top
    for (const [words, size, bold] of lines)
      for (const line of wrapped(words, width - 16, size)) {
        sheet.add(textLine({ x: column(i), y, size, text: line, bold }))
        y += size * 1.35
      }
    sheet.y = Math.max(sheet.y, y)
  })
  sheet.y += 10
  sheet.rule()
  const posts = [...new Set(options.flatMap((option) => option.posts.map(({ post }) => post)))]
  for (const post of posts) {
    const cells = options.map((option) => {
      const found = option.posts.find((each) => each.post === post)
      return found
        ? [
            ...wrapped(`${post}: ${found.method.toLowerCase()}`, width - 16, 15).map((text) => ({
              text,
              size: 15,
              bold: true,
            })),
            ...wrapped(found.stands, width - 16, 13).map((text) => ({ text, size: 13, bold: false })),
          ]
        : [{ text: `${post}: as it stands`, size: 15, bold: false }]
    })
    const height = Math.max(...cells.map((cell) => cell.reduce((sum, { size }) => sum + size * 1.35, 0)))
    sheet.room(height + 8)
    cells.forEach((cell, i) => {
      let y = sheet.y
      for (const { text, size, bold } of cell) {
        sheet.add(textLine({ x: column(i), y, size, text, bold }))
        y += size * 1.35
      }
    })
    sheet.y += height + 8
  }
  sheet.y += 8
}

function list(sheet: Pages, title: string, sentences: readonly string[]): void {
  if (sentences.length === 0) return
  sheet.room(60)
  sheet.text(title, 16, { bold: true })
  for (const each of sentences) sheet.text(`– ${each}`)
  sheet.y += 8
}

function bill(sheet: Pages, option: OfferOption, offer: Offer): void {
  sheet.room(140)
  sheet.y += 10
  sheet.text(`${option.name}: what it is made of`, 18, { bold: true })
  sheet.rule()
  for (const each of option.lines) {
    const name = wrapped(each.name, sheet.wide - 290, 14)
    sheet.room(name.length * 20)
    name.forEach((text, i) => sheet.add(textLine({ x: sheet.left, y: sheet.y + i * 19, size: 14, text })))
    sheet.add(textLine({ x: sheet.right - 150, y: sheet.y, size: 14, text: quantityWords(each), anchor: 'end' }))
    sheet.add(textLine({ x: sheet.right, y: sheet.y, size: 14, text: money(each.amount, offer), anchor: 'end' }))
    sheet.y += name.length * 20
  }
  sheet.y += 10
  sheet.rule()
  const sum = (words: string, amount: number, bold = false) => {
    sheet.room(22)
    sheet.add(textLine({ x: sheet.left, y: sheet.y, size: 15, text: words, bold }))
    sheet.add(textLine({ x: sheet.right, y: sheet.y, size: 15, text: money(amount, offer), bold, anchor: 'end' }))
    sheet.y += 21
  }
  sum('Before tax', option.net)
  for (const { percent, net, amount } of option.taxes) sum(`${percent} % tax on ${money(net, offer)}`, amount)
  sum('All together', option.gross, true)
  if (option.deposits > 0) sum('Deposits, handed back, in no sum', option.deposits)
}

const UNITS: Readonly<Record<string, string>> = {
  each: '',
  'half-day': 'half days',
  day: 'days',
  bag: 'bags',
  visit: 'visits',
}
function quantityWords({ quantity, unit }: FrozenLine): string {
  const value = exact(quantity).valueOf()
  const figure = Number.isInteger(value) ? String(value) : value.toFixed(value < 10 ? 2 : 1)
  const counted = UNITS[unit] ?? unit
  return `${figure} ${figure === '1' ? counted.replace(/s$/, '') : counted}`.trim()
}
