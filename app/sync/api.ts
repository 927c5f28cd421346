import type { VersionedBatch } from '~~/core/edit/batch'
import type {
  AppliedAnswer,
  CreatedJob,
  JobAnswer,
  KeptOffer,
  ListPage,
  OfferLink,
  OfferList,
  OfferPage,
  LessonsAnswer,
  OfferWatch,
  VisitWatch,
  PictureAnswer,
  Problem,
  StormAnswer,
  YardAnswer,
  YardApplied,
  YardHistoryPage,
} from '~~/shared/contract'
import type { Forecast } from '~~/core/weather/forecast'
import type { Mood } from '~~/core/weather/simulated'
import type { OfferAnswer } from '~~/core/offer/answer'
import type { OfferDraft } from '~~/core/offer/offer'
import type { YardBatch } from '~~/core/yard/change'
import { ACCOUNT, WAITING } from '~~/shared/people'
import { accountHere } from './accountHere'
import { checksumOf } from './checksum'
import { hearServer } from './clock'
import { signedOut, unsent } from './signedOut'

/** What the server says when it refuses; `status` 0 when it was not reached. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: Partial<Problem> = {},
    /** Somebody between here and the server said it: a network that asks for a sign-in, a proxy with a limit. */
    readonly isForeign = false,
  ) {
    super(message)
  }

  /** Worth trying again as it is. */
  get passing(): boolean {
    // Whoever signs in again sends it then.
    if (this.status === 401) return true
    return this.isForeign || this.status === 0 || this.status === 429 || this.status >= 500
  }
}

export const READ: RequestInit = { headers: { accept: 'application/json' } }
export const POST: RequestInit = { ...READ, method: 'POST' }
export const post = (body: string, key?: string): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json', ...(key === undefined ? {} : { 'idempotency-key': key }) },
  body,
})

const foreign = (status: number) =>
  new Refusal(
    status,
    status === 413
      ? 'Something between here and the server does not let it through: it is too large for this network.'
      : 'Not the server answers here: does this network ask for a sign-in? What you entered waits on this device.',
    {},
    true,
  )

/**
 * Asks the server.
 *
 * @param isOurs whether an answer is the one to what was asked: a network may answer anything in the server's place
 * @throws Refusal
 */
export async function ask<T>(path: string, isOurs: (said: T) => boolean, how: RequestInit = READ): Promise<T> {
  let answer: Response
  const asked = Date.now()
  try {
    answer = await fetch(`/api${path}`, { ...how, headers: { ...how.headers, ...whose(path) } })
  } catch {
    throw new Refusal(0, 'No connection. What you entered waits on this device.')
  }
  const said = await dataOf<T & Partial<Problem>>(answer)
  hearServer(answer.headers.get('date'), asked, Date.now())
  if (answer.ok) {
    signedOut.value = undefined
    if (said === undefined || !isOurs(said)) throw foreign(answer.status)
    return said
  }
  const { status } = answer
  if (said?.status !== status || typeof said.detail !== 'string') {
    if (status >= 500) throw new Refusal(status, `The server answered ${status}.`)
    throw foreign(status)
  }
  if (status === 401) {
    const { type, why = 'signed-out', by } = said
    signedOut.value = type === 'revoked' ? { state: 'revoked', why, ...(by ? { by } : {}) } : { state: 'signed-out' }
  }
  throw new Refusal(status, said.detail, said)
}

/** What one person entered does not go out under the name of whoever has signed in since. */
const whose = (path: string): Record<string, string> =>
  accountHere.value.id === '' || /^\/(session|invitations|offers)\b/.test(path)
    ? {}
    : { [ACCOUNT]: accountHere.value.id, [WAITING]: String(unsent.value) }

async function dataOf<T>(answer: Response): Promise<T | undefined> {
  if (!/^application\/(problem\+)?json\b/.test(answer.headers.get('content-type') ?? '')) return undefined
  const said = (await answer.json().catch(() => undefined)) as T | null | undefined
  return typeof said === 'object' && said !== null ? said : undefined
}

const isForecast = ({ place, hours, issuedAt }: Forecast) =>
  typeof place === 'string' && typeof issuedAt === 'string' && Array.isArray(hours) && hours.length > 0
const isYard = ({ version, own }: YardAnswer) => Number.isInteger(version) && typeof own === 'object' && own !== null
const isVersion = (value: unknown) => Number.isInteger(value) && (value as number) >= 1
const isPage = ({ jobs }: ListPage) => Array.isArray(jobs)
const isJob = (id: string) => (said: JobAnswer) => said.id === id && isVersion(said.version) && !!said.job?.lines
const isMade = ({ id, version }: CreatedJob) => typeof id === 'string' && isVersion(version)

const isNamed = (id: string) => (said: { id: string }) => said.id === id

const jobPath = (id: string) => `/jobs/${encodeURIComponent(id)}`
const picturePath = (id: string, picture: string) => `${jobPath(id)}/photographs/${encodeURIComponent(picture)}`

/** Where the server shows a picture from. */
export const pictureAddress = (id: string, picture: string): string => `/api${picturePath(id, picture)}`

