import { strengthWithWater, type Mix } from '../concrete/bags'
import { resinMinutes, type Resin } from '../concrete/resin'
import { hardeningRate, mixPour, type Celsius, type Hardening, type Milestone, MILESTONES } from '../concrete/setting'
import type { Pour } from '../document/job'
import type { Tables } from '../tables/tables'
import type { Minutes, Pascals } from '../units/types'

/** How what was poured sets: until it can no longer be moved, and how strong it grows. */
export interface PourSetting {
  name: string
  /** It has been worked for so long when the sum of its rates comes to `works`. */
  works: Minutes
  rateOf: (celsius: Celsius) => number
  /** Of concrete; a resin's strength is its maker's, and only its time of curing counts. */
  concrete?: { hardening: Hardening; strength: Pascals | undefined; hard: Minutes }
  /** Of a resin: as `works`, until it may be loaded. */
  cures?: { wanted: number; rateOf: (celsius: Celsius) => number }
}

type Poured = Pick<Pour, 'mix' | 'lifts'>

/**
 * @returns undefined for a mix that the tables no longer have
 * @example settingOf({ mix: 'post-mix-20', lifts: [] }, tables).works // 5, at 20 °C
 */
export function settingOf({ mix: key, lifts }: Poured, { mixes, resins }: Pick<Tables, 'mixes' | 'resins'>) {
  const mix = mixes.find((each) => each.key === key)
  if (mix) return concreteSetting(mix, lifts)
  const resin = resins.find((each) => each.key === key)
  return resin && resinSetting(resin)
}

function concreteSetting(mix: Mix, lifts: Pour['lifts']): PourSetting {
  const { hardening, stiffens, strength } = mixPour(mix)
  return {
    name: mix.name,
    works: stiffens,
    rateOf: hardeningRate,
    concrete: { hardening, strength: mix.supply === 'bag' ? strengthOf(mix, lifts) : strength, hard: mix.hard },
  }
}

/** By the water that went in; by the label where nobody counted. */
function strengthOf(mix: Extract<Mix, { supply: 'bag' }>, lifts: Pour['lifts'] = []): Pascals {
  const bags = lifts.reduce((sum, each) => sum + each.bags, 0)
  const water = lifts.reduce((sum, each) => sum + each.water, 0)
  return bags > 0 ? strengthWithWater(mix, water / bags - mix.waterMixed) : mix.strength
}

const resinSetting = (resin: Resin): PourSetting => ({
  name: resin.name,
  works: 1,
  rateOf: (celsius) => 1 / resinMinutes(resin, 'works', celsius),
  cures: { wanted: 1, rateOf: (celsius) => 1 / resinMinutes(resin, 'cures', celsius) },
})

/** What fresh concrete may be asked to do, by load, beside what every pour waits for. */
export interface LoadMilestone extends Omit<Milestone, 'key'> {
  key: Milestone['key'] | 'form' | 'box'
}

/** A box or a sign weighs what the props bear against: it may go on when they come off; the form earlier. Working values. */
const FORM: LoadMilestone = {
  key: 'form',
  says: 'form off, edges trowelled, then kept damp',
  share: 0.1,
  strength: 2e6,
}
const BOX: LoadMilestone = { key: 'box', says: 'box or sign hung', share: 0.3, strength: 3e6 }

export const LOAD_MILESTONES: readonly LoadMilestone[] = [FORM, MILESTONES[0]!, BOX, ...MILESTONES.slice(1)]
