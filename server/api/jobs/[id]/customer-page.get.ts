import { getQuery } from 'h3'
import { requireChoice } from '../../../../core/errors'
import { customerSheetsOf } from '../../../record/sheet'
import { PAPER_NAMES, PAPERS } from '../../../../core/report/pages'
import { LENGTH_SYSTEMS } from '../../../../core/units/length'
import { pdfOfPages } from '../../../../paper/pdf'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { NotFound } from '../../../http/failures'
import { readStoredJob } from '../../../jobs/service'
import { sendPdf } from '../../../sheets/send'
import { readYard } from '../../../yard/service'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** The customer's page of one post: `?post=B7&paper=A4&units=metric`. */
export default answering(async (event) => {
  const { post, paper = 'A4', units = 'metric' } = getQuery(event)
  const system = requireChoice('units', units, LENGTH_SYSTEMS)
  const sheet = requireChoice('paper', paper, PAPER_NAMES)
  const workspace = workspaceOf(event)
  const [{ document }, { own }] = await Promise.all([readStoredJob(workspace, jobIdentity(event)), readYard(workspace)])
  const pages =
    typeof post === 'string'
      ? customerSheetsOf(document, post, { own, system, paper: sheet, now: new Date() })
      : undefined
  if (!pages) throw new NotFound('page', String(post))
  return sendPdf(event, await pdfOfPages(pages, PAPERS[sheet].millimetres, `${document.name}: ${post as string}`))
})
