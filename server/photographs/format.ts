/** Formats that a photograph may come in. */
export type PictureFormat = 'jpeg' | 'png' | 'webp' | 'avif'

/**
 * What a file is by its own first bytes, whatever its sender calls it.
 *
 * @returns undefined for anything else, drawings (SVG) among it: they can carry scripts and unfold without end
 */
export function formatOf(bytes: Buffer): PictureFormat | undefined {
  const at = (start: number, end: number) => bytes.subarray(start, end).toString('latin1')
  if (at(0, 3) === '\xff\xd8\xff') return 'jpeg'
  if (at(0, 8) === '\x89PNG\r\n\x1a\n') return 'png'
  if (at(0, 4) === 'RIFF' && at(8, 12) === 'WEBP') return 'webp'
  if (at(4, 8) === 'ftyp' && ['avif', 'avis'].includes(at(8, 12))) return 'avif'
  return undefined
}

/**
 * Most pixels that are unfolded of each. A camera's JPEG is made small while it is read; the others stand in memory
 * whole, and a few kilobytes of them can claim gigabytes.
 */
export const MOST_PIXELS: Record<PictureFormat, number> = { jpeg: 120e6, png: 50e6, webp: 50e6, avif: 30e6 }
