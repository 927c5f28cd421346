import type { Knex } from 'knex'
import type { Workspace } from '../workspace/workspace'

/* Who did what: signing in, who works here, jobs put away, the yard. What was done to a job stands in its history. */

export type Deed =
  | 'signed-in'
  | 'signed-out'
  | 'sign-in-failed'
  | 'locked-out'
  | 'first-lead'
  | 'invited'
  | 'invitation-taken-back'
  | 'joined'
  | 'role-changed'
  | 'left'
  | 'came-back'
  | 'new-way-in'
  | 'password-changed'
  | 'passkey-added'
  | 'passkey-removed'
  | 'device-revoked'
  | 'device-lost'
  | 'job-made'
  | 'job-put-away'
  | 'job-brought-back'
  | 'job-exported'
  | 'link-made'
  | 'links-taken-back'

export interface AuditRow {
  number: number
  at: Date
  person?: string
  did: Deed
  subject?: string
  detail?: string
}

/** Writes down what was done; without anybody signed in there is nobody to name. */
export async function note(
  { id, database, person }: Workspace,
  did: Deed,
  { subject, detail }: { subject?: string; detail?: string } = {},
  now = new Date(),
): Promise<void> {
  if (!person) return
  await database('audit').insert({
    workspace: id,
    at: now,
    person_id: person.id,
    person: person.name,
    did,
    subject: subject?.slice(0, 100) ?? null,
    detail: detail?.slice(0, 500) ?? null,
  })
}

/** Newest first. */
export async function auditBefore({ id, database }: Workspace, before: number, limit: number): Promise<AuditRow[]> {
  const rows = await database('audit')
    .where({ workspace: id })
    .andWhere('number', '<', before)
    .orderBy('number', 'desc')
    .limit(limit)
  return rows.map((row) => ({
    number: Number(row.number),
    at: row.at,
    ...(row.person === null ? {} : { person: row.person }),
    did: row.did,
    ...(row.subject === null ? {} : { subject: row.subject }),
    ...(row.detail === null ? {} : { detail: row.detail }),
  }))
}

/** Days on which somebody has seen a job that this server has written down already: only spares it the writing. */
const written = new Set<string>()
const KEPT = 5_000

/** Somebody saw a job today. */
export async function noteSeen({ database, person }: Workspace, jobId: string, now = new Date()): Promise<void> {
  if (!person) return
  const day = now.toISOString().slice(0, 10)
  const key = `${jobId} ${person.id} ${day}`
  if (written.has(key)) return
  await database.raw('insert ignore into job_seen (job_id, person_id, day) values (?, ?, ?)', [jobId, person.id, day])
  if (written.size >= KEPT) written.clear()
  written.add(key)
}

/** Who has seen a job on which day, the last first. */
export async function seenBy(
  { id, database }: Workspace,
  jobId: string,
  limit: number,
): Promise<{ person: string; day: string }[]> {
  const rows = await database('job_seen')
    .join('job', 'job.id', 'job_seen.job_id')
    .join('person', 'person.id', 'job_seen.person_id')
    .where({ 'job_seen.job_id': jobId, 'job.workspace': id })
    .orderBy('day', 'desc')
    .limit(limit)
    .select('person.name', 'day')
  return rows.map(({ name, day }) => ({ person: name, day: dayOf(day) }))
}
const dayOf = (day: Date | string) => (typeof day === 'string' ? day : day.toISOString().slice(0, 10))

/** What is older than so long is nobody's business any more. */
export async function forgetAudit(database: Knex, before: Date): Promise<number> {
  await database('job_seen').where('day', '<', before).delete()
  return database('audit').where('at', '<', before).delete()
}
