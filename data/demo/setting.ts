import type { Observations } from '../../core/cause/observations'
import type { Line, Post, Site } from '../../core/document/job'

/* An invented place: the allotment gardens of Sedgewater on the Halm flood bank, and what its fences have in common. */

export const gardens: Site = {
  name: 'Sedgewater Allotment Society',
  exposure: 'open',
  shelter: 0.7,
  gust50: 38,
  frostDepth: 0.45,
  minimumDepth: 0.6,
  targetReturnYears: 50,
  season: 'wet',
  place: 'bank',
}

/** Who works there. */
export const BY = 'Wren'

export const stands: Observations = { pushPivot: 'nothing-moves', probeAtGround: 0 }
export const rotted: Observations = {
  pushPivot: 'at-ground-line',
  comesUpright: 'easily',
  probeAtGround: 0.03,
  onset: 'after-storm',
}

/** A sawn post of 100 mm, as most of them are. */
export const timber = {
  material: 'treated-softwood',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  soil: 'firm-clay',
} as const satisfies Partial<Post>

/** A sound post of that kind in concrete, so wide and so deep, its top a little under the ground. */
export const inConcrete = (length: number, ageYears: number, [diameter, bottom]: readonly [number, number]) =>
  ({
    ...timber,
    length,
    ageYears,
    footing: { kind: 'concrete', diameter, top: 0.05, bottom },
    observations: stands,
  }) as const satisfies Partial<Post>

interface Run {
  letter: string
  count: number
  bay: number
  /** From post to post the ground falls by this. */
  fall?: number
}

/** Posts at equal bays, all alike but for `changes` by the number of the post, counted from 1. */
export function run({ letter, count, bay, fall = 0 }: Run, common: Partial<Post>, changes: Record<number, Partial<Post>>): Post[] {
  return Array.from({ length: count }, (_, i) => ({
    id: `${letter}${i + 1}`,
    station: inMillimetres(i * bay),
    ...(fall > 0 ? { groundLevel: 0 - inMillimetres(i * fall) } : {}),
    ...common,
    ...changes[i + 1],
  }))
}
const inMillimetres = (length: number): number => Math.round(length * 1e3) / 1e3

export const fence = (name: string, site: Site, ...lines: Line[]) => ({ format: 'vindex-job', version: 1, name, site, lines }) as const
