// The two packages bring no types of their own.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./pdfkit.d.ts" />
import PDFDocument from 'pdfkit'
import svgToPdf from 'svg-to-pdfkit'
import { fontBytes, type Weight } from './fonts'

const [PLAIN_WEIGHT, BOLD]: readonly [Weight, Weight] = ['Barlow-Regular', 'Barlow-SemiBold']

/** Points of a page to a millimetre. */
const POINTS = 72 / 25.4

/** Signs that the font has not. */
const PLAIN: Record<string, string> = { '≥': 'at least ', '≤': 'at most ', '→': 'to', '›': '>' }

export interface Page {
  /** mm. */
  width: number
  height: number
}

/**
 * A drawing as a page of its own.
 *
 * @param svg one SVG document
 * @returns a PDF whose text can be searched
 */
export const pdfOf = (svg: string, page: Page, title: string): Promise<Buffer> => pdfOfPages([svg], page, title)

/** Drawings as pages, one after the other. */
export function pdfOfPages(drawings: readonly string[], { width, height }: Page, title: string): Promise<Buffer> {
  const size: [number, number] = [width * POINTS, height * POINTS]
  const document = new PDFDocument({ size, margin: 0, font: null, autoFirstPage: false, info: { Title: title } })
  for (const weight of [PLAIN_WEIGHT, BOLD]) document.registerFont(weight, fontBytes(weight))
  const chunks: Buffer[] = []
  document.on('data', (chunk: Buffer) => chunks.push(chunk))
  const done = new Promise<Buffer>((resolve, reject) => {
    document.on('end', () => resolve(Buffer.concat(chunks)))
    document.on('error', reject)
  })
  for (const svg of drawings) {
    document.addPage()
    svgToPdf(
      document,
      svg.replace(/[≥≤→›]/g, (sign) => PLAIN[sign]!),
      0,
      0,
      {
        width: size[0],
        height: size[1],
        fontCallback: (_family: string, bold: boolean) => (bold ? BOLD : PLAIN_WEIGHT),
      },
    )
  }
  document.end()
  return done
}
