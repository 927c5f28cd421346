import { InputError } from '../errors'
import { coverOf, LEAST_COVER } from '../concrete/cover'
import { holeVolumes } from '../concrete/volume'
import { sectionSize, type Section } from '../timber/section'
import type { CubicMetres, Metres, Minutes } from '../units/types'
import { recommendedDepth, type DepthQuestion } from './depthRules'

export interface HoleTools {
  /** Diameters that can be dug, m. */
  diameters: readonly Metres[]
  /** Deepest that the tools reach, m. */
  reach: Metres
}

export interface HoleCosts {
  /** Litres per minute in this soil. */
  digging: number
  /** Minutes that a litre of concrete takes to mix and place. */
  pouring: number
  /** What a cubic metre of concrete and a minute weigh against each other. */
  perCubicMetre: number
  perMinute: number
}

/** Money for a cubic metre of concrete, and for a minute: only their ratio tells. Working values. */
export const USUAL_WEIGHTS = { perCubicMetre: 150, perMinute: 0.6 }

export interface FoundHole {
  diameter: Metres
  /** Foot of the concrete, m. */
  footing: Metres
  /** Dug, with the stone bed, m. */
  depth: Metres
  concrete: CubicMetres
  minutes: Minutes
  cost: number
  /** The rule that asks for the depth. */
  rule: string
  /** Deeper than the tools reach. */
  outOfReach: boolean
  /** Leaves less concrete at the post's corners than keeps it. */
  thinCover: boolean
  /** False where no depth at this width holds the target: the depth is only what the other rules ask. */
  holds: boolean
}

export interface HoleSearch {
  /** Cheapest hole that holds and is within reach; null when there is none. */
  best: FoundHole | null
  /** Every diameter with its depth: the whole curve. */
  curve: FoundHole[]
}

/**
 * The cheapest hole that holds the target, stands below the frost and obeys the local minimum.
 *
 * @param question its `width` is replaced by each diameter in turn
 * @throws InputError without diameters
 */
export function findHole(
  question: DepthQuestion,
  post: Section,
  stoneBed: Metres,
  fillTop: Metres,
  tools: HoleTools,
  costs: HoleCosts,
): HoleSearch {
  if (tools.diameters.length === 0) throw new InputError('diameters', tools.diameters, 'at least one diameter')
  const size = sectionSize(post)
  const curve = [...tools.diameters]
    .sort((a, b) => a - b)
    .map((diameter): FoundHole => {
      const { depth: footing, rule, noHoleHolds } = recommendedDepth({ ...question, width: diameter })
      const depth = footing + stoneBed
      const volumes = holeVolumes({
        hole: { shape: 'round', diameter, depth, stoneBed, fillTop },
        post,
        ground: question.soil.kind,
      })
      const minutes = (volumes.hole * 1e3) / costs.digging + volumes.concrete * 1e3 * costs.pouring
      return {
        diameter,
        footing,
        depth,
        concrete: volumes.concrete,
        minutes,
        cost: volumes.concrete * costs.perCubicMetre + minutes * costs.perMinute,
        rule,
        outOfReach: depth > tools.reach + 1e-9,
        thinCover: coverOf(diameter, size.along, size.across) < LEAST_COVER - 1e-9,
        holds: !noHoleHolds,
      }
    })
  const open = curve.filter((hole) => hole.holds && !hole.outOfReach && !hole.thinCover)
  const best = open.reduce<FoundHole | null>((least, hole) => (least && least.cost <= hole.cost ? least : hole), null)
  return { best, curve }
}
