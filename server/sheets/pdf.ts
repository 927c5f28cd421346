// The two packages bring no types of their own.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./pdfkit.d.ts" />
import PDFDocument from 'pdfkit'
import svgToPdf from 'svg-to-pdfkit'

/** Points of a page to a millimetre. */
const POINTS = 72 / 25.4

/** Signs that the fonts of every reader have not. */
const PLAIN: Record<string, string> = { '−': '-', '⁄': '/', '≥': 'at least ', '’': "'", '→': 'to' }

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
  const document = new PDFDocument({ size, margin: 0, autoFirstPage: false, info: { Title: title } })
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
      svg.replace(/[−⁄≥’→]/g, (sign) => PLAIN[sign]!),
      0,
      0,
      {
        width: size[0],
        height: size[1],
        fontCallback: (_family: string, bold: boolean) => (bold ? 'Helvetica-Bold' : 'Helvetica'),
      },
    )
  }
  document.end()
  return done
}
