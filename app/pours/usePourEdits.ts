import { useJobSession } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { timeNow } from '~/sync/clock'
import { newIdentity } from '~/sync/identity'
import type { Lift, Pour, PourCheck } from '~~/core/document/job'
import type { PlannedPour } from '~~/core/pour/planned'
import { pourAt } from '~~/core/pour/planned'
import { HOUR_MS, type Forecast } from '~~/core/weather/forecast'
import { pourEdit, type PourValue } from '~~/core/edit/keyed'
import type { SetPour } from '~~/core/edit/commands/setPour'

/** So much of the forecast is kept with a pour: the day before, for the ground, and two weeks. */
const BEFORE = 24
const AFTER = 14 * 24

/** What is noted of a pour, each with its time by the clock that the others go by. */
export function usePourEdits() {
  const session = useJobSession()
  const preferences = usePreferencesStore()
  const stamp = () => {
    const { by } = preferences.signed()
    return { at: new Date(timeNow()).toISOString(), ...(by === undefined ? {} : { by }) }
  }

  function start(of: PlannedPour, temperature: number | undefined, forecast: Forecast | undefined) {
    const { at, by } = stamp()
    const value: Pour = {
      id: newIdentity(),
      line: of.line,
      post: of.post,
      mix: of.mix,
      ...(of.filling ? { filling: of.filling } : {}),
      startedAt: at,
      ...(temperature === undefined ? {} : { temperature }),
      ...(forecast ? { reckoned: reckonedOf(forecast, Date.parse(at)) } : {}),
      ...(by === undefined ? {} : { by }),
    }
    return session.edit([{ name: 'putPour', pour: value.id, value }])
  }
  const set = <K extends SetPour['key']>(pour: string, key: K, value: PourValue<K>) =>
    session.edit([pourEdit({ pour }, key, value)])
  const setNow = (pour: string, key: 'handsOffAt' | 'stiffAt' | 'formStripped') => set(pour, key, stamp().at)
  const check = (pour: string, reading: Omit<PourCheck, 'at' | 'by'>) => {
    const value: PourCheck = { ...stamp(), ...reading }
    return session.edit([{ name: 'notePour', pour, list: 'checks', at: value.at, value }])
  }
  /** What went in counts at the hole too: one truth for both places. */
  function lift(of: Pour, { bags, water }: Omit<Lift, 'at'>) {
    const { at } = stamp()
    const all = [...(of.lifts ?? []), { bags, water }]
    const sum = (key: 'bags' | 'water') => all.reduce((total, each) => total + each[key], 0)
    const face = session.job?.lines.find(({ id }) => id === of.line)?.posts.find(({ id }) => id === of.post)?.repair
      ?.poured?.face
    const poured = { bags: sum('bags'), water: sum('water'), ...(face === undefined ? {} : { face }) }
    return session.edit([
      { name: 'notePour', pour: of.id, list: 'lifts', at, value: { at, bags, water } },
      { name: 'setRepair', line: of.line, post: of.post, key: 'poured', value: poured },
    ])
  }
  const release = (pour: string, reading: Omit<NonNullable<Pour['release']>, 'at'>) =>
    set(pour, 'release', { at: stamp().at, ...reading })
  const sawNoPowder = (pour: string, is: boolean) => set(pour, 'noPowder', is ? stamp() : null)
  const currentAt = (line: string, post: string) => session.job && pourAt(session.job, line, post)
  return { start, set, setNow, check, lift, release, sawNoPowder, currentAt }
}

function reckonedOf({ issuedAt, hours }: Forecast, start: number): NonNullable<Pour['reckoned']> {
  const first = Math.max(
    0,
    hours.findIndex(({ at }) => Date.parse(at) > start - (BEFORE + 1) * HOUR_MS),
  )
  const kept = hours.slice(first, first + BEFORE + AFTER)
  return { issuedAt, from: kept[0]!.at, temperatures: kept.map(({ temperature }) => temperature) }
}
