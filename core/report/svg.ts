/* Plain SVG as text: the same drawing for the screen, for a file and for the printed page. */

const ENTITIES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
export const escaped = (text: string): string => text.replace(/[&<>"]/g, (letter) => ENTITIES[letter]!)

type Attributes = Readonly<Record<string, string | number | undefined>>

/** One element; numbers to a tenth, which no eye tells apart. */
export function element(name: string, attributes: Attributes, inside = ''): string {
  const given = Object.entries(attributes).filter(([, value]) => value !== undefined)
  const written = given.map(
    ([key, value]) => ` ${key}="${typeof value === 'number' ? Math.round(value * 10) / 10 : escaped(value!)}"`,
  )
  return inside === '' ? `<${name}${written.join('')}/>` : `<${name}${written.join('')}>${inside}</${name}>`
}

export interface TextLine {
  x: number
  y: number
  size: number
  text: string
  bold?: boolean
  anchor?: 'start' | 'middle' | 'end'
}

export const textLine = ({ x, y, size, text, bold, anchor = 'start' }: TextLine): string =>
  element(
    'text',
    { x, y, 'font-size': size, 'font-weight': bold ? 600 : undefined, 'text-anchor': anchor },
    escaped(text),
  )

/** Mean width of a letter over its height: narrow enough that no line runs over. */
const LETTER = 0.5

/**
 * Text broken into lines that fit a width.
 *
 * @example wrapped('one two three', 40, 12) // ['one two', 'three']
 */
export function wrapped(text: string, width: number, size: number): string[] {
  const most = Math.max(8, Math.floor(width / (size * LETTER)))
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/)) {
    if (line && line.length + 1 + word.length > most) {
      lines.push(line)
      line = word
    } else line = line ? `${line} ${word}` : word
  }
  return line ? [...lines, line] : lines
}
