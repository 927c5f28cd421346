import { row } from '../../tables/tables'
import { sectionProperties, sectionSize, type Section } from '../../timber/section'
import type { PostContext } from '../context'
import { designHole, holeSegments, holeSolids } from '../hole'
import {
  answersByTable,
  chosenPart,
  commonRefusals,
  oldOutSteps,
  soldHere,
  type Choice,
  type RepairMethod,
} from '../method'
import { box } from '../solids'
import { footingSolids, goneSolids, oldBlock, oldConcreteVolume } from '../standing'

const key = 'new-post-concrete'
/** The new post has the section of the old one. */
export const AS_IT_WAS = 'as-it-was'

/** New post in a new or cleared hole: the fallback that is nearly always open. */
export const newPostConcrete: RepairMethod = {
  key,
  takesOut: ['post', 'footing'],
  needs: ['post'],
  answers: answersByTable(key),
  against: commonRefusals,
  /** As it was; where that does not hold, the next stouter ones. */
  variants(context) {
    const chosen = chosenPart(context, 'post', '')
    if (chosen) return [{ post: chosen }]
    const least = sectionProperties(context.post.section).modulus
    const stouter = soldHere(context, context.tables.parts.lists.post.rows)
      .filter(({ section }) => section && sectionProperties(section).modulus > least * STOUTER)
      .slice(0, TRIED)
    return [AS_IT_WAS, ...(context.material.wood ? stouter.map((each) => each.key) : [])].map((post) => ({ post }))
  },
  design(context, choice) {
    const { post, material, wind, links } = context
    const section = sectionOf(context, choice)
    const stands = sectionSize(section)
    const hole = designHole(context, key, { stands })
    const length = hole.footingBottom + post.top
    return {
      links: [
        links.bent('post', 'the new post at the ground line', sectionProperties(section), material, wind.height),
        context.ground('footing', 'the new footing', holeSegments(hole, stands.along)),
      ],
      earthwork: {
        holes: [hole],
        fills: [{ kind: 'concrete', hole: 0, castIn: { section }, leftBy: oldBlock(context) }],
        oldConcrete: oldConcreteVolume(context),
      },
      parts: [{ kind: 'post', key: choice.post!, count: 1 }],
      stands: () => [
        ...goneSolids(footingSolids(post, 'dashed', 'old-footing')),
        ...holeSolids(hole),
        {
          key: 'post',
          matter: material.wood ? 'new-wood' : 'steel',
          outline: box(-stands.along / 2, stands.along / 2, -hole.footingBottom, post.top),
          edge: 'solid',
          link: 'post',
        },
      ],
      newPost: { length, section },
      skips: oldOutSteps(context),
    }
  },
}

/** A post counts as stouter when it bends this much less, and so many are tried. */
const STOUTER = 1.05
const TRIED = 2

function sectionOf({ post, tables }: PostContext, choice: Choice): Section {
  return (choice.post && row(tables.parts.lists.post.rows, choice.post).section) || post.section
}
