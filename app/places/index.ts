import { cause } from './cause'
import { day } from './day'
import { hole } from './hole'
import { load } from './load'
import { look } from './look'
import type { Place } from './place'
import { pour } from './pour'
import { repair } from './repair'
import { setOut } from './set-out'
import { record } from './record'
import { walk } from './walk'

/** In working order. */
export const PLACES: readonly Place[] = [walk, look, cause, repair, hole, setOut, pour, day, load, record]

/** Where clocks on wet concrete lead to. */
export const WET_PLACE = PLACES.find(({ seesToWet }) => seesToWet)!.key

export const placeOf = (key: unknown): Place | undefined => PLACES.find((place) => place.key === key)
