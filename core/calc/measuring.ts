import { mixed } from 'yup'
import { neededSectionSchema } from '../document/sectionSchema'
import { InputError, requireNumber } from '../errors'
import { groundCapacity } from '../ground/postInGround'
import { foretold, scaleFrom, weighed } from '../ground/pullTest'
import { typed } from '../schema/fields'
import { photographLean, type DrawnLine } from '../setout/photographLean'
import { MATERIALS } from '../timber/materials'
import { sectionProperties, type Section } from '../timber/section'
import { lifeReturnYears, neighboursTarget, USUAL_CHANCE, yearsTarget } from '../wind/target'
import { calculation } from './calculation'
import { buriedPost, groundOf } from './ground'
import { choice, group, listOf, optional, quantity, said } from './inputs'

const pull = {
  force: quantity(1, 5_000, 'N'),
  height: quantity(0.05, 4, 'm'),
  at: quantity(0, 4, 'm'),
  movement: quantity(0, 1, 'm'),
}

export const pullTestCalculation = calculation({
  name: 'pull-test',
  says: 'what pulls of known force say of the soil: its strength over the working value, with its range',
  source: 'Bayes on a grid of ln s, prior normal with σ 0.5; rule read to 1 mm, model out by 5 %: working values',
  inputs: {
    ...buriedPost,
    section: said<Section>(
      'the post, as `section` has it; with `soft`, m off each face (may be left out)',
      neededSectionSchema,
    ),
    material: choice(MATERIALS),
    pulls: listOf(group(pull), 50),
    pullIgnoredTop: optional(quantity(0, 2, 'm')),
  },
  outputs: { scale: 'median', low: '5 % point', high: '95 % point', over: 'N at the scale', lean: 'N at the scale' },
  example: [
    {
      soil: 'firm-clay',
      segments: [{ top: 0.05, bottom: 0.6, width: 0.25 }],
      height: 0.925,
      section: { shape: 'rectangle', along: 0.1, across: 0.1 },
      material: 'treated-softwood',
      pulls: [{ force: 200, height: 1.2, at: 1.2, movement: 0.008 }],
    },
    { scale: 0.5542, low: 0.4633, high: 0.7146 },
  ],
  run({ pulls, material, pullIgnoredTop, section: of, height, segments, ignoredTop, ...rest }, tables) {
    const { stiffness } = tables.materials[material]
    if (stiffness === undefined)
      throw new InputError(
        'material',
        material,
        'one whose stiffness is known: a concrete post bends as it has cracked',
      )
    const soft = (of as { soft?: unknown }).soft ?? 0
    if (typeof soft !== 'number') throw new InputError('section.soft', soft, 'a number, m')
    requireNumber('section.soft', soft, 0, 0.5, 'm')
    const bending = stiffness * sectionProperties(of, soft).inertia
    if (bending <= 0) throw new InputError('section.soft', soft, 'less than half the section: something has to bend')
    const ground = groundOf(rest, tables)
    const post = { ...ground, segments, ignoredTop: pullIgnoredTop ?? ignoredTop }
    const measured = scaleFrom(
      pulls.map(({ movement, ...each }) => weighed(foretold({ post, stiffness: bending }, each), movement)),
    )
    const { over, lean } = groundCapacity({ ...ground, segments, ignoredTop, height })
    return { ...measured, over: over * measured.scale, lean: lean * measured.scale }
  },
})

const drawn = () =>
  said<DrawnLine>(
    '[[x, y], [x, y]], pixels, y downwards',
    typed(mixed().test('line', 'two points [x, y]', isLine).required('two points [x, y]')),
  )

function isLine(value: unknown): boolean {
  const isPoint = (each: unknown) =>
    Array.isArray(each) && each.length === 2 && each.every((part) => typeof part === 'number' && Number.isFinite(part))
  return Array.isArray(value) && value.length === 2 && value.every(isPoint)
}

export const photoLeanCalculation = calculation({
  name: 'photo-lean',
  says: 'lean of a post from two lines on a photograph: its edge, and something plumb',
  source: 'angle between the two lines; working error 0.3°',
  inputs: { post: drawn(), plumb: drawn(), picture: optional(quantity(1, 100_000, 'pixels')) },
  outputs: { angle: 'rad, positive to the right', lean: 'm per m' },
  example: [
    {
      post: [
        [400, 900],
        [430, 200],
      ],
      plumb: [
        [100, 900],
        [100, 250],
      ],
      picture: 1_000,
    },
    { angle: 0.0428, lean: 0.0429 },
  ],
  run: ({ post, plumb, picture }) => ({
    ...photographLean({ post, plumb, ...(picture === undefined ? {} : { height: picture }) }),
  }),
})

export const targetCalculation = calculation({
  name: 'target',
  says: 'the gust that a repair has to hold: by years, by the life that is left, or by its neighbours',
  source: 'T = 1/(1 − (1 − p)^(1/n)); neighbours: a tenth over the middle one, a working value',
  inputs: {
    years: optional(quantity(1.001, 1e6, 'years')),
    chance: optional(quantity(0.001, 0.999)),
    life: optional(quantity(0.5, 200, 'years')),
    standing: optional(listOf(quantity(0, 200, 'm/s'), 2_000)),
    gust50: quantity(10, 100, 'm/s'),
  },
  outputs: { gust: 'm/s', returnYears: 'years' },
  example: [{ life: 8, gust50: 38 }, { returnYears: 36.35 }],
  run({ years, chance, life, standing, gust50 }) {
    const ways = [years, life, standing].filter((each) => each !== undefined)
    if (ways.length !== 1)
      throw new InputError('years', years, 'given, or else life (with chance), or else standing: one of the three')
    if (standing) return { ...neighboursTarget(standing, gust50) }
    return { ...yearsTarget(years ?? lifeReturnYears(life!, chance ?? USUAL_CHANCE), gust50) }
  },
})
