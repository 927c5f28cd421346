import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { tablesIn } from '../../data/tables'
import { holeSheetOf } from '../../core/report/holeSheet'
import { measuresIn } from '../../core/units/quantity'
import { pdfOf } from '../../paper/pdf'
import { pdfFonts, pdfText } from '../support/pdfText'

const job = demoJobs().at(-1)!
const A5 = { width: 148, height: 210 }

describe('the page of one hole', () => {
  it('is a PDF of one page whose text can be searched', async () => {
    const svg = holeSheetOf(job, tablesIn.metric, 'B4', measuresIn('metric'))!
    const pdf = await pdfOf(svg, A5, 'B4')
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
    expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
    const text = pdfText(pdf)
    expect(text).toContain('New post, concrete')
    expect(text).toMatch(/0\.\d+ m deep/)
    expect(pdf.length).toBeLessThan(60_000)
    expect(pdfFonts(pdf).map(({ isEmbedded }) => isEmbedded)).toEqual([true, true])
  })
  it('is none where nothing is dug', () => {
    expect(holeSheetOf(job, tablesIn.metric, 'nobody', measuresIn('metric'))).toBeUndefined()
  })
})