const offerPath = (job: string, offer: string) => `${jobPath(job)}/offers/${encodeURIComponent(offer)}`
const isOffer = (id: string) => (said: KeptOffer) => said.offer?.id === id && typeof said.checksum === 'string'
/** Where the server shows the page of an offer from. */
export const offerAddress = (job: string, offer: string): string => `/api${offerPath(job, offer)}/pdf`
export const linkedPostAddress = (token: string, post: string): string =>
  `/api/offers/${encodeURIComponent(token)}/posts/${encodeURIComponent(post)}`
export const linkedOfferAddress = (token: string): string => `/api/offers/${encodeURIComponent(token)}/pdf`

/** A forecast that lets itself be waited for longer is none: the last one goes on counting, ms. */
const PATIENCE = 5_000

export interface ListQuery {
  after?: string
  search?: string
  needing?: 'yes'
  deleted?: 'yes'
}

export const api = {
  /** @param mood for trying, where the demo jobs are */
  readForecast: (place: string, from: string, hours: number, mood?: Mood) =>
    ask<Forecast>(
      `/forecast?${new URLSearchParams({ place, from, hours: String(hours), ...(mood ? { mood } : {}) })}`,
      (said) => isForecast(said) && said.place === place,
      { ...READ, signal: AbortSignal.timeout(PATIENCE) },
    ),
  listJobs: (query: ListQuery = {}) => ask<ListPage>(`/jobs?${new URLSearchParams({ ...query })}`, isPage),
  readJob: (id: string) => ask<JobAnswer>(jobPath(id), isJob(id)),
  stormWatch: (mood?: Mood) =>
    ask<StormAnswer>(`/storm-watch${mood ? `?mood=${mood}` : ''}`, ({ jobs }) => Array.isArray(jobs)),
  /** Puts a job away; it can come back for thirty days. */
  deleteJob: (id: string) => ask<{ id: string }>(jobPath(id), isNamed(id), { ...READ, method: 'DELETE' }),
  restoreJob: (id: string) => ask<{ id: string }>(`${jobPath(id)}/restore`, isNamed(id), { ...READ, method: 'POST' }),
  readYard: () => ask<YardAnswer>('/yard', isYard),
  changeYard: (batch: YardBatch) =>
    ask<YardApplied>(
      '/yard/changes',
      (said) => said.batch === batch.id && Array.isArray(said.conflicts),
      post(JSON.stringify(batch)),
    ),
  yardHistory: (before?: number) =>
    ask<YardHistoryPage>(`/yard/history${before === undefined ? '' : `?before=${before}`}`, ({ entries }) =>
      Array.isArray(entries),
    ),
  visitWatch: () => ask<VisitWatch>('/visit-watch', ({ visits }) => Array.isArray(visits)),
  /** @param person whose own pace is told by name */
  readLessons: (person: string) =>
    ask<LessonsAnswer>(`/lessons?${new URLSearchParams(person ? { person } : {})}`, ({ lessons }) =>
      Array.isArray(lessons),
    ),
  offerWatch: () => ask<OfferWatch>('/offer-watch', ({ offers }) => Array.isArray(offers)),
  listOffers: (job: string) => ask<OfferList>(`${jobPath(job)}/offers`, ({ offers }) => Array.isArray(offers)),
  keepOffer: (job: string, draft: OfferDraft) =>
    ask<KeptOffer>(`${jobPath(job)}/offers`, isOffer(draft.id), post(JSON.stringify(draft))),
  linkOffer: (job: string, offer: string) =>
    ask<OfferLink>(`${offerPath(job, offer)}/link`, (said) => said.offer === offer && typeof said.token === 'string', {
      ...READ,
      method: 'POST',
    }),
  /** Whoever has a link to it finds nothing there any more. */
  takeBackLinks: (job: string, offer: string) =>
    ask<{ links: number }>(`${offerPath(job, offer)}/link`, ({ links }) => Number.isInteger(links), {
      ...READ,
      method: 'DELETE',
    }),
  answerOffer: (job: string, offer: string, answer: OfferAnswer) =>
    ask<KeptOffer>(`${offerPath(job, offer)}/answer`, isOffer(offer), post(JSON.stringify(answer))),
  readByLink: (token: string) => ask<OfferPage>(`/offers/${encodeURIComponent(token)}`, ({ offer }) => Boolean(offer)),
  answerByLink: (token: string, answer: OfferAnswer) =>
    ask<OfferPage>(
      `/offers/${encodeURIComponent(token)}/answer`,
      ({ offer }) => Boolean(offer),
      post(JSON.stringify(answer)),
    ),
  /** @param key given once for what a person asked for once: asked for again, it is the same job */
  importJob: (text: string, key: string) => ask<CreatedJob>('/jobs/import', isMade, post(text, key)),
  sendEdits: (id: string, batch: VersionedBatch) =>
    ask<AppliedAnswer>(
      `${jobPath(id)}/commands`,
      (said) => said.batch === batch.id && isVersion(said.at) && isVersion(said.version) && said.version >= said.at,
      post(JSON.stringify(batch)),
    ),
  async sendPicture(id: string, picture: string, bytes: Blob) {
    const checksum = await checksumOf(bytes)
    return ask<PictureAnswer>(
      picturePath(id, picture),
      (said) =>
        said.id === picture &&
        said.sentBytes === bytes.size &&
        (checksum === undefined || said.sentChecksum === checksum),
      { method: 'PUT', headers: { 'content-type': bytes.type }, body: bytes },
    )
  },
}
export type Api = typeof api
