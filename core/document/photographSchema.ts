import { array } from 'yup'
import { LONGEST } from '../limits'
import { choice, name, needed, part, quantity, record, text, time } from '../schema/fields'
import { STAGES } from './vocabulary'

/* What is kept of a photograph beside its picture. */

const pixels = () => array(needed(0, 20_000)).strict().required('x, y').length(2, 'x, y')
const drawnLine = () => array(pixels()).strict().required('two points').length(2, 'two points')

export const photographSchema = record({
  id: name(LONGEST.identity),
  height: quantity(-3, 12, 'm'),
  pixelWidth: needed(1, 20_000),
  pixelHeight: needed(1, 20_000),
  at: time(),
  by: text(LONGEST.person),
  note: text(LONGEST.note),
  /** Laid along the post and along something plumb, pixels, each from its lower to its upper end. */
  lines: part({ post: drawnLine(), plumb: drawnLine() }),
  /** Of the work: before it, with the hole open, after it. */
  stage: choice(STAGES),
  place: part({ latitude: needed(-90, 90, 'degrees'), longitude: needed(-180, 180, 'degrees') }),
})
