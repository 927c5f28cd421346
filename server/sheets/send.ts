import { getQuery, setResponseHeaders, type H3Event } from 'h3'
import { requireChoice } from '../../core/errors'
import { PAPER_NAMES, type PaperName } from '../../core/report/pages'
import { LENGTH_SYSTEMS, type LengthSystem } from '../../core/units/length'

/**
 * How a page is wanted: `?paper=A4&units=metric`.
 *
 * @throws InputError for a paper or units that there are not
 */
export function pageWanted(event: H3Event): { paper: PaperName; system: LengthSystem } {
  const { paper = 'A4', units = 'metric' } = getQuery(event)
  return { system: requireChoice('units', units, LENGTH_SYSTEMS), paper: requireChoice('paper', paper, PAPER_NAMES) }
}

/** Bytes of a PDF as an answer. */
export function sendPdf(event: H3Event, bytes: Buffer): Buffer {
  setResponseHeaders(event, { 'content-type': 'application/pdf' })
  return bytes
}
