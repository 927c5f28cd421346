/** Places of the work, in working order; the digit is the key that opens each. */
export const PLACES = [
  { place: 'walk', name: 'Walk', digit: '1', says: 'build the line and mark what lies along it' },
  { place: 'look', name: 'Look', digit: '2', says: 'record what you see at the post' },
  { place: 'cause', name: 'Cause', digit: '3', says: 'what failed, and why' },
  { place: 'repair', name: 'Repair', digit: '4', says: 'choose on the gust scale' },
  { place: 'hole', name: 'Hole', digit: '5', says: 'depth, width, bags and water' },
  { place: 'sheet', name: 'Sheet', digit: '0', says: 'the page to print and hand over' },
] as const
export type Place = (typeof PLACES)[number]['place']
