import { tasksOf, type DayMeans, type DayPost } from '../day/tasks'
import type { Skill, Task } from '../day/question'
import { exact, type Exact } from '../money/exact'
import type { MethodPlan } from '../plan/types'
import { sameSection, type Section } from '../timber/section'
import { row, type Tables } from '../tables/tables'
import type { CubicMetres, Metres } from '../units/types'

/** One thing that a repair takes, by its key in the catalogue, exactly. */
export interface BillLine {
  key: string
  quantity: Exact
  /** Line and post, as `B/B4`. */
  post: string
  /** What it goes with. */
  goesWith?: string
  /** To be cut from stock of this name to this length. */
  piece?: { stock: string; length: Metres }
}

/** Loose, as it lies on the barrow, kg for each m³, and gravel as it comes in bags. Working values. */
const LOOSE_SPOIL = 1_300
const GRAVEL = 1_600
/** A cut end drinks this, L. Working value. */
const PRESERVATIVE_A_CUT = 0.05
const SOAKS = ['soak', 'coat']

/** Labour by what it takes: the dearest skill of a task is paid. */
const PAID: readonly Skill[] = ['saw', 'mix', 'dig']

/**
 * Everything that a repair of one post takes, exactly: material, labour by skill, what is taken away.
 *
 * @param post  with the steps of the method, as a plan of days has it
 * @param means who comes with what: it decides minutes and hands; and the section of the post that stands there
 * @example billOf(spurPlan, post, means, tables) // mix/post-mix-20 3.6 bags, spur/spur-100 1, fixing/bolt-12 2, labour/dig 0.4 h, …
 */
export function billOf(
  method: MethodPlan,
  post: DayPost,
  { section, ...means }: DayMeans & { section?: Section },
  tables: Tables,
): BillLine[] {
  const lines = [
    ...poured(method, tables),
    ...madeOf(method),
    ...stick(method, section, tables),
    ...form(method),
    ...cutEnds(post),
    ...takenAway(method),
  ]
  return [...lines, ...labour(tasksOf(post, means, tables))].map((line) => ({ ...line, post: post.address }))
}
type Unplaced = Omit<BillLine, 'post'>
const line = (key: string, quantity: Exact, goesWith?: string): Unplaced[] =>
  quantity.n === 0n ? [] : [{ key, quantity, ...(goesWith ? { goesWith } : {}) }]

function poured({ concrete, packed }: MethodPlan, tables: Tables): Unplaced[] {
  const stone = (volume: CubicMetres) => line('stone/gravel', exact(volume * GRAVEL), 'the bed')
  const fill = packed?.filling === 'stone' ? line('stone/graded', exact(packed.fill.mass ?? 0), 'the hole') : []
  if (!concrete) return fill
  const { bags, mix: key } = concrete
  const mix = row(tables.mixes, key)
  const bought =
    mix.supply === 'bag'
      ? line(`mix/${key}`, exact(bags.exactCount), 'the hole')
      : mix.supply === 'lorry'
        ? line(`mix/${key}`, exact(concrete.concrete), 'the hole')
        : [
            ...line('mix/cement', exact(bags.batch?.bagsCement ?? 0), 'the hole'),
            ...line('mix/ballast', exact(bags.batch?.bagsBallast ?? 0), 'the hole'),
          ]
  return [...bought, ...stone(concrete.stone), ...fill]
}

/** Posts are cut from sticks: they stand by themselves. */
const madeOf = ({ parts, method }: MethodPlan): Unplaced[] =>
  parts
    .filter(({ kind }) => kind !== 'post')
    .flatMap(({ kind, key, count, length }) => {
      const stock = `${kind}/${key}`
      return line(stock, exact(count), method.replaceAll('-', ' ')).map((each) =>
        length === undefined ? each : { ...each, piece: { stock, length } },
      )
    })

function stick({ newPost, parts }: MethodPlan, old: Section | undefined, tables: Tables): Unplaced[] {
  const part = parts.find(({ kind }) => kind === 'post')
  if (!newPost || !part || newPost.short === 0) return []
  const stock = `post/${part.key === AS_IT_WAS ? (soldAs(old, tables) ?? part.key) : part.key}`
  return [{ key: stock, quantity: exact(part.count), piece: { stock, length: newPost.length } }]
}

/** Concrete that stands further over the ground than this is cast in a tube, and they are sold by so much, m. */
const BY_HAND: Metres = 0.05
const TUBE_STEP: Metres = 0.05

/** The tube that a pier is cast in, from its foot to its head; the next one that is made where it is between two. */
function form({ hole, concrete }: MethodPlan): Unplaced[] {
  if (!hole || !concrete || hole.shape !== 'round' || hole.fillTop > -BY_HAND + 1e-9) return []
  const width = Math.ceil(hole.diameter / TUBE_STEP - 1e-6) * TUBE_STEP * 1e3
  const stock = `form/tube-${Math.round(width)}`
  const length = hole.depth - hole.stoneBed - hole.fillTop
  return [{ key: stock, quantity: exact(1), goesWith: 'the pier', piece: { stock, length } }]
}

const AS_IT_WAS = 'as-it-was'
/** The post on sale that has the section of the old one. */
const soldAs = (old: Section | undefined, { parts }: Tables): string | undefined =>
  old && parts.lists.post.rows.find(({ section }) => section && sameSection(section, old))?.key

function cutEnds({ steps }: DayPost): Unplaced[] {
  const cuts = steps.filter(({ key }) => SOAKS.includes(key)).length
  return line('preservative', exact(PRESERVATIVE_A_CUT).mul(cuts), 'cut ends')
}

function takenAway({ concrete, packed }: MethodPlan): Unplaced[] {
  const spoil = (concrete?.spoil ?? 0) + (packed?.spoil ?? 0)
  const old = (concrete?.oldConcrete ?? packed?.oldConcrete)?.mass ?? 0
  return [...line('disposal/spoil', exact(spoil * LOOSE_SPOIL)), ...line('disposal/concrete', exact(old))]
}

function labour(tasks: readonly Task[]): Unplaced[] {
  const minutes = new Map<string, number>()
  for (const task of tasks) {
    const skill = PAID.find((each) => task.skills.includes(each)) ?? 'general'
    minutes.set(skill, (minutes.get(skill) ?? 0) + handMinutes(task))
  }
  return [...minutes].flatMap(([skill, all]) => line(`labour/${skill}`, exact(Math.round(all)).div(60)))
}

/** Of a pour all hands place it; one of them then stays until it can no longer be moved. */
const handMinutes = ({ hands, minutes, pour }: Task): number =>
  pour ? pour.placing * hands + Math.max(0, pour.works - pour.placing) : minutes * hands
