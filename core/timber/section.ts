import type { Metres, SquareMetres } from '../units/types'

/** `along` the line, `across` the line; `wall` is a tube's or hollow profile's thickness. */
export type Section =
  | { shape: 'rectangle'; along: Metres; across: Metres }
  | { shape: 'round'; diameter: Metres }
  | { shape: 'tube'; diameter: Metres; wall: Metres }
  | { shape: 'hollow'; along: Metres; across: Metres; wall: Metres }

export interface SectionProperties {
  /** Elastic modulus, bending across the line, m³. */
  modulus: number
  /** Second moment of area, bending across the line, m⁴. */
  inertia: number
  modulusAlong: number
  inertiaAlong: number
  /** Plastic modulus, bending across the line, m³. */
  plasticModulus: number
  area: SquareMetres
}

/** Soft wood measured face by face, m: `start` and `end` look along the line, `front` and `back` across it. */
export interface SoftFaces {
  start: Metres
  end: Metres
  front: Metres
  back: Metres
}

/**
 * Section properties of what is left when the outer faces have gone soft.
 *
 * @param soft depth of soft wood on every face, or face by face, m; what is left may be nothing.
 *   Only a solid rectangle knows its faces: other shapes take the deepest of them all round
 * @source elementary bending theory
 * @example sectionProperties({ shape: 'rectangle', along: 0.1, across: 0.1 }).modulus // 1.667e-4 m³
 */
export function sectionProperties(section: Section, soft: Metres | SoftFaces = 0): SectionProperties {
  if (typeof soft !== 'number') {
    const { start, end, front, back } = soft
    if (section.shape !== 'rectangle') return sectionProperties(section, Math.max(start, end, front, back))
    return rectangle(Math.max(0, section.along - start - end), Math.max(0, section.across - front - back))
  }
  switch (section.shape) {
    case 'rectangle':
      return rectangle(left(section.along, soft), left(section.across, soft))
    case 'round':
      return round(left(section.diameter, soft))
    case 'tube': {
      const outer = left(section.diameter, soft)
      return minus(round(outer), round(left(section.diameter, section.wall)), outer, outer)
    }
    case 'hollow': {
      const along = left(section.along, soft)
      const across = left(section.across, soft)
      const inner = rectangle(left(section.along, section.wall), left(section.across, section.wall))
      return minus(rectangle(along, across), inner, along, across)
    }
  }
}

const left = (size: Metres, soft: Metres) => Math.max(0, size - 2 * soft)

function rectangle(along: Metres, across: Metres): SectionProperties {
  return {
    modulus: (along * across ** 2) / 6,
    inertia: (along * across ** 3) / 12,
    modulusAlong: (across * along ** 2) / 6,
    inertiaAlong: (across * along ** 3) / 12,
    plasticModulus: (along * across ** 2) / 4,
    area: along * across,
  }
}

function round(diameter: Metres): SectionProperties {
  const modulus = (Math.PI * diameter ** 3) / 32
  const inertia = (Math.PI * diameter ** 4) / 64
  return {
    modulus,
    inertia,
    modulusAlong: modulus,
    inertiaAlong: inertia,
    plasticModulus: diameter ** 3 / 6,
    area: (Math.PI * diameter ** 2) / 4,
  }
}

/** A hollow section: the second moments subtract, the moduli follow from them. */
function minus(outer: SectionProperties, inner: SectionProperties, along: Metres, across: Metres): SectionProperties {
  const inertia = Math.max(0, outer.inertia - inner.inertia)
  const inertiaAlong = Math.max(0, outer.inertiaAlong - inner.inertiaAlong)
  return {
    modulus: across > 0 ? inertia / (across / 2) : 0,
    inertia,
    modulusAlong: along > 0 ? inertiaAlong / (along / 2) : 0,
    inertiaAlong,
    plasticModulus: Math.max(0, outer.plasticModulus - inner.plasticModulus),
    area: Math.max(0, outer.area - inner.area),
  }
}

/** Size of a section measured along and across the line, m. */
export function sectionSize(section: Section): { along: Metres; across: Metres } {
  return 'diameter' in section
    ? { along: section.diameter, across: section.diameter }
    : { along: section.along, across: section.across }
}

/** Closer than this two sections are one: a size typed in inches and the same size listed in millimetres, m. */
const SAME_SIZE: Metres = 0.0005

/**
 * Whether two sections are of one shape and size, whatever the order of their keys.
 *
 * @example sameSection({ shape: 'round', diameter: 0.1 }, { diameter: 0.1, shape: 'round' }) // true
 */
export function sameSection(a: Section, b: Section): boolean {
  const wall = (section: Section) => ('wall' in section ? section.wall : 0)
  const [one, other] = [sectionSize(a), sectionSize(b)]
  const isClose = (left: Metres, right: Metres) => Math.abs(left - right) < SAME_SIZE
  return (
    a.shape === b.shape &&
    isClose(one.along, other.along) &&
    isClose(one.across, other.across) &&
    isClose(wall(a), wall(b))
  )
}

/**
 * Area that the section takes out of a hole, hollow profiles counted as closed, m².
 *
 * @example grossArea({ shape: 'rectangle', along: 0.1, across: 0.1 }) // 0.01 m²
 */
export function grossArea(section: Section): SquareMetres {
  const { along, across } = sectionSize(section)
  return 'diameter' in section ? (Math.PI * along ** 2) / 4 : along * across
}
