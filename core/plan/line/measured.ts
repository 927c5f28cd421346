import type { Job } from '../../document/job'
import { groundCapacity } from '../../ground/postInGround'
import { foretold, safePull, scaleFrom, weighed, type MeasuredScale } from '../../ground/pullTest'
import { ignoredTop } from '../../ground/soil'
import { groundMemory, postContext, type GroundMemory, type PostContext } from '../../repair/context'
import { softAtGround, standingSegments, isHinged } from '../../repair/standing'
import { sectionProperties } from '../../timber/section'
import { resolveJob, soilOf, type MeasuredGround, type ResolvedLine, type ResolvedSite } from '../../resolve/resolve'
import type { Tables } from '../../tables/tables'
import type { Metres, Newtons } from '../../units/types'

/**
 * What the pulls on a line's posts say of its soils: one scale for each soil of the line, the readings of all its
 * posts together. A pull says nothing on a post that hinges, that carries people, or whose footing nobody measured.
 *
 * @returns by soil, see {@link soilOf}
 */
export function measuredGround(
  site: ResolvedSite,
  line: ResolvedLine,
  tables: Tables,
  memory: GroundMemory,
): Record<string, MeasuredGround> {
  const pulled = line.posts.filter(({ pulls }) => pulls !== undefined && pulls.length > 0)
  const bySoil = new Map<string, { readings: number[][]; isHeld: boolean }>()
  for (const post of pulled) {
    const context = postContext(site, line, post, tables, memory)
    const readings = readingsOf(context)
    if (readings.length === 0) continue
    const known = bySoil.get(soilOf(post)) ?? { readings: [], isHeld: true }
    bySoil.set(soilOf(post), {
      readings: [...known.readings, ...readings],
      isHeld: known.isHeld && post.pulls!.every(({ held, saturated }) => held === true && saturated === true),
    })
  }
  return Object.fromEntries(
    [...bySoil].map(([soil, { readings, isHeld }]) => [soil, counted(scaleFrom(readings), readings.length, isHeld)]),
  )
}

export interface PullAdvice {
  /** Hardest pull at the height of a chest, N. */
  most?: Newtons
  /** Why it must not be pulled, or says nothing. */
  because?: string
}

/** Height at which a rope is easily pulled square, m. */
const CHEST: Metres = 1.2

/** How hard one post may be pulled, or why not. */
export function pullAdvice(job: Job, tables: Tables, postId: string): PullAdvice {
  const { site, lines } = resolveJob(job, tables)
  const line = lines.find(({ posts }) => posts.some(({ id }) => id === postId))
  const post = line?.posts.find(({ id }) => id === postId)
  if (!line || !post) return {}
  const context = postContext(site, line, post, tables, groundMemory())
  if (post.duties.includes('load-bearing')) return { because: 'It carries a load: nobody pulls at it.' }
  if (isHinged(context))
    return { because: 'It turns above its footing: a pull says nothing of the ground. Pull a neighbour.' }
  const segments = standingSegments(context)
  if (!context.earth || !segments)
    return { because: 'Its footing is not measured: say its width and depth in Walk, or pull a neighbour whose is.' }
  const { lean } = groundCapacity({
    ...context.earth,
    ignoredTop: ignoredTop(context.soil!, site.season),
    segments,
    height: CHEST,
  })
  return { most: safePull(lean) }
}

/** Soil that is loaded for a second is stronger, and a dry summer's clay is not winter's: no more than the book then. */
function counted(measured: MeasuredScale, pulls: number, isHeld: boolean): MeasuredGround {
  const used = isHeld ? measured.scale : Math.min(1, measured.scale)
  return { ...measured, used, pulls, isHeld }
}

function readingsOf(context: PostContext): number[][] {
  const { post, material, soil } = context
  const segments = standingSegments(context)
  if (!segments || !soil || !material.stiffness || isHinged(context) || post.duties.includes('load-bearing')) return []
  const bending = material.stiffness * sectionProperties(post.section, softAtGround(context)).inertia
  if (bending <= 0) return []
  return post.pulls!.map(({ movement, saturated = false, ...pull }) => {
    // The ground of that day, its top counted too.
    const ground = { ...context.groundWhen(saturated), ignoredTop: 0, segments }
    return weighed(foretold({ post: ground, stiffness: bending }, pull), movement)
  })
}
