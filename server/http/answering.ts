import { defineEventHandler, setResponseHeader, setResponseStatus, type EventHandlerRequest, type H3Event } from 'h3'
import { InputError } from '../../core/errors'
import type { Problem } from '../../shared/contract'
import { StoreFailure } from '../../database/pictures/store'
import {
  Away,
  Busy,
  NoTime,
  NotFound,
  NotYours,
  SignedOut,
  WrongSignIn,
  NotJson,
  StaleVersion,
  Taken,
  TooLarge,
  TooLong,
  TooMuch,
  WrongHost,
  WrongMethod,
} from './failures'
import { logFault } from './log'

/** A route whose failures are answered by problem documents. */
export function answering<T>(handler: (event: H3Event<EventHandlerRequest>) => Promise<T>) {
  return defineEventHandler(async (event): Promise<T | Problem> => {
    try {
      return await handler(event)
    } catch (error) {
      return sendProblem(event, error)
    }
  })
}

/** Answers with the problem document of a failure. */
export function sendProblem(event: H3Event<EventHandlerRequest>, error: unknown): Problem {
  const problem = problemOf(error)
  if (problem.status === 500 || error instanceof StoreFailure) logFault(error)
  if (error instanceof TooMuch || error instanceof Busy || error instanceof NoTime)
    setResponseHeader(event, 'retry-after', error.after)
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return problem
}

export function problemOf(error: unknown): Problem {
  if (error instanceof InputError) {
    const { key, value, range, message } = error
    return { type: 'input', title: 'Not accepted', status: 422, detail: message, key, value: short(value), range }
  }
  if (error instanceof StaleVersion) {
    const { version, mine, theirs, writers, message } = error
    return {
      type: 'conflict',
      title: 'Changed by others',
      status: 409,
      detail: message,
      version,
      mine,
      theirs,
      writers,
    }
  }
  if (error instanceof StoreFailure)
    return {
      type: 'store-away',
      title: 'Away',
      status: 503,
      detail: 'The store of photographs does not have it just now.',
    }
  if (error instanceof Away) return { type: 'away', title: 'Away', status: 503, detail: error.message }
  if (error instanceof Taken) return { type: 'taken', title: 'Taken', status: 409, detail: error.message }
  if (error instanceof TooMuch) return { type: 'too-much', title: 'Too much', status: 429, detail: error.message }
  if (error instanceof WrongHost) return { type: 'host', title: 'Not here', status: 421, detail: error.message }
  if (error instanceof WrongMethod) return { type: 'method', title: 'Not so', status: 405, detail: error.message }
  if (error instanceof NotFound) return { type: 'not-found', title: 'Not found', status: 404, detail: error.message }
  if (error instanceof TooLarge) return { type: 'too-large', title: 'Too large', status: 413, detail: error.message }
  if (error instanceof Busy) return { type: 'busy', title: 'Busy', status: 503, detail: error.message }
  if (error instanceof NoTime) return { type: 'no-time', title: 'No time', status: 503, detail: error.message }
  if (error instanceof TooLong) return { type: 'too-long', title: 'Too long', status: 413, detail: error.message }
  if (error instanceof NotJson) return { type: 'not-json', title: 'Not JSON', status: 400, detail: error.message }
  if (error instanceof SignedOut) {
    const type = error.revoked ? 'revoked' : 'signed-out'
    return { ...error.revoked, type, title: 'Signed out', status: 401, detail: error.message }
  }
  if (error instanceof WrongSignIn) return { type: 'sign-in', title: 'Not so', status: 403, detail: error.message }
  if (error instanceof NotYours) return { type: 'not-yours', title: 'Not yours', status: 403, detail: error.message }
  if (isDatabaseAway(error)) {
    return {
      type: 'database-away',
      title: 'Database away',
      status: 503,
      detail: 'The database does not answer. What you entered waits on this device.',
    }
  }
  return {
    type: 'fault',
    title: 'Fault of the program',
    status: 500,
    detail: 'The server failed. What you entered waits on this device.',
  }
}

/** What was refused goes back to be shown beside its field; a whole list of posts does not. */
function short(value: unknown): unknown {
  const text = JSON.stringify(value ?? null)
  return text.length > LONGEST_VALUE ? null : JSON.parse(text)
}
const LONGEST_VALUE = 200

const AWAY = [
  'ECONNREFUSED',
  'ECONNRESET',
  'ECONNABORTED',
  'ENOENT',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'ER_SERVER_SHUTDOWN',
  'ER_NORMAL_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_LOCK_WAIT_TIMEOUT',
  'ER_LOCK_DEADLOCK',
  // A node that is cut off from the others.
  'ER_UNKNOWN_COM_ERROR',
]

/** Nothing is wrong with what was asked: asked again later, it will be answered. */
function isDatabaseAway(error: unknown): boolean {
  const { code, name, fatal, message } = (error ?? {}) as Partial<Record<'code' | 'name' | 'message', string>> & {
    fatal?: boolean
  }
  return (
    AWAY.includes(code ?? '') || fatal === true || name === 'KnexTimeoutError' || /closed state/.test(message ?? '')
  )
}
