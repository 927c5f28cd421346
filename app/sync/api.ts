import type { NewJob } from '~~/core/document/newJob'
import type { VersionedBatch } from '~~/core/edit/batch'
import type { AppliedAnswer, CreatedJob, JobAnswer, ListedJob, PictureAnswer, Problem } from '~~/shared/contract'

/** What the server says when it refuses; `status` 0 when it was not reached. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: Partial<Problem> = {},
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
  const said = (await answer.json().catch(() => ({}))) as T & Partial<Problem>
  if (!answer.ok) throw new Refusal(answer.status, said.detail ?? `The server answered ${answer.status}.`, said)
  return said
}

const jobPath = (id: string) => `/jobs/${encodeURIComponent(id)}`
const picturePath = (id: string, picture: string) => `${jobPath(id)}/photographs/${encodeURIComponent(picture)}`

/** Where the server shows a picture from. */
export const pictureAddress = (id: string, picture: string): string => `/api${picturePath(id, picture)}`

export const api = {
  listJobs: () => ask<ListedJob[]>('/jobs'),
  readJob: (id: string) => ask<JobAnswer>(jobPath(id)),
  createJob: (wanted: NewJob) => ask<CreatedJob>('/jobs', post(JSON.stringify(wanted))),
  importJob: (text: string) => ask<CreatedJob>('/jobs/import', post(text)),
  sendEdits: (id: string, batch: VersionedBatch) =>
    ask<AppliedAnswer>(`${jobPath(id)}/commands`, post(JSON.stringify(batch))),
  sendPicture: (id: string, picture: string, bytes: Blob) =>
    ask<PictureAnswer>(picturePath(id, picture), {
      method: 'PUT',
      headers: { 'content-type': bytes.type },
      body: bytes,
    }),
}
export type Api = typeof api
