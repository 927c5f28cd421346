import pino from 'pino'

/**
 * The server's log: a line of JSON each, on standard error. Faults always; every request with NUXT_LOG_LEVEL=info.
 */
export const log = pino(
  { level: process.env.NUXT_LOG_LEVEL ?? 'warn', base: undefined, timestamp: pino.stdTimeFunctions.isoTime },
  pino.destination({ dest: 2, sync: true }),
)

/** What is written of a fault. */
export interface Fault {
  fault: string
  code?: string
  says?: string
  at: string[]
}

/**
 * What went wrong, for whoever runs the server: where it happened, and nothing of what was sent. A database driver
 * writes the whole statement with its values into its message.
 */
export function faultOf(error: unknown): Fault {
  const { name = 'Error', code, sqlMessage, message, stack } = (error ?? {}) as Partial<Error> & Record<string, string>
  const says = sqlMessage === undefined && code === undefined ? message : undefined
  return {
    fault: name,
    ...(code === undefined ? {} : { code }),
    ...(says === undefined ? {} : { says: says.slice(0, LONGEST) }),
    at: stack?.split('\n').flatMap((line) => (/^\s+at /.test(line) ? [line.trim()] : [])) ?? [],
  }
}
const LONGEST = 200

export const logFault = (error: unknown): void => log.error(faultOf(error))
