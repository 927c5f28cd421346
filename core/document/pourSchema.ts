import { LIMITS, LONGEST } from '../limits'
import {
  listOfAtMost,
  name,
  needed,
  neededChoice,
  neededTime,
  part,
  quantity,
  record,
  tableKey,
  text,
  time,
} from '../schema/fields'
import type { Tables } from '../tables/tables'
import { CHECKED_HOW, FACES, MOVED_WHY, OVERNIGHT } from './vocabulary'

/* A pour as it is kept: what was done, when, and what its clock was reckoned with. */

/** A post read on one face: how far it is out over a length; by eye there is no figure. */
export const pourCheckSchema = record({
  at: neededTime(),
  how: neededChoice(CHECKED_HOW),
  face: neededChoice(FACES),
  offset: quantity(-0.5, 0.5, 'm'),
  over: quantity(0.1, 4, 'm'),
  by: text(LONGEST.person),
})

/** What went in at one time: of a mix in bags its bags, of others a count of batches. */
export const liftSchema = record({ at: neededTime(), bags: needed(0, 500), water: needed(0, 5, 'm³') })

const celsius = () => needed(-40, 60, '°C')

export const pourSchema = record({
  id: name(LONGEST.identity),
  line: name(LONGEST.lineOrPost),
  post: name(LONGEST.lineOrPost),
  /** Of a mix, or of a resin. */
  mix: tableKey('mix or resin', ({ mixes, resins }: Tables) => [...mixes, ...resins]).required(
    'the key of a mix or resin',
  ),
  filling: tableKey('way of filling', ({ fillings }: Tables) => fillings),
  lifts: listOfAtMost(LIMITS.lifts, 'lifts', liftSchema),
  /** Water first met mix. */
  startedAt: neededTime(),
  /** Of the mix, by hand: it counts for the working time alone. */
  temperature: quantity(-10, 50, '°C'),
  /** The air hour by hour as it was forecast then, from a day before. */
  reckoned: part({
    issuedAt: time(),
    from: neededTime(),
    temperatures: listOfAtMost(LIMITS.forecastHours, 'hours', celsius()).required('a list of temperatures'),
  }),
  by: text(LONGEST.person),
  checks: listOfAtMost(LIMITS.checks, 'checks', pourCheckSchema),
  /** Let go of while it could still be put right. */
  release: part({
    at: neededTime(),
    offset: needed(-0.5, 0.5, 'm'),
    over: needed(0.1, 4, 'm'),
    why: neededChoice(MOVED_WHY),
  }),
  handsOffAt: time(),
  /** Seen, not reckoned. */
  stiffAt: time(),
  overnight: listOfAtMost(OVERNIGHT.length, 'things', neededChoice(OVERNIGHT)),
  /** Cover or shade from its first hour: frost and sun count otherwise. */
  sheltered: listOfAtMost(2, 'things', neededChoice(['covered', 'shaded'])),
  /** Who saw that no dry powder stood on top. */
  noPowder: part({ at: neededTime(), by: text(LONGEST.person) }),
  /** What of the label's instruction was departed from on purpose. */
  departs: text(LONGEST.note),
  formStripped: time(),
  note: text(LONGEST.note),
})
