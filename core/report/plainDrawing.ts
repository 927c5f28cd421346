/*
 * A drawing that a device sends is drawn by the server: only what `linesDrawing` writes may stand in it. An image, a
 * reference or a style would have the server read what it names.
 */

const NUMBER = String.raw`-?\d{1,6}(?:\.\d{1,3})?`
/** Attributes of each element, each with the form of its value. */
const COLOUR = '#[0-9a-f]{6}'
const VALUES: Readonly<Record<string, string>> = {
  x: NUMBER,
  y: NUMBER,
  x1: NUMBER,
  y1: NUMBER,
  x2: NUMBER,
  y2: NUMBER,
  width: NUMBER,
  height: NUMBER,
  fill: COLOUR,
  stroke: COLOUR,
  'stroke-width': NUMBER,
  'font-size': NUMBER,
  'font-weight': String.raw`\d{3}`,
  'text-anchor': 'start|middle|end',
}
const attributes = (names: readonly string[]) =>
  `(?: (?:${names.map((name) => `${name}="(?:${VALUES[name]})"`).join('|')})){0,12}`
const SHAPE = ['x', 'y', 'x1', 'y1', 'x2', 'y2', 'width', 'height', 'fill', 'stroke', 'stroke-width']
const WORDS = ['x', 'y', 'font-size', 'font-weight', 'text-anchor', 'fill']
const PIECE = [
  `<(?:rect|line)${attributes(SHAPE)}/>`,
  `<text${attributes(WORDS)}>(?:[^<>&]|&(?:amp|lt|gt|quot);){0,200}</text>`,
].join('|')
const OPENING = String.raw`<svg xmlns="http://www\.w3\.org/2000/svg" viewBox="0 0 \d{1,6} \d{1,6}"(?: fill="${COLOUR}")?>`
const WHOLE = new RegExp(`^${OPENING}(?:${PIECE})*</svg>\\s*$`)

/**
 * Whether a drawing has rectangles, lines and words alone, none of them inside another.
 *
 * @param drawing of bounded length
 * @example isPlainDrawing('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><image href="/x.png"/></svg>') // false
 */
export const isPlainDrawing = (drawing: string): boolean => WHOLE.test(drawing)
