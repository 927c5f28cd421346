import { describe, expect, it } from 'vitest'
import { inflateSync } from 'node:zlib'
import { demoJobs } from '../../data/demo/jobs'
import { tablesIn } from '../../data/tables'
import { holeSheetOf } from '../../core/report/holeSheet'
import { measuresIn } from '../../core/units/quantity'
import { pdfOf } from '../../server/sheets/pdf'

const job = demoJobs().at(-1)!
const A5 = { width: 148, height: 210 }

/** The letters of a page: what its streams write, in the fonts' own codes. */
function textOf(pdf: Buffer): string {
  const body = pdf.toString('latin1')
  const streams = [...body.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)].map(([, each]) => {
    try {
      return inflateSync(Buffer.from(each!, 'latin1')).toString('latin1')
    } catch {
      return ''
    }
  })
  return [...streams.join('\n').matchAll(/<([0-9a-f]+)>/gi)]
    .map(([, hex]) => Buffer.from(hex!, 'hex').toString('latin1'))
    .join('')
}

describe('the page of one hole', () => {
  it('is a PDF of one page whose text can be searched', async () => {
    const svg = holeSheetOf(job, tablesIn.metric, 'B4', measuresIn('metric'))!
    const pdf = await pdfOf(svg, A5, 'B4')
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
    expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
    const text = textOf(pdf)
    expect(text).toContain('New post, concrete')
    expect(text).toMatch(/0\.\d+ m deep/)
    expect(pdf.length).toBeLessThan(60_000)
  })
  it('is none where nothing is dug', () => {
    expect(holeSheetOf(job, tablesIn.metric, 'nobody', measuresIn('metric'))).toBeUndefined()
  })
})
