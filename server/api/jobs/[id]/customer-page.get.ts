import { getQuery } from 'h3'
import { PAPERS } from '../../../../core/report/pages'
import { pdfOfPages } from '../../../../paper/pdf'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { NotFound } from '../../../http/failures'
import { readStoredJob } from '../../../jobs/service'
import { pageWanted, sendPdf } from '../../../sheets/send'
import { readYard } from '../../../yard/service'
import { inPool } from '../../../worker/pool'
import { workspaceOf } from '../../../workspace/workspaceOf'

/** The customer's page of one post: `?post=B7&paper=A4&units=metric`. */
export default answering(async (event) => {
  const { post } = getQuery(event)
  const { paper, system } = pageWanted(event)
  const workspace = workspaceOf(event)
  const [{ document }, { own }] = await Promise.all([readStoredJob(workspace, jobIdentity(event)), readYard(workspace)])
  const pages =
    typeof post === 'string'
      ? await inPool('customerSheets', document, post, { own, system, paper, now: Date.now() })
      : undefined
  if (!pages) throw new NotFound('page', String(post))
  return sendPdf(event, await pdfOfPages(pages, PAPERS[paper].millimetres, `${document.name}: ${post as string}`))
})
