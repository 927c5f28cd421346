import { getQuery, setResponseHeader } from 'h3'
import { requireChoice } from '../../../../core/errors'
import { holeSheetOf } from '../../../../core/report/holeSheet'
import { LENGTH_SYSTEMS } from '../../../../core/units/length'
import { measuresIn } from '../../../../core/units/quantity'
import { inUnits } from '../../../../data/customs'
import { answering } from '../../../http/answering'
import { jobIdentity } from '../../../http/body'
import { NotFound } from '../../../http/failures'
import { readStoredJob } from '../../../jobs/service'
import { pdfOf } from '../../../../paper/pdf'
import { tablesHere } from '../../../yard/service'
import { workspaceOf } from '../../../workspace/workspaceOf'

const A5 = { width: 148, height: 210 }

/** The sheet of one hole as a page to print: `?post=B7&units=metric`. */
export default answering(async (event) => {
  const { post, units = 'metric' } = getQuery(event)
  const system = requireChoice('units', units, LENGTH_SYSTEMS)
  const workspace = workspaceOf(event)
  const [{ document }, { tables }] = await Promise.all([
    readStoredJob(workspace, jobIdentity(event)),
    tablesHere(workspace),
  ])
  const svg =
    typeof post === 'string' ? holeSheetOf(document, inUnits(tables, system), post, measuresIn(system)) : undefined
  if (svg === undefined) throw new NotFound('hole', String(post))
  setResponseHeader(event, 'content-type', 'application/pdf')
  return pdfOf(svg, A5, `${document.name}: the hole of ${post as string}`)
})
