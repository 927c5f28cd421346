import { defineEventHandler, setResponseHeader, setResponseStatus, type EventHandlerRequest, type H3Event } from 'h3'
import { InputError } from '../../core/errors'
import type { Problem } from '../../shared/contract'
import { NotFound, NotJson, StaleVersion, TooLarge } from './failures'

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
  if (problem.status === 500) console.error(error)
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return problem
}

export function problemOf(error: unknown): Problem {
  if (error instanceof InputError) {
    const { key, value, range, message } = error
    return { type: 'input', title: 'Not accepted', status: 422, detail: message, key, value: value ?? null, range }
  }
  if (error instanceof StaleVersion) {
    const { version, job, mine, theirs, message } = error
    return { type: 'conflict', title: 'Changed by others', status: 409, detail: message, version, job, mine, theirs }
  }
  if (error instanceof NotFound) return { type: 'not-found', title: 'Not found', status: 404, detail: error.message }
  if (error instanceof TooLarge) return { type: 'too-large', title: 'Too large', status: 413, detail: error.message }
  if (error instanceof NotJson) return { type: 'not-json', title: 'Not JSON', status: 400, detail: error.message }
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

const AWAY = ['ECONNREFUSED', 'ECONNRESET', 'PROTOCOL_CONNECTION_LOST', 'EPIPE', 'ETIMEDOUT', 'ER_SERVER_SHUTDOWN']

function isDatabaseAway(error: unknown): boolean {
  const { code, name } = error as { code?: string; name?: string }
  return AWAY.includes(code ?? '') || name === 'KnexTimeoutError'
}
