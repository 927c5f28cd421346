import type { CommandBatch } from '~~/core/edit/apply'
import type { Command } from '~~/core/edit/commands'
import type { JobSummary } from '~~/core/document/summary'
import type { Job } from '~~/core/document/job'
import type { NewJob } from '~~/core/document/newJob'

export interface ListedJob {
  id: string
  name: string
  siteName: string
  version: number
  summary: JobSummary
  updatedAt: string
}

/** Parts of a problem document that the screens use. */
export interface RefusalBody {
  detail?: string
  key?: string
  version?: number
  job?: Job
  mine?: Command[]
  theirs?: Command[]
}

/** What the server says when it refuses; `status` 0 when it was not reached. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: RefusalBody = {},
  ) {
    super(message)
  }

  /** Worth trying again as it is. */
  get passing(): boolean {
    return this.status === 0 || this.status >= 500
  }
}

const READ: RequestInit = { headers: { accept: 'application/json' } }
const post = (body: string): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body,
})

async function ask<T>(path: string, how: RequestInit = READ): Promise<T> {
  let answer: Response
  try {
    answer = await fetch(`/api${path}`, how)
  } catch {
    throw new Refusal(0, 'No connection. What you entered waits on this device.')
  }
  const said = (await answer.json().catch(() => ({}))) as T & RefusalBody
  if (!answer.ok) throw new Refusal(answer.status, said.detail ?? `The server answered ${answer.status}.`, said)
  return said
}

const jobPath = (id: string) => `/jobs/${encodeURIComponent(id)}`

export const api = {
  listJobs: () => ask<ListedJob[]>('/jobs'),
  readJob: (id: string) => ask<{ id: string; version: number; job: Job }>(jobPath(id)),
  createJob: (wanted: NewJob) => ask<{ id: string }>('/jobs', post(JSON.stringify(wanted))),
  importJob: (text: string) => ask<{ id: string }>('/jobs/import', post(text)),
  send: (id: string, version: number, { id: batch, commands }: CommandBatch) =>
    ask<{ version: number; job?: Job }>(
      `${jobPath(id)}/commands`,
      post(JSON.stringify({ id: batch, version, commands })),
    ),
  sendPhotograph: (id: string, photograph: string, picture: Blob) =>
    ask<{ checksum: string }>(`${jobPath(id)}/photographs/${photograph}`, {
      method: 'PUT',
      headers: { 'content-type': picture.type },
      body: picture,
    }),
}
