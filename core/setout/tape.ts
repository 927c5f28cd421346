import { InputError } from '../errors'
import { LIMITS, LONGEST } from '../limits'
import { parseLength, type LengthSystem } from '../units/length'
import { tidy } from '../numeric/rounding'
import type { Metres } from '../units/types'

/** A post as it was called out along the tape. */
export interface TapeReading {
  station: Metres
  duty?: 'gate-hinge' | 'corner' | 'end'
  /** Of one leaf of a gate that opens between this post and the next, m. */
  leaf?: Metres
  leaves?: 1 | 2
}

/**
 * Running tape readings as they are called out: `0, 2.4, 4.83, 7.2 gate 1.1, 8.45`.
 *
 * Readings stand on lines of their own, or are parted by semicolons or commas; a comma inside a number is a
 * decimal comma where lines or semicolons part the readings. After a length may stand `gate 1.1`, `double gate
 * 1.5`, `corner` or `end`; `6 x 2.4` adds six bays of 2.4.
 *
 * @param system of bare numbers: metres, or inches
 * @throws InputError naming the reading, counted from 1
 * @example parseTape('0, 2.4, 7.2 gate 1.1', 'metric')[2] // { station: 7.2, duty: 'gate-hinge', leaf: 1.1, leaves: 1 }
 */
export function parseTape(text: string, system: LengthSystem): TapeReading[] {
  if (text.length > LONGEST.tape) throw new InputError('readings', text.length, `at most ${LONGEST.tape} letters`)
  const readings: TapeReading[] = []
  for (const entry of entriesOf(text)) {
    const key = `reading ${readings.length + 1}`
    if (entry.length > LONGEST.tapeReading) throw new InputError(key, entry, ENTRY_SAYS)
    const bays = BAYS.exec(entry)
    if (bays) addBays(readings, Number(bays[1]), parseLength(bays[2]!, system, key), key)
    else add(readings, readEntry(entry, system, key), key, entry)
    if (readings.length > LIMITS.posts) throw new InputError('readings', readings.length, `at most ${LIMITS.posts}`)
  }
  if (readings.length === 0) throw new InputError('readings', text, 'at least one, such as 0, 2.4, 4.83')
  return readings
}

const ENTRY_SAYS = 'a length, then perhaps gate, double gate, corner or end'
const BAYS = /^(\d+)\s*[x×*]\s*(.+)$/i
const ENTRY = /^(.*?)(?:\s+(double\s+gate|gate|corner|end)\b\s*(.*))?$/i
const PLAIN_NUMBERS = /^\d+(?:\.\d+)?(?:\s+\d+(?:\.\d+)?)+$/

function entriesOf(text: string): string[] {
  const trimmed = text.trim()
  const called = trimmed.endsWith(',') ? trimmed.slice(0, -1) : trimmed
  const parts = called.split(/[;\n]/.test(called) ? /[;\n]|,\s+/ : /,/)
  return parts
    .map((part) => part.trim())
    .filter(Boolean)
    .flatMap((part) => (PLAIN_NUMBERS.test(part) ? part.split(/\s+/) : [part]))
}

function readEntry(entry: string, system: LengthSystem, key: string): TapeReading {
  const [, length, word = '', rest = ''] = ENTRY.exec(entry)!
  const station = parseLength(length!, system, key)
  switch (word.toLowerCase().replace(/\s+/g, ' ')) {
    case 'gate':
      return { station, duty: 'gate-hinge', leaf: parseLength(rest, system, `${key}, gate`), leaves: 1 }
    case 'double gate':
      return { station, duty: 'gate-hinge', leaf: parseLength(rest, system, `${key}, gate`), leaves: 2 }
    default:
      if (rest) throw new InputError(key, entry, ENTRY_SAYS)
      return word ? { station, duty: word.toLowerCase() as 'corner' | 'end' } : { station }
  }
}

function add(readings: TapeReading[], reading: TapeReading, key: string, entry: string): void {
  const last = readings[readings.length - 1]
  if (reading.station < 0) throw new InputError(key, entry, 'at least 0')
  if (last && reading.station <= last.station)
    throw new InputError(key, entry, `beyond ${last.station} m: tape readings run on from one end`)
  readings.push(reading)
}

function addBays(readings: TapeReading[], count: number, bay: Metres, key: string): void {
  if (bay <= 0) throw new InputError(key, bay, 'a bay longer than nothing')
  if (readings.length === 0) readings.push({ station: 0 })
  if (count > LIMITS.posts) throw new InputError(key, count, `at most ${LIMITS.posts} bays`)
  for (let i = 0; i < count; i++) readings.push({ station: tidy(readings[readings.length - 1]!.station + bay) })
}
