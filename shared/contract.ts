import type { OutReason, Role } from './people'
import type { Job } from '../core/document/job'
import type { JobSummary } from '../core/document/summary'
import type { Command } from '../core/edit/commands'
import type { Writer } from '../core/edit/rebase'
import type { OfferAnswer, OfferState } from '../core/offer/answer'
import type { Offer } from '../core/offer/offer'
import type { Lesson } from '../core/record/lessons'
import type { StormPost } from '../core/storm/watch'
import type { YardConflict } from '../core/yard/apply'
import type { YardChange } from '../core/yard/change'
import type { OwnRows } from '../core/yard/rows'

/* What crosses the wire, once for both sides. Times are ISO 8601 there. */

/** A line of the list of jobs. */
export interface ListedJob {
  id: string
  name: string
  siteName: string
  version: number
  summary: JobSummary
  updatedAt: string
}

/** A job as the server has it. */
export interface JobAnswer {
  id: string
  version: number
  job: Job
  updatedAt: string
}

/** A page of the list. */
export interface ListPage {
  jobs: ListedJob[]
  /** To be handed back for the next page; absent on the last. */
  next?: string
}

/** Posts of a job that may go over within four days, the likeliest first. */
export interface StormJob {
  id: string
  name: string
  posts: StormPost[]
}
export interface StormAnswer {
  jobs: StormJob[]
}

/** A visit that is due at a job, or comes soon. */
export interface WatchedVisit {
  jobId: string
  job: string
  posts: string[]
  due: string
  why: string
  open?: string[]
}
export interface VisitWatch {
  visits: WatchedVisit[]
}

/** What jobs have taught, the newest first. */
export interface LessonsAnswer {
  lessons: Lesson[]
}

/** An entry of a job's history. */
export interface HistoryAnswer {
  version: number
  batchId: string
  commands: Command[]
  /** Who it was, where somebody was signed in. */
  madeBy?: string
  madeAt: string
}
export interface HistoryPage {
  entries: HistoryAnswer[]
  /** Version after which the next page begins; absent on the last. */
  next?: number
}

export interface CreatedJob {
  id: string
  version: number
}

/** A batch of edits was taken. */
export interface AppliedAnswer {
  /** The batch that this is the answer to. */
  batch: string
  /** The job's version now. */
  version: number
  /** The version that this batch made: an earlier one, where the batch had arrived before. */
  at: number
}

/** Of a picture that is stored; SHA-256 of what is stored. */
export interface PictureAnswer {
  mediaType: string
  pixelWidth: number
  pixelHeight: number
  checksum: string
  /** What this is the answer to: identity, bytes and SHA-256 of the picture as it was sent. */
  id: string
  sentBytes: number
  sentChecksum: string
}

/** RFC 9457 problem document, and what some of them carry beside it. */
export interface Problem {
  type: string
  title: string
  status: number
  detail: string
  /** Bad input: where, what and what it must be. */
  key?: string
  value?: unknown
  range?: string
  /** Others have written since: their version, and both sides. */
  version?: number
  mine?: Command[]
  theirs?: Command[]
  /** Of each of theirs, who and when. */
  writers?: Writer[]
  /** Why this device was signed out from elsewhere, and by whom. */
  why?: OutReason
  by?: string
}

/** What a workspace has of its own in the tables of its yard. */
export interface YardAnswer {
  version: number
  own: OwnRows
}

/** Changes of the yard were made, but for those that others were faster with. */
export interface YardApplied {
  batch: string
  version: number
  conflicts: YardConflict[]
}

export interface YardHistoryEntry {
  version: number
  batchId: string
  changes: YardChange[]
  madeBy?: string
  madeAt: string
}
export interface YardHistoryPage {
  entries: YardHistoryEntry[]
  /** Version before which the next page begins; absent on the last. */
  next?: number
}

/** An offer as it is kept: what it says, its page's SHA-256, and what became of it. */
export interface KeptOffer {
  offer: Offer
  checksum: string
  state: OfferState
  answer?: OfferAnswer
}
export interface OfferList {
  offers: KeptOffer[]
}
/** What a customer's link shows. */
export type OfferPage = KeptOffer & { work: OfferedPost[] }
/** A post that an offer names, and since when it is finished. */
export interface OfferedPost {
  post: string
  done?: string
}
export interface OfferLink {
  offer: string
  token: string
  expiresAt: string
}
/** Of each job the newest offer, where somebody waits for it or has answered it lately. */
export interface WatchedOffer {
  jobId: string
  job: string
  number: number
  validUntil: string
  state: OfferState
  by?: string
  option?: string
}
export interface OfferWatch {
  offers: WatchedOffer[]
}

/** Who is signed in on this device. `open` is the demo on this machine, where nobody has to be. */
export interface SessionAnswer {
  state: 'in' | 'open' | 'out'
  /** Whether anybody has an account yet. */
  hasPeople: boolean
  person?: { id: string; name: string; role: Role }
  workspace?: { id: string; name: string }
}
export interface DeviceAnswer {
  id: string
  says: string
  seenAt: string
  /** Entries that it had not sent when it was last heard. */
  waiting: number
  /** It was signed out from elsewhere, and has not been heard since. */
  out?: OutReason
  isThis?: boolean
}
/** A device was signed out: what it had not sent when it was last heard. */
export interface DeviceOut {
  waiting: number
  seenAt: string
}
export interface PersonAnswer {
  id: string
  name: string
  signInName: string
  role: Role
  leftAt?: string
  devices: DeviceAnswer[]
}
/** Who works here. */
export interface PeopleAnswer {
  workspace: string
  people: PersonAnswer[]
  invitations: OpenInvitation[]
}
/** What somebody has of their own. */
export interface SelfAnswer {
  devices: DeviceAnswer[]
  passkeys: { id: string; name: string; usedAt?: string }[]
}
/** A link that was made and not used: its address is shown only once, when it is made. */
export interface OpenInvitation {
  id: string
  by: string
  /** Of somebody new; of somebody who is here, by a new way in. */
  name: string
  role?: Role
  expiresAt: string
}
/** A link that is shown once. */
export interface InvitationLink {
  token: string
  expiresAt: string
}
export interface InvitationAnswer {
  workspace: string
  by: string
  name?: string
  role?: Role
  /** Of somebody who is here already and gets a new password. */
  signInName?: string
}
export interface AuditEntry {
  number: number
  at: string
  person?: string
  did: string
  subject?: string
  detail?: string
}
export interface AuditPage {
  entries: AuditEntry[]
  next?: number
}
