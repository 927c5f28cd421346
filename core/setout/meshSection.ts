import { InputError } from '../errors'
import type { Metres } from '../units/types'

export interface MeshSection {
  /** Between the faces of the two posts, m. */
  opening: Metres
  /** What an end cup stands off its post, inside, m. */
  cup: Metres
  /** Width of a diamond of the mesh, m. */
  diamond: Metres
  /** A tie or ring at every so many diamonds. */
  every: number
  /** Line post above ground, and what the top rail's end fitting asks more, m. */
  linePost: Metres
  fitting: Metres
  /** Slab on which the new post stands over the ground at the line post, m. */
  slabOver: Metres
  /** On one side alone mesh pulls at the post. */
  oneSided: boolean
  /** How far 50 N at mid-bay move it, where somebody tried, m. */
  moves?: Metres | undefined
}

export interface MeshFigures {
  /** New post over what it stands on, m. */
  post: Metres
  rail: Metres
  /** Whole diamonds, and the mesh that they make, m. */
  diamonds: number
  mesh: Metres
  /** What is pulled out of it when it is stretched, m. */
  stretch: Metres
  ties: number
  trussRod: boolean
  tension?: 'taut' | 'slack'
}

/** A pull of 50 N at mid-bay moves taut mesh no more than this, m; a working value. */
export const TAUT: Metres = 0.03

/**
 * A section of mesh from a line post to a gate post.
 *
 * @throws InputError where not even one diamond fits
 * @source opening in whole diamonds, stretched from one diamond in; rail between the end cups; a truss rod only where one
 *   side pulls alone
 * @example meshSection({ opening: 2.9, cup: 0.01, diamond: 0.06, every: 6, linePost: 1.8, fitting: 0.05, slabOver: 0.1,
 *   oneSided: true }) // post 1.75, rail 2.88, 48 diamonds, 2.88 m of mesh, 0.02 stretch, 7 ties
 */
export function meshSection(of: MeshSection): MeshFigures {
  const { opening, cup, diamond, every, linePost, fitting, slabOver, oneSided, moves } = of
  const diamonds = Math.floor(opening / diamond + 1e-9)
  if (diamonds < 1) throw new InputError('diamond', diamond, `at most the opening, ${opening} m`)
  const mesh = diamonds * diamond
  return {
    post: linePost + fitting - slabOver,
    rail: opening - 2 * cup,
    diamonds,
    mesh,
    stretch: opening - mesh,
    ties: Math.max(0, Math.ceil(diamonds / every - 1e-9) - 1),
    trussRod: oneSided,
    ...(moves === undefined ? {} : { tension: moves <= TAUT + 1e-9 ? 'taut' : 'slack' }),
  }
}
