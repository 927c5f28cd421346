import { computed } from 'vue'
import { useLocalStorage } from '@vueuse/core'

/*
 * The clock that everything is timed by: this device's, put right by the server's where it is wrong. A wet post does not
 * wait for a device whose clock somebody has changed.
 */

/** A smaller difference is not corrected: an answer takes as long, and the server gives whole seconds, ms. */
const TOLERANCE = 60_000
/**
 * Within this two answers say the same: the server says whole seconds. A correction that followed each of them would jump
 * back and forth, and the second of two quick readings would be stamped before the first and lose against it, ms.
 */
const JITTER = 2_000
/** An answer that took longer says nothing of the time, ms. */
const QUICK = 5_000

/** How far the server's clock is ahead of this device's when it was last heard, ms; kept for when there is no signal. */
const ahead = useLocalStorage('vindex-clock-ahead', 0)

/** What has to be added to this device's clock, ms; nothing where the two agree. */
export const clockError = computed(() => (Math.abs(ahead.value) >= TOLERANCE ? ahead.value : 0))

/** How far this device's clock is off, as in '2 h 0 min ahead of'; nothing where it is right. */
export const clockOff = computed(() => {
  const minutes = Math.round(Math.abs(clockError.value) / 60_000)
  if (minutes === 0) return ''
  const words = minutes < 90 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
  return `${words} ${clockError.value > 0 ? 'behind' : 'ahead of'}`
})

/**
 * Takes the time that stands on an answer of the server.
 *
 * @param date  its `date`, whole seconds; null where it has none
 * @param asked when it was asked and when it was heard, by this device's clock, ms
 */
export function hearServer(date: string | null, asked: number, heard: number): void {
  const said = date === null ? NaN : Date.parse(date)
  if (!Number.isFinite(said) || heard < asked || heard - asked > QUICK) return
  const found = Math.round(said + 500 - (asked + heard) / 2)
  if (Math.abs(found - ahead.value) >= JITTER) ahead.value = found
}

/** Now, ms since 1970. */
export const timeNow = (): number => Date.now() + clockError.value
