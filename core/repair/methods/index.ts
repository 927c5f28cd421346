import type { RepairMethod } from '../method'
import { braceAndResettle } from './braceAndResettle'
import { makeSafe } from './makeSafe'
import { newPostConcrete } from './newPostConcrete'
import { plateOnSlab } from './plateOnSlab'
import { recastFooting } from './recastFooting'
import { refixPanels } from './refixPanels'
import { repairSpur } from './repairSpur'
import { steelPin } from './steelPin'

/** Every method, in the order in which equals are listed. */
export const repairMethods: readonly RepairMethod[] = [
  refixPanels,
  braceAndResettle,
  plateOnSlab,
  repairSpur,
  recastFooting,
  steelPin,
  newPostConcrete,
  makeSafe,
]
