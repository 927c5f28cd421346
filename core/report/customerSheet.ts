import type { CustomerPage } from '../record/customerQuestion'
import type { Measures } from '../units/quantity'
import { ESTIMATE, Pages, PAPERS, type PaperName } from './pages'
import { sectionDrawing } from './sectionDrawing'
import { textLine, wrapped } from './svg'
import { yearsDrawing } from './yearsDrawing'

/** Beside what failed and what was done. */
const DRAWN = { width: 300, height: 360 }
const BODY = 17
const HEAD = 20
/** What explains a drawing. */
const SMALL = 14

/**
 * The customer's page as sheets of paper: one for an ordinary post.
 *
 * @returns one SVG document for each sheet
 */
export function customerSheets(page: CustomerPage, paper: PaperName, says: Measures): string[] {
  const sheet = new Pages(PAPERS[paper])
  sheet.add(textLine({ x: sheet.left, y: sheet.y + 10, size: 30, text: page.title, bold: true }))
  sheet.y += 38
  sheet.text(page.place, 16)
  sheet.y += 8
  const drawing = page.stands.length > 0 && page.depth !== undefined ? page.depth : undefined
  const beside = sheet.y + DRAWN.height
  if (drawing !== undefined) {
    const frame = {
      left: sheet.right - DRAWN.width,
      right: sheet.right,
      top: sheet.y,
      height: DRAWN.height - 30,
      depth: drawing,
      above: 0.45,
      size: 14,
    }
    sheet.add(sectionDrawing(page.stands, frame, says))
  }
  for (const { title, says: paragraphs } of page.parts) {
    // Beside the drawing the lines are short; a part does not begin beside it and end under it.
    const isBeside = drawing !== undefined && sheet.y < beside - HEAD
    const width = isBeside ? sheet.wide - DRAWN.width - 24 : sheet.wide
    sheet.room(HEAD * 1.4 + BODY * 1.4)
    sheet.text(title, HEAD, { bold: true, width })
    for (const each of paragraphs) sheet.text(each, BODY, { width, gap: 1.3 })
    sheet.y += 8
  }
  if (drawing !== undefined && sheet.y < beside) sheet.y = beside
  others(sheet, page)
  years(sheet, page)
  return sheet.drawings({ left: ESTIMATE, right: (number, of) => (of > 1 ? `${number} of ${of}` : '') })
}

/** Of the curve of its years. */
const YEARS_HEIGHT = 82

/** Drawn where the page has room for it; in words alone where it has not: nobody turns a sheet for a curve. */
function years(sheet: Pages, { years: known }: CustomerPage): void {
  if (!known) return
  const words = known.says.join(' ')
  const isDrawn = sheet.has(YEARS_HEIGHT + HEAD * 1.4 + SMALL * 6)
  if (isDrawn) {
    sheet.text('How long it stands: of ten such posts, still plumb', HEAD, { bold: true })
    const { curve, from, fenceYears } = known
    const frame = {
      left: sheet.left,
      right: sheet.right,
      top: sheet.y,
      height: YEARS_HEIGHT,
      size: 13,
      from,
      fenceYears,
    }
    sheet.add(yearsDrawing(curve, frame))
    sheet.y += YEARS_HEIGHT + SMALL
  }
  sheet.text(words, SMALL, { gap: 1.2 })
}

function others(sheet: Pages, { others: ways }: CustomerPage): void {
  if (ways.length === 0) return
  sheet.room(90)
  sheet.text('What else was possible, with tax', HEAD, { bold: true })
  for (const { name, price, stands } of ways) {
    const lines = wrapped(`${name}: ${stands}.`, sheet.wide - 130, BODY)
    sheet.room(lines.length * BODY * 1.3)
    sheet.add(textLine({ x: sheet.right, y: sheet.y, size: BODY, text: price, bold: true, anchor: 'end' }))
    for (const text of lines) {
      sheet.add(textLine({ x: sheet.left, y: sheet.y, size: BODY, text }))
      sheet.y += BODY * 1.3
    }
  }
}
