import type { ObservationKey } from './observations'

/** The order in which a post is looked at when nobody advises: as people stand before it. */
export const LOOK_ORDER: readonly ObservationKey[] = [
  'pushPivot',
  'comesUpright',
  'lean',
  'leanPattern',
  'probeAtGround',
  'probeBelow',
  'probeAbove',
  'moisturePercent',
  'tap',
  'breakFace',
  'wrap',
  'groundAround',
  'footingFound',
  'onset',
  'gate',
  'sideLoad',
  'fixings',
]
