import type { Link } from '~~/core/repair/links'
import { extentOf, type Measure, type Solid } from '~~/core/repair/solids'
import type { ResolvedLine, ResolvedPost } from '~~/core/resolve/resolve'
import { leanSlopes } from '~~/core/setout/lean'
import type { Metres } from '~~/core/units/types'
import type { Note } from './geometry'
import { decaySolids, footingMeasures, standingSolids } from './standing'

export interface SectionModel {
  shapes: readonly Solid[]
  dimensions: Measure[]
  notes: Note[]
  /** Where the plumb post would stand, when it leans. */
  plumb?: { from: [Metres, Metres]; to: [Metres, Metres] }
}

/** A repair as it is to be drawn: what its method says stands where, and which link is the weakest. */
export interface DrawnRepair {
  stands: readonly Solid[]
  weakest?: Pick<Link, 'link' | 'name'>
}

/** A smaller offset of the top is plumb to the eye, m. */
const PLUMB: Metres = 0.005

/**
 * One post as a full section: as it stands, or with a repair. Whatever the method, its solids say what is drawn.
 *
 * @param repair absent for the post as it stands; one that sets no post leaves it so, with what is put beside it
 * @returns shapes in metres from the foot of the post at the ground
 */
export function sectionModel(line: ResolvedLine, post: ResolvedPost, repair?: DrawnRepair): SectionModel {
  if (!repair) return asItStands(line, post)
  const { stands, weakest } = repair
  const isKept = !stands.some(({ key }) => key === 'post')
  const named = stands.map((solid) =>
    weakest && solid.link === weakest.link ? { ...solid, note: `weakest: ${weakest.name}` } : solid,
  )
  const dimensions = stands.flatMap(({ measures = [] }) => measures)
  if (!isKept) return { shapes: stands, dimensions, notes: notesOf(named) }
  const kept = asItStands(line, post)
  return {
    ...kept,
    shapes: [...kept.shapes, ...stands],
    dimensions: [...kept.dimensions, ...dimensions],
    notes: [...kept.notes, ...notesOf(named)],
  }
}

function asItStands(line: ResolvedLine, post: ResolvedPost): SectionModel {
  const shapes = [...standingSolids(line, post, 'thin'), ...decaySolids(post)]
  const top = leanSlopes(post.observations.lean).along * line.height
  const over = line.height + 0.1
  const leans = Math.abs(top) >= PLUMB
  const offPlumb: Measure = {
    key: 'lean',
    from: [0, over],
    to: [top, over],
    side: 'above',
    length: Math.abs(top),
    says: 'off plumb',
    words: 'off plumb',
  }
  return {
    shapes,
    dimensions: [...(leans ? [offPlumb] : []), ...footingMeasures(post)],
    notes: notesOf(shapes),
    ...(leans ? { plumb: { from: [0, 0], to: [0, over] } } : {}),
  }
}

/** Words stand to the left of what they speak of, at its foot where it begins above the ground. */
export function notesOf(shapes: readonly Solid[]): Note[] {
  return shapes.flatMap(({ key, note, outline }) => {
    if (!note) return []
    const { left, bottom, top } = extentOf(outline)
    const y = bottom >= 0 ? bottom : Math.min(0, top)
    return [{ key, at: [left, y] as const, text: note, side: 'left' as const }]
  })
}
