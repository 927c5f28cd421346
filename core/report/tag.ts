import { encode } from 'uqr'
import { element, textLine } from './svg'

/** A tag to fix on a post or to keep: 60 mm wide, in points of a quarter millimetre. */
export const TAG = { width: 240, height: 296 }
const CODE = 200
const EDGE = 20

/**
 * A printed code that leads to the record of a post, with its name in words. It grants nothing: whoever scans it opens
 * the record only if they may.
 *
 * @param address of the post's record
 * @returns one SVG document
 * @example tagDrawing('https://vindex.example/jobs/1/record?post=B7', { post: 'B7', job: 'Bank side' })
 */
export function tagDrawing(address: string, { post, job }: { post: string; job: string }): string {
  const { data, size } = encode(address, { border: 0, ecc: 'M' })
  const cell = CODE / size
  const path = data
    .flatMap((row, y) =>
      row.flatMap((dark, x) =>
        dark
          ? [`M${round(EDGE + x * cell)} ${round(EDGE + y * cell)}h${round(cell)}v${round(cell)}h${round(-cell)}z`]
          : [],
      ),
    )
    .join('')
  return element(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      viewBox: `0 0 ${TAG.width} ${TAG.height}`,
      width: '60mm',
      height: '74mm',
      'font-family': 'Barlow, Helvetica, sans-serif',
      fill: '#000000',
    },
    [
      element('title', {}, `Tag of post ${post}`),
      element('rect', { width: TAG.width, height: TAG.height, fill: '#ffffff' }),
      element('path', { d: path }),
      textLine({ x: TAG.width / 2, y: 254, size: 32, text: post, bold: true, anchor: 'middle' }),
      textLine({ x: TAG.width / 2, y: 280, size: 13, text: job.slice(0, 34), anchor: 'middle' }),
    ].join(''),
  )
}
const round = (points: number) => Math.round(points * 1e3) / 1e3
