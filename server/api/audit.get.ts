import { getQuery } from 'h3'
import { object, string } from 'yup'
import { readBy } from '../../core/schema/violations'
import { answering } from '../http/answering'
import { auditBefore } from '../people/audit'
import { workspaceOf } from '../workspace/workspaceOf'
import type { AuditPage } from '../../shared/contract'

const PAGE = 100
const asked = object({ before: string().matches(/^\d{1,15}$/, 'the `next` of a page before') })

/** Who did what, the last first: `?before=` the `next` of the page before. */
export default answering(async (event): Promise<AuditPage> => {
  const { before } = readBy<{ before?: string }>(asked, getQuery(event), 'query')
  const rows = await auditBefore(workspaceOf(event), Number(before ?? Number.MAX_SAFE_INTEGER), PAGE + 1)
  const page = rows.slice(0, PAGE)
  return {
    entries: page.map(({ at, ...entry }) => ({ ...entry, at: at.toISOString() })),
    ...(rows.length > PAGE ? { next: page.at(-1)!.number } : {}),
  }
})
