/* Words of the job document that no single trade owns. */

export const JOB_FORMAT = 'vindex-job'
export const JOB_VERSION = 1

export const DUTIES = [
  'line',
  'end',
  'corner',
  'gate-hinge',
  'gate-latch',
  'roadside-box',
  'load-bearing',
  'plate-mounted',
] as const

export const FOOTING_KINDS = ['none', 'soil', 'stone', 'concrete', 'plate', 'sleeve', 'unknown'] as const

export const MARK_KINDS = ['service', 'root', 'downpipe', 'wall', 'tree'] as const
export const SERVICES = ['electricity', 'gas', 'water', 'drain', 'telecom', 'unknown'] as const

export const HOLE_SHAPES = ['round', 'square'] as const
