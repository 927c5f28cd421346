import { softAtGroundOf } from '~~/core/cause/observations'
import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import type { MethodPlan } from '~~/core/plan/types'
import type { RepairParts } from '~~/core/tables/parts'
import { leanSlopes } from '~~/core/setout/lean'
import { sectionSize } from '~~/core/timber/section'
import type { Metres } from '~~/core/units/types'
import { box, leaning, type Dimension, type Note, type Shape } from './geometry'
import { buriedDepth, matterOf, outlineOf, standingFooting } from './standing'

export interface SectionModel {
  shapes: Shape[]
  dimensions: Dimension[]
  notes: Note[]
  /** Where the plumb post would stand, when it leans. */
  plumb?: { from: [Metres, Metres]; to: [Metres, Metres] }
}

/** Depth to which decay is drawn above and below the ground line, m. */
const DECAY_UP = 0.06
const DECAY_DOWN = 0.12
/** A spurred post is cut back to this height, m. */
const CUT_BACK = 0.04

/**
 * One post as a full section: as it stands, or with a repair.
 *
 * @param method absent for the post as it stands
 * @returns shapes in metres from the foot of the post at the ground
 */
export function sectionModel(
  line: ResolvedLine,
  post: ResolvedPost,
  parts: RepairParts,
  method?: MethodPlan,
): SectionModel {
  if (!method || method.method === 'make-safe') return standing(line, post)
  switch (method.method) {
    case 'repair-spur':
      return spurred(line, post, parts, method)
    case 'steel-pin':
      return pinned(line, post, parts, method)
    case 'recast-footing':
      return inNewConcrete(line, post, method, 'wood')
    default:
      return inNewConcrete(line, post, method, 'new-wood')
  }
}

function standing(line: ResolvedLine, post: ResolvedPost): SectionModel {
  const slope = leanSlopes(post.observations.lean).along
  const { along } = sectionSize(post.section)
  const shapes: Shape[] = [
    ...standingFooting(post),
    { key: 'buried', matter: 'wood', points: leaning(along, -buriedDepth(line, post), 0, slope), outline: 'thin' },
    { key: 'post', matter: matterOf(post), points: leaning(along, 0, line.height, slope), outline: outlineOf(post) },
    ...decay(post, along, slope),
  ]
  const top = slope * line.height
  const dimensions: Dimension[] =
    Math.abs(top) < 0.005
      ? []
      : [
          {
            key: 'lean',
            from: [0, line.height + 0.1],
            to: [top, line.height + 0.1],
            side: 'above',
            length: Math.abs(top),
            words: 'off plumb',
          },
        ]
  return {
    shapes,
    dimensions: [...dimensions, ...footingDimensions(post)],
    notes: decayNotes(post, along),
    ...(dimensions.length > 0 ? { plumb: { from: [0, 0], to: [0, line.height + 0.1] } } : {}),
  }
}

function inNewConcrete(
  line: ResolvedLine,
  post: ResolvedPost,
  method: MethodPlan,
  matter: 'wood' | 'new-wood',
): SectionModel {
  const { along } = sectionSize(post.section)
  const hole = method.hole!
  const bottom = matter === 'wood' ? Math.min(buriedDepth(line, post), hole.footingBottom) : hole.footingBottom
  const shapes: Shape[] = [
    ...(matter === 'wood' ? [] : oldFootingLeft(post, hole.diameter)),
    ...holeShapes(method),
    { key: 'post', matter, points: box(-along / 2, along / 2, -bottom, line.height), outline: 'solid' },
  ]
  return { shapes, dimensions: holeDimensions(method), notes: [] }
}

function spurred(line: ResolvedLine, post: ResolvedPost, parts: RepairParts, method: MethodPlan): SectionModel {
  const { along } = sectionSize(post.section)
  const spur = parts.lists.spur.rows.find((each) => each.key === method.parts?.spur)!
  const left = along / 2
  const centre = left + spur.size / 2
  const above = spur.length / 2
  const fixings = [spur.lowerFixing, spur.upperFixing].map(
    (height, i): Shape => ({
      key: `fixing-${i}`,
      matter: 'steel',
      points: box(-along / 2 - 0.02, left + spur.size + 0.02, height - 0.008, height + 0.008),
      outline: 'thin',
    }),
  )
  const head: Shape = {
    key: 'spur',
    matter: 'concrete',
    points: [
      [left, -Math.min(above, method.hole!.footingBottom)],
      [left + spur.size, -Math.min(above, method.hole!.footingBottom)],
      [left + spur.size, above],
      [left + spur.size / 2, above],
      [left, above - spur.size / 2],
    ],
    outline: 'solid',
  }
  const shapes: Shape[] = [
    ...oldFootingLeft(post, method.hole!.diameter),
    ...holeShapes(method, centre),
    { key: 'decay', matter: 'decay', points: box(-along / 2, along / 2, -DECAY_DOWN, CUT_BACK), outline: 'broken' },
    { key: 'post', matter: 'wood', points: box(-along / 2, along / 2, CUT_BACK, line.height), outline: 'solid' },
    head,
    ...fixings,
  ]
  const weakest = method.links.find((link) => link.link === method.weakest)
  const height =
    method.weakest === 'upper-fixing'
      ? spur.upperFixing
      : method.weakest === 'lower-fixing'
        ? spur.lowerFixing
        : undefined
  return {
    shapes,
    dimensions: [
      ...holeDimensions(method, centre),
      {
        key: 'spur-above',
        from: [left + spur.size + 0.12, 0],
        to: [left + spur.size + 0.12, above],
        side: 'right',
        length: above,
      },
    ],
    notes: [
      { key: 'cut', at: [-along / 2, CUT_BACK], text: 'cut back to sound wood', side: 'left' },
      ...(height !== undefined && weakest
        ? [
            {
              key: 'weakest',
              at: [-along / 2, height] as const,
              text: `${weakest.name} is the weakest link`,
              side: 'left' as const,
            },
          ]
        : []),
    ],
  }
}

