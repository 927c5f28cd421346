import { requireNumber } from '../errors'
import type { Metres } from '../units/types'
import { sectionProperties, sectionSize, type Section, type SectionProperties } from './section'

/*
 * What a bore, a notch or a rotten heart leaves of a section. The post is checked there as at
 * the ground line.
 */

/**
 * A hole bored right through, across the line: a bolt's. It takes its diameter out of the width
 * that bends under the wind.
 *
 * @param diameter m, ≥ 0
 * @source elementary bending theory; a round post counts as the square of the same modulus
 * @example a 12 mm bolt through 100 × 100: modulus 0.088 · 0.1² / 6 = 1.467e-4 m³
 */
export function boredThrough(section: Section, diameter: Metres): SectionProperties {
  const { along, across } = squared(section)
  return sectionProperties({ shape: 'rectangle', along: Math.max(0, along - diameter), across })
}

/**
 * A hole bored up the middle from the end: a pin's.
 *
 * @throws InputError when the bore is wider than the section
 * @example 33.4 mm up a 100 × 100 post: inertia 8.333e-6 − 6.1e-8 m⁴
 */
export function boredLengthwise(section: Section, diameter: Metres): SectionProperties {
  const whole = sectionProperties(section)
  if (diameter === 0) return whole
  const { along, across } = sectionSize(section)
  requireNumber('diameter', diameter, 0, Math.min(along, across), 'm')
  const bore = sectionProperties({ shape: 'round', diameter })
  const inertia = whole.inertia - bore.inertia
  const inertiaAlong = whole.inertiaAlong - bore.inertia
  return {
    modulus: inertia / (across / 2),
    inertia,
    modulusAlong: inertiaAlong / (along / 2),
    inertiaAlong,
    plasticModulus: whole.plasticModulus - bore.plasticModulus,
    area: whole.area - bore.area,
  }
}

/**
 * A notch cut into one face, as for a rail or a half-lap.
 *
 * @param depth of the notch, m, ≥ 0
 * @param face  `along`: cut into a face that looks along the line, narrowing the post there;
 *   `across`: into a face that looks across it, taking from the depth that the wind bends
 * @example 25 mm off the front of 100 × 100: modulus 0.1 · 0.075² / 6 = 9.375e-5 m³
 */
export function notched(section: Section, depth: Metres, face: 'along' | 'across'): SectionProperties {
  const size = squared(section)
  return sectionProperties({ shape: 'rectangle', ...size, [face]: Math.max(0, size[face] - depth) })
}

/**
 * What is left when the heart has rotted inside a sound, treated shell.
 *
 * @param shell sound wood on every face, m, > 0; more than half the section is the section itself
 * @example 20 mm of shell on 100 × 100: a hollow profile, modulus 1.451e-4 m³, 87 % of the whole
 */
export function soundShell(section: Section, shell: Metres): Section {
  const { along, across } = sectionSize(section)
  if (2 * shell >= Math.min(along, across)) return section
  return section.shape === 'round' || section.shape === 'tube'
    ? { shape: 'tube', diameter: section.diameter, wall: shell }
    : { shape: 'hollow', along, across, wall: shell }
}

/** Square of the same modulus as a round post: (3π/16)^⅓ of its diameter. */
const ROUND_AS_SQUARE = Math.cbrt((3 * Math.PI) / 16)

function squared(section: Section): { along: Metres; across: Metres } {
  if (section.shape === 'rectangle') return { along: section.along, across: section.across }
  const { along, across } = sectionSize(section)
  return { along: along * ROUND_AS_SQUARE, across: across * ROUND_AS_SQUARE }
}
