import { SEASONS } from '../ground/soil'
import { LONGEST } from '../limits'
import {
  choice,
  listOfAtMost,
  needed,
  neededChoice,
  neededKey,
  part,
  quantity,
  record,
  tableKey,
  text,
} from '../schema/fields'
import type { Tables } from '../tables/tables'
import { EXPOSURES } from '../wind/fence'
import { TARGETS } from '../wind/target'

/* Where the job is: its wind, its frost, its rules. */

export const siteSchema = record({
  name: text(LONGEST.name),
  exposure: choice(EXPOSURES),
  shelter: quantity(0.1, 1),
  gust50: quantity(10, 100, 'm/s'),
  frostDepth: quantity(0, 3, 'm'),
  minimumDepth: quantity(0, 3, 'm'),
  targetReturnYears: quantity(2, 1000, 'years'),
  /** How that is asked: by years, by the life that the fence has left, by what its sound posts stand. */
  target: part({ by: neededChoice(TARGETS), chance: quantity(0.01, 0.9) }),
  /** Bags on the van, as counted for this job, by mix; `mix` and `bags` as older files have them, for one mix. */
  van: part({
    mix: tableKey('mix', ({ mixes }: Tables) => mixes),
    bags: quantity(0, 500),
    counted: listOfAtMost(
      20,
      'mixes',
      record({ mix: neededKey('mix', ({ mixes }: Tables) => mixes), bags: needed(0, 500) }),
    ),
  }),
  /** Of the gust from which a repair must spring back to plumb. */
  leanReturnYears: quantity(1.1, 1000, 'years'),
  season: choice(SEASONS),
  /** A set of local rules: its figures hold where none is given here. */
  rules: tableKey('set of local rules', ({ localRules }: Tables) => localRules),
  /** The station of its forecast, and the zone that its hours are shown in. */
  place: tableKey('station', ({ stations }: Tables) => stations),
  timeZone: text(LONGEST.key).test(
    'zone',
    'the name of a time zone, as Europe/Lisbon',
    (zone) => zone === undefined || isTimeZone(zone),
  ),
})

/** Whether times can be shown in it. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}