function pinned(line: ResolvedLine, post: ResolvedPost, parts: RepairParts, method: MethodPlan): SectionModel {
  const { along } = sectionSize(post.section)
  const pin = parts.lists.pin.rows.find((each) => each.key === method.parts?.pin)!
  return {
    shapes: [
      ...standingFooting(post),
      { key: 'post', matter: 'wood', points: box(-along / 2, along / 2, 0.01, line.height), outline: 'solid' },
      {
        key: 'pin',
        matter: 'steel',
        points: box(-pin.diameter / 2, pin.diameter / 2, -buriedDepth(line, post), pin.insertion),
        outline: 'solid',
      },
    ],
    dimensions: [
      {
        key: 'pin',
        from: [along / 2 + 0.1, 0],
        to: [along / 2 + 0.1, pin.insertion],
        side: 'right',
        length: pin.insertion,
      },
    ],
    notes: [],
  }
}

function holeShapes(method: MethodPlan, centre = 0): Shape[] {
  const { diameter, depth, footingBottom, fillTop, stoneBed } = method.hole!
  const left = centre - diameter / 2
  const right = centre + diameter / 2
  const top = Math.max(0, fillTop)
  return [
    ...(top > 0
      ? [{ key: 'topping', matter: 'topping', points: box(left, right, -top, 0), outline: 'none' } as const]
      : []),
    ...(stoneBed > 0
      ? [{ key: 'stone', matter: 'stone', points: box(left, right, -depth, -footingBottom), outline: 'solid' } as const]
      : []),
    { key: 'fill', matter: 'new-concrete', points: box(left, right, -footingBottom, -fillTop), outline: 'solid' },
  ]
}

function holeDimensions(method: MethodPlan, centre = 0): Dimension[] {
  const { diameter, depth } = method.hole!
  const right = centre + diameter / 2
  return [
    { key: 'depth', from: [right + 0.14, 0], to: [right + 0.14, -depth], side: 'right', length: depth },
    {
      key: 'diameter',
      from: [centre - diameter / 2, -depth - 0.1],
      to: [right, -depth - 0.1],
      side: 'below',
      length: diameter,
    },
  ]
}

/** What shows of the old footing beside a new hole. */
function oldFootingLeft(post: ResolvedPost, newDiameter: Metres): Shape[] {
  return standingFooting(post)
    .filter(() => (post.footing?.diameter ?? 0) > 0 && newDiameter > 0)
    .map((shape) => ({ ...shape, key: 'old-footing', outline: 'dashed' as const }))
}

function footingDimensions(post: ResolvedPost): Dimension[] {
  const { diameter, bottom } = post.footing ?? {}
  if (standingFooting(post).length === 0) return []
  return [
    {
      key: 'footing',
      from: [diameter! / 2 + 0.12, 0],
      to: [diameter! / 2 + 0.12, -bottom!],
      side: 'right',
      length: bottom!,
    },
  ]
}

function decay(post: ResolvedPost, along: Metres, slope: number): Shape[] {
  const soft = Math.min(softAtGroundOf(post.observations), along / 2)
  if (soft <= 0) return []
  const half = along / 2
  const at = (x: Metres, y: Metres) => [x + slope * y, y] as const
  return [-1, 1].map((side) => ({
    key: `decay-${side}`,
    matter: 'decay' as const,
    outline: 'none' as const,
    points: [
      at(side * half, DECAY_UP),
      at(side * (half - soft), 0),
      at(side * (half - soft), -DECAY_DOWN),
      at(side * half, -DECAY_DOWN),
    ],
  }))
}

function decayNotes(post: ResolvedPost, along: Metres): Note[] {
  return softAtGroundOf(post.observations) > 0
    ? [{ key: 'decay', at: [-along / 2, 0], text: 'soft wood', side: 'left' }]
    : []
}
