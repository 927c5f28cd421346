// Processes that an earlier command of ours has left behind.
import { readdirSync, readFileSync } from 'node:fs'
import { setTimeout as pause } from 'node:timers/promises'

/** The words a process was started with, a space between; nothing when it has gone. */
export function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ')
  } catch {
    return ''
  }
}

/**
 * Ends every other process whose command `isOurs`: asked first, and made to when it does not.
 *
 * @param isOurs says of a command, as text, whether it is one of them
 * @param within how long it has after being asked, ms
 */
export async function endLeftOver(isOurs, within) {
  for (const [signal, wait] of [
    ['SIGTERM', within],
    ['SIGKILL', 5_000],
  ]) {
    const left = () =>
      readdirSync('/proc').filter((name) => /^\d+$/.test(name) && isOther(name) && isOurs(commandOf(name)))
    for (const pid of left()) end(Number(pid), signal)
    // What a script of theirs starts while it ends is met by the next round.
    for (const until = Date.now() + wait; left().length > 0 && Date.now() < until; ) await pause(50)
  }
}

const isOther = (name) => Number(name) !== process.pid

function end(pid, signal) {
  try {
    process.kill(pid, signal)
  } catch {
    // It has gone by itself.
  }
}

/** Ticks of the kernel in a second, as `/proc` counts: the same on every Linux that Node runs on. */
const TICKS = 100

/**
 * What a process does just now: processor time that it has used, ms; whether it waits for the processor or the disk;
 * whether somebody stopped it. Of a process that cannot be looked at nothing is known, and its silence counts.
 */
export function stateOf(pid) {
  try {
    const text = readFileSync(`/proc/${pid}/stat`, 'utf8')
    // The name in brackets may hold anything.
    const [state, ...rest] = text.slice(text.lastIndexOf(')') + 2).split(' ')
    const used = ((Number(rest[10]) + Number(rest[11])) / TICKS) * 1_000
    return { used, isWaiting: state === 'R' || state === 'D', isStopped: state === 'T' || state === 't' }
  } catch {
    return { used: 0, isWaiting: false, isStopped: false }
  }
}
