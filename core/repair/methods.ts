import type { RepairMethod } from './method'
import { makeSafe } from './methods/makeSafe'
import { newPostConcrete } from './methods/newPostConcrete'
import { recastFooting } from './methods/recastFooting'
import { repairSpur } from './methods/repairSpur'
import { steelPin } from './methods/steelPin'

/** Every method, in the order in which equals are listed. */
export const repairMethods: readonly RepairMethod[] = [repairSpur, recastFooting, steelPin, newPostConcrete, makeSafe]
