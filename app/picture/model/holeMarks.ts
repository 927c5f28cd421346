import { LEAST_COVER } from '~~/core/concrete/cover'
import type { MethodPlan } from '~~/core/plan/types'
import { widthAt, type DesignedHole } from '~~/core/repair/holeShape'
import { box, type Measure, type Point, type Solid } from '~~/core/repair/solids'
import type { ResolvedPost } from '~~/core/resolve/resolve'
import { sectionSize } from '~~/core/timber/section'
import type { Metres } from '~~/core/units/types'
import type { Note } from './geometry'

/* What the hole showed: its layers, what was met in it, and where concrete is thin. */

/** Layers are drawn so far to either side of the post, m. */
const REACH: Metres = 0.9

export interface LayerLine {
  key: string
  from: Point
  to: Point
}

/** Where one soil ends and the next begins. */
export const layerLines = ({ layers = [] }: Pick<ResolvedPost, 'layers'>): LayerLine[] =>
  layers.slice(0, -1).map(({ bottom }, i) => ({ key: `layer-${i}`, from: [-REACH, -bottom], to: [REACH, -bottom] }))

/** The soils by name, each beside its layer. */
export function layerNotes({ layers = [] }: Pick<ResolvedPost, 'layers'>, nameOf: (soil: string) => string): Note[] {
  return layers.map(({ soil, bottom }, i) => {
    const top = layers[i - 1]?.bottom ?? 0
    const shown = i === layers.length - 1 ? top + 0.2 : (top + bottom) / 2
    return { key: `soil-${i}`, at: [REACH * 0.6, -shown], text: nameOf(soil).toLowerCase(), side: 'right' }
  })
}

const SIDES = { left: -1, right: 1, front: 0, back: 0, 'all-round': 0 } as const
const USUAL_SIZE: Metres = 0.12
const MATTER = {
  root: 'wood',
  boulder: 'stone',
  service: 'steel',
  water: 'outline',
  'old-footing': 'old-concrete',
  plinth: 'old-concrete',
  'made-ground': 'loose',
  crater: 'loose',
  'tool-reach': 'outline',
} as const satisfies Record<NonNullable<ResolvedPost['met']>[number]['kind'], Solid['matter']>

/** What was met, at its depth and side of the hole. */
export function metSolids(
  { met = [] }: Pick<ResolvedPost, 'met'>,
  hole: DesignedHole | undefined,
  wordsOf: (kind: NonNullable<ResolvedPost['met']>[number]['kind']) => string,
): Solid[] {
  return met.map(({ kind, depth, side = 'all-round', size = USUAL_SIZE }, i) => {
    const half = hole ? widthAt(hole, Math.min(depth, hole.depth)) / 2 : 0.15
    const x = SIDES[side] * (half + size / 2) - (hole?.shift ?? 0)
    const isFlat = kind === 'water' || kind === 'tool-reach'
    const outline: Point[] = isFlat ? box(-half, half, -depth - 0.01, -depth) : roundly(x, -depth, size / 2)
    return { key: `met-${i}`, matter: MATTER[kind], outline, edge: 'solid', note: wordsOf(kind) }
  })
}

/** Eight corners read as a lump. */
const CORNERS = 8
const roundly = (x: Metres, y: Metres, radius: Metres): Point[] =>
  Array.from({ length: CORNERS }, (_, i) => {
    const turn = (2 * Math.PI * (i + 0.5)) / CORNERS
    return [x + radius * Math.cos(turn), y + radius * Math.sin(turn)]
  })

/** Concrete that is too thin round what stands in it, measured where it is. */
export function thinCover({ concrete, hole }: MethodPlan, { section }: Pick<ResolvedPost, 'section'>): Measure[] {
  if (!concrete || !hole || concrete.cover >= LEAST_COVER - 1e-9) return []
  const { shift = 0, footingBottom, fillTop } = hole
  const y = -(footingBottom + Math.max(0, fillTop)) / 2
  const half = sectionSize(section).along / 2
  // The post stands off to this side: there it is thin.
  const side = shift < 0 ? -1 : 1
  const edge = side * (widthAt(hole, -y) / 2) - shift
  return [
    {
      key: 'thin-cover',
      from: [side * half, y],
      to: [edge, y],
      side: 'below',
      length: Math.max(0, concrete.cover),
      says: 'of concrete at the corners: too thin',
      words: 'thin',
    },
  ]
}
