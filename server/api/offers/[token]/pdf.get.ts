import { database } from '../../../database'
import { answering } from '../../../http/answering'
import { linkToken } from '../../../http/body'
import { readPdfByLink } from '../../../offers/customer'
import { sendPdf } from '../../../sheets/send'

export default answering(async (event) => sendPdf(event, await readPdfByLink(await database(), linkToken(event))))
