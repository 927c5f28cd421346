import { useJobSession } from '~/job/openJob'
import type { Moment } from '~~/core/weather/forecast'
import { usePours } from './pours'
import { timeWords } from './pourWords'

/** Times as the clock on the wall at the site shows them. */
export function useTimes() {
  const session = useJobSession()
  const { now } = usePours()
  const when = (at: Moment) => timeWords(at, now.value, session.job?.site?.timeZone)
  return { when }
}
