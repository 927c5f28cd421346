import { calculate } from '../../core/calc/registry'
import { readJob } from '../../core/document/check'
import type { Job } from '../../core/document/job'
import { newJob } from '../../core/document/newJob'
import { readBatch, type VersionedBatch } from '../../core/edit/batch'
import { checkEdit } from '../../core/edit/check'
import type { Command } from '../../core/edit/commands'
import { InputError } from '../../core/errors'
import { lessonsOf, type Lesson } from '../../core/record/lessons'
import { plan } from '../../core/plan/plan'
import { resolveJob } from '../../core/resolve/resolve'
import { exposedPosts, type ExposedPost } from '../../core/storm/watch'
import { offerPages } from '../../core/offer/offerSheet'
import type { Offer } from '../../core/offer/offer'
import { holeSheetOf } from '../../core/report/holeSheet'
import { PAPERS } from '../../core/report/pages'
import { measuresIn } from '../../core/units/quantity'
import type { LengthSystem } from '../../core/units/length'
import { requireBounded } from '../../core/schema/bounded'
import { tablesWith, type OwnRows } from '../../core/yard/rows'
import { inUnits } from '../../data/customs'
import { tables } from '../../data/tables'
import { pdfOf, pdfOfPages } from '../../paper/pdf'
import { customerSheetsOf, type SheetOptions } from '../sheets/customer'
import { whole, type WholeJob } from '../jobs/whole'

/*
 * What may take long, by name: each takes and gives plain data, so that it can run in a thread of its own. The text
 * of a request goes there as it came; the thread that answers everybody never reads a large one. `own` is what the
 * workspace has in the place of shipped rows.
 */

const A5 = { width: 148, height: 210 }

function parsed(text: string): unknown {
  const value: unknown = JSON.parse(text)
  requireBounded(value, 'body')
  return value
}

export const works = {
  readJob(text: string, own: OwnRows): WholeJob {
    // Offers in a file are a copy: the ones that were made stay where they were.
    const { offers: _copy, ...job } = readJob(JSON.parse(text), tablesWith(tables, own)) as Job & { offers?: unknown }
    return whole(job)
  },
  newJob: (text: string, own: OwnRows): WholeJob => whole(readJob(newJob(parsed(text)), tablesWith(tables, own))),
  readBatch: (text: string): VersionedBatch => readBatch(parsed(text)),
  /** What is wrong with an edit, as its own error. */
  checkEdit(job: Job, commands: readonly Command[], own: OwnRows): void {
    const error = checkEdit(job, commands, tablesWith(tables, own))
    if (error) throw error
  },
  /** What wind may bring down of a job. */
  exposedPosts(job: Job, own: OwnRows): ExposedPost[] {
    const here = tablesWith(tables, own)
    return exposedPosts(job, resolveJob(job, here), plan(job, here), here)
  },
  /** The customer's page of a post: thousands of years of wind are in it. */
  async customerPaper(job: Job, post: string, how: SheetOptions): Promise<Uint8Array | undefined> {
    const pages = customerSheetsOf(job, post, how)
    return pages && pdfOfPages(pages, PAPERS[how.paper].millimetres, `${job.name}: ${post}`)
  },
  /** The sheet of one hole. */
  async holePaper(job: Job, post: string, own: OwnRows, system: LengthSystem): Promise<Uint8Array | undefined> {
    const svg = holeSheetOf(job, inUnits(tablesWith(tables, own), system), post, measuresIn(system))
    return svg === undefined ? undefined : pdfOf(svg, A5, `${job.name}: the hole of ${post}`)
  },
  async offerPaper(offer: Offer, changes: readonly string[]): Promise<Uint8Array> {
    return pdfOfPages(offerPages(offer, changes), PAPERS.A4.millimetres, `${offer.job}: offer ${offer.number}`)
  },
  lessonsOf: (job: Job, own: OwnRows): Lesson[] => lessonsOf(job, tablesWith(tables, own)),
  calculate: (name: string, text: string): unknown => calculate(name, parsed(text), tables),
}
export type Works = typeof works
export type WorkName = keyof Works

export interface Asked {
  work: WorkName
  given: readonly unknown[]
}
/** An error loses its kind on the way between threads: bad input is told as what it is. */
export type Answered = { done: unknown } | { wrong: Pick<InputError, 'key' | 'value' | 'range'> } | { notJson: string }

export async function answer({ work, given }: Asked): Promise<Answered> {
  try {
    return { done: await (works[work] as (...given: readonly unknown[]) => unknown)(...given) }
  } catch (error) {
    if (error instanceof InputError) return { wrong: { key: error.key, value: error.value, range: error.range } }
    if (error instanceof SyntaxError) return { notJson: error.message }
    throw error
  }
}
