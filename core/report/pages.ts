import { element, textLine, wrapped } from './svg'

/* Pages that are written from the top down, one after the other. */

const INK = '#22302f'
const MARGIN = 56
/** Left free for the line at the foot. */
const FOOT = 60

/** Sheets by their name: in points of a quarter millimetre, and in millimetres. */
export const PAPERS = {
  A4: { width: 840, height: 1_188, millimetres: { width: 210, height: 297 } },
  letter: { width: 864, height: 1_118, millimetres: { width: 215.9, height: 279.4 } },
} as const
export type PaperName = keyof typeof PAPERS
export const PAPER_NAMES = Object.keys(PAPERS) as PaperName[]

/** Lines put down one under the other; a page that is full is followed by the next. */
export class Pages {
  readonly pages: string[][] = [[]]
  readonly left = MARGIN
  readonly wide: number
  y = MARGIN + 20
  private readonly foot: number

  constructor(readonly paper: (typeof PAPERS)[PaperName]) {
    this.wide = paper.width - 2 * MARGIN
    this.foot = paper.height - FOOT
  }

  get right(): number {
    return this.left + this.wide
  }
  /** So much still goes on this page. */
  has(height: number): boolean {
    return this.y + height <= this.foot
  }
  room(height: number): void {
    if (this.has(height)) return
    this.pages.push([])
    this.y = MARGIN + 20
  }
  add(...parts: string[]): void {
    this.pages.at(-1)!.push(...parts)
  }
  text(words: string, size = 15, { bold = false, x = this.left, width = this.wide, gap = 1.4 } = {}): void {
    for (const line of wrapped(words, width, size)) {
      this.room(size * gap)
      this.add(textLine({ x, y: this.y, size, text: line, bold }))
      this.y += size * gap
    }
  }
  rule(): void {
    const y = this.y - 10
    this.add(element('line', { x1: this.left, x2: this.right, y1: y, y2: y, stroke: INK, 'stroke-width': 1 }))
    this.y += 12
  }
  /**
   * Each page as one SVG document, with a line at its foot.
   *
   * @param foot what stands at its left, and at its right by the number of the page and how many there are
   */
  drawings(foot: { left: string; right: (page: number, of: number) => string }): string[] {
    const { width, height, millimetres } = this.paper
    const line = height - 28
    return this.pages.map((parts, i) =>
      element(
        'svg',
        {
          xmlns: 'http://www.w3.org/2000/svg',
          viewBox: `0 0 ${width} ${height}`,
          width: `${millimetres.width}mm`,
          height: `${millimetres.height}mm`,
          'font-family': 'Barlow, Helvetica, sans-serif',
          fill: INK,
        },
        [
          element('rect', { width, height, fill: '#ffffff' }),
          ...parts,
          textLine({ x: this.left, y: line, size: 13, text: foot.left }),
          textLine({ x: this.right, y: line, size: 13, text: foot.right(i + 1, this.pages.length), anchor: 'end' }),
        ].join(''),
      ),
    )
  }
}

export const ESTIMATE = 'Figures are planning estimates; local codes and licensed practice decide.'
