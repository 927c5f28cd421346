/*
 * The clock of a test run. Every process of the run, the pages of its browsers too, lives at an instant that the run
 * chooses: what a test sees of the date, the forecast and the hour of the day is then the same on every day.
 *
 * Preloaded by `node --import`, it moves this process by VINDEX_CLOCK_AHEAD milliseconds.
 */

/** When a run lives unless VINDEX_DATE says otherwise: an ordinary Tuesday morning with no clock change near. */
const USUAL_DATE = '2026-11-24T09:10:00Z'

/**
 * Environment of a run at a date.
 *
 * @param {string} [date] ISO 8601, such as 2028-02-29T10:00:00Z
 * @returns {Record<string, string>} how far its processes are ahead of the machine's clock, ms, and what preloads this
 * @throws for a date that is none
 */
export function clockEnvironment(date = USUAL_DATE) {
  const instant = Date.parse(date)
  if (!Number.isFinite(instant)) throw new Error(`VINDEX_DATE is "${date}"; it must be a date such as ${USUAL_DATE}`)
  return {
    // Of a process that is moved itself the machine's own clock counts.
    VINDEX_CLOCK_AHEAD: String(instant - (Date.now() - clockAhead())),
    NODE_OPTIONS: `${withoutTestClock(process.env).NODE_OPTIONS} --import=${import.meta.url}`.trim(),
  }
}

/**
 * The environment of a process that goes by the machine's own clock, whatever the run does.
 *
 * @param {NodeJS.ProcessEnv} environment
 * @returns {NodeJS.ProcessEnv}
 */
export function withoutTestClock({ NODE_OPTIONS = '', ...environment }) {
  return {
    ...environment,
    VINDEX_CLOCK_AHEAD: '0',
    NODE_OPTIONS: NODE_OPTIONS.replace(`--import=${import.meta.url}`, '').trim(),
  }
}

/** How far this run is ahead of the machine's clock, ms; nothing outside a run. */
export const clockAhead = () => Number(process.env.VINDEX_CLOCK_AHEAD ?? 0)

/**
 * Moves the clock of the global object it runs in. It stands on its own feet: a browser runs its text in a page.
 *
 * @param {number} ahead ms
 */
export function moveClock(ahead) {
  if (ahead === 0 || globalThis.Date.isMoved) return
  const MachineDate = globalThis.Date
  class MovedDate extends MachineDate {
    static isMoved = true
    static now() {
      return MachineDate.now() + ahead
    }
    constructor(...parts) {
      if (parts.length === 0) super(MachineDate.now() + ahead)
      else super(...parts)
    }
  }
  // Called without `new`, a date is text: a class cannot be called, so the call is caught.
  globalThis.Date = new Proxy(MovedDate, {
    apply: () => new MovedDate().toString(),
  })
  MovedDate.prototype.constructor = globalThis.Date
}

if (clockAhead() !== 0) {
  moveClock(clockAhead())
  // The date that stands on an answer comes from inside of Node, where no clock is moved; a page goes by it.
  const { ServerResponse } = await import('node:http')
  const { writeHead } = ServerResponse.prototype
  ServerResponse.prototype.writeHead = function (...parts) {
    if (this.sendDate && !this.hasHeader('date')) this.setHeader('date', new Date().toUTCString())
    return writeHead.apply(this, parts)
  }
}
