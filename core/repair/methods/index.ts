import type { RepairMethod } from '../method'
import { makeSafe } from './makeSafe'
import { newPostConcrete } from './newPostConcrete'
import { recastFooting } from './recastFooting'
import { repairSpur } from './repairSpur'
import { steelPin } from './steelPin'

/** Every method, in the order in which equals are listed. */
export const repairMethods: readonly RepairMethod[] = [repairSpur, recastFooting, steelPin, newPostConcrete, makeSafe]
