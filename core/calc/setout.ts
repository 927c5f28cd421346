import { leanOf } from '../setout/lean'
import { calculation, group, optional, quantity } from './calculation'

const reading = { offset: quantity(-2, 2, 'm'), over: quantity(0.1, 4, 'm') }

export const lean = calculation({
  name: 'lean',
  says: "lean of a post from offsets over a level's length",
  inputs: { ...reading, height: quantity(0.1, 12, 'm'), second: optional(group(reading)) },
  outputs: { angle: 'rad', topOffset: 'm', direction: 'rad' },
  run: ({ offset, over, height, second }) => ({ ...leanOf({ offset, over }, height, second) }),
})
