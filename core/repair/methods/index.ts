import type { RepairMethod } from '../method'
import { braceAndResettle } from './braceAndResettle'
import { besideTheOld } from './besideTheOld'
import { liftOutSleeve } from './liftOutSleeve'
import { makeSafe } from './makeSafe'
import { metalMender } from './metalMender'
import { newPier } from './newPier'
import { newPostConcrete } from './newPostConcrete'
import { newPostKeyed } from './newPostKeyed'
import { newPostStone } from './newPostStone'
import { plateOnSlab } from './plateOnSlab'
import { raisePier } from './raisePier'
import { recastFooting } from './recastFooting'
import { refixPanels } from './refixPanels'
import { repairSpur } from './repairSpur'
import { replaceRun } from './replaceRun'
import { steelPin } from './steelPin'
import { tieIn } from './tieIn'

/** Every method, in the order in which equals are listed. */
export const repairMethods: readonly RepairMethod[] = [
  refixPanels,
  braceAndResettle,
  plateOnSlab,
  repairSpur,
  recastFooting,
  steelPin,
  metalMender,
  newPostConcrete,
  newPostStone,
  newPostKeyed,
  liftOutSleeve,
  besideTheOld,
  raisePier,
  newPier,
  replaceRun,
  tieIn,
  makeSafe,
]

/** Those that hold for days, and are never measured by the wind of years. */
export const STOP_GAPS: ReadonlySet<string> = new Set(
  repairMethods.filter((each) => each.isStopGap).map(({ key }) => key),
)
