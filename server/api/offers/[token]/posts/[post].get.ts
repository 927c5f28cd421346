import { pdfOfPages } from '../../../../../paper/pdf'
import { PAPERS } from '../../../../../core/report/pages'
import { database } from '../../../../database'
import { answering } from '../../../../http/answering'
import { linkToken, nameInAddress } from '../../../../http/body'
import { readPostByLink } from '../../../../offers/customer'
import { pageWanted, sendPdf } from '../../../../sheets/send'

/** The customer's page of one post that the offer of a link names: `?paper=A4&units=metric`. */
export default answering(async (event) => {
  const how = pageWanted(event)
  const post = nameInAddress(event, 'post')
  const { title, pages } = await readPostByLink(await database(), linkToken(event), post, how)
  return sendPdf(event, await pdfOfPages(pages, PAPERS[how.paper].millimetres, title))
})
