import type { Cause } from '../cause/tables'
import type { RoundVoid } from '../concrete/volume'
import type { MethodRow, PartRow } from '../tables/parts'
import { row } from '../tables/tables'
import type { Section } from '../timber/section'
import type { CubicMetres, Metres } from '../units/types'
import type { PostContext } from './context'
import type { DesignedHole } from './holeShape'
import type { LinkCapacity } from './links'
import type { Solid } from './solids'

/** Parts by their kind: what a method is made with. */
export type Choice = Readonly<Record<string, string>>

export interface Verdict {
  verdict: 'allowed' | 'refused' | 'not-known'
  /** Every reason against, in words; none when it is allowed. */
  reasons: string[]
}

/** Demand against capacity of what is no link on the scale of gusts: bearing, play, anchors, slab. */
export interface Check {
  check: string
  demand: number
  capacity: number
  unit: string
}

/** What goes into a hole. */
export interface Fill {
  kind: 'concrete' | 'stone' | 'soil'
  /** Of {@link Earthwork.holes}. */
  hole: number
  /**
   * Standing in it from its top down to `foot` below ground, or to its bottom. Concrete needs no keeping from water:
   * its cover is that of its faces.
   */
  castIn?: { section: Section; foot?: Metres; isConcrete?: true }
  /** Room beyond the hole that the old block left. */
  leftBy?: RoundVoid
  /** Room that is left to fill where it is not the hole's own, m³: beside an old block. */
  room?: CubicMetres
  /** So many holes alike, dug and filled the same; one when absent. */
  times?: number
}

export interface Earthwork {
  holes: readonly DesignedHole[]
  fills: readonly Fill[]
  /** Old concrete to break out, m³. */
  oldConcrete?: CubicMetres
}

/** What a method comes to on one post. */
export interface Design {
  /** Each made through the context, so that none forgets the steady loads. */
  links: readonly LinkCapacity[]
  checks?: readonly Check[]
  earthwork?: Earthwork
  /** What is cut to a length has it, m. */
  parts: readonly { kind: string; key: string; count: number; length?: Metres }[]
  /** What stands where when it is done, drawn when a screen asks; where there is no `post` among it the old one stays as it stands. */
  stands: () => readonly Solid[]
  cautions?: readonly string[]
  /** The post to buy, where there is a new one: from its foot to the top of the fence, m. */
  newPost?: { length: Metres; section: Section }
  /** Steps of the method that have nothing to do here. */
  skips?: readonly string[]
}

/**
 * A way to repair a post, whole: plan, sheet, drawing and load list read it.
 *
 * Adding one is a module of this shape, a row of data under its key, and a line in `methods/index.ts`.
 */
export interface RepairMethod {
  key: string
  /** What of the old it takes out: a sound post, a sound footing stays where something else will do. */
  takesOut: readonly ('post' | 'footing')[]
  /** The post can be lifted out afterwards. */
  comesOut?: true
  /** Where it is open, but nobody would take it before another that does as much. */
  unsuited?: (context: PostContext) => boolean
  /** Holds for days: never measured by the wind of years. */
  isStopGap?: true
  /** Kinds of parts that it is made with, each a list of the tables. */
  needs: readonly string[]
  /** Causes that it takes away, some only under a condition. */
  answers: (context: PostContext) => ReadonlyMap<Cause, 'yes' | { onlyIf: string }>
  /** Reasons against it that no choice of its parts would change; none where it can be done. */
  against: (context: PostContext) => readonly string[]
  /** What it may be made with, best first: the first that is allowed is offered. */
  variants: (context: PostContext) => readonly Choice[]
  design: (context: PostContext, choice: Choice) => Design
  /** What speaks against one design of it, beside that; nothing where any can be made. */
  verdict?: (context: PostContext, design: Design) => Verdict
}

/** Name, minutes, steps and cautions of a method: its row of data. */
export const methodRow = (key: string, { tables }: PostContext): MethodRow => row(tables.parts.methods, key)

/** Causes that name the method as their answer, in the tables of causes or in the method's own row. */
export function answersByTable(key: string): RepairMethod['answers'] {
  return (context) => {
    const own = methodRow(key, context).answers ?? []
    const named = context.tables.causes.causes.filter(({ answeredBy }) => answeredBy.includes(key))
    return new Map([...named.map((cause) => cause.key), ...own].map((cause) => [cause, 'yes']))
  }
}

export const verdictOf = (reasons: string[]): Verdict => ({
  verdict: reasons.length === 0 ? 'allowed' : 'refused',
  reasons,
})

/** What cannot be judged before somebody has looked; what stops it anyhow stands first. */
export const lookFirst = (reasons: string[], look: string): Verdict =>
  reasons.length > 0 ? verdictOf(reasons) : { verdict: 'not-known', reasons: [look] }

/** Steps of taking out the old that have nothing to do where there is no wood, no fence or no concrete. */
export function oldOutSteps({ material, line }: PostContext): string[] {
  return [
    ...(material.wood ? [] : ['stump', 'cut-back']),
    ...(line.kind === 'single' ? ['prop', 'free-rails', 'lift-panels'] : []),
  ]
}

/** Reasons against any method that trusts the ground or carries people. */
export function commonRefusals({ post, noFigure }: PostContext): string[] {
  const reasons: string[] = []
  if (noFigure) reasons.push(noFigure.advice)
  if (post.duties.includes('load-bearing'))
    reasons.push('This post carries a load: a licensed builder or engineer decides.')
  return reasons
}

/** Rows of a list that are sold where people measure so. */
export const soldHere = <R extends PartRow>(
  { tables }: Pick<PostContext, 'tables'>,
  rows: readonly R[],
): readonly R[] => rows.filter(({ soldIn }) => soldIn === undefined || soldIn === tables.units)

/**
 * The part of a kind that somebody chose for this post.
 *
 * @param otherwise key of the one that is taken where nobody chose
 */
export function chosenPart({ post }: PostContext, kind: string, otherwise: string): string {
  const { repair } = post
  // Older files have some kinds by their name.
  const named = (repair as Readonly<Record<string, unknown>> | undefined)?.[kind]
  return repair?.parts?.[kind] ?? (typeof named === 'string' ? named : otherwise)
}
