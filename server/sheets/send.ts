import { setResponseHeaders, type H3Event } from 'h3'

/** Bytes of a PDF as an answer. */
export function sendPdf(event: H3Event, bytes: Buffer): Buffer {
  setResponseHeaders(event, { 'content-type': 'application/pdf' })
  return bytes
}
