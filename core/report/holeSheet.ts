import { fillingSteps } from '../concrete/fillingSteps'
import { orderFigure } from '../items/items'
import type { Job } from '../document/job'
import { methodDetail } from '../plan/detail'
import { plan } from '../plan/plan'
import { askedWords } from '../plan/targetWords'
import type { MethodPlan, Plan } from '../plan/types'
import { thresholdWords } from '../plan/thresholds'
import type { Solid } from '../repair/solids'
import { row, type Tables } from '../tables/tables'
import type { Measures } from '../units/quantity'
import { sectionDrawing } from './sectionDrawing'
import { element, textLine, wrapped } from './svg'

/** What the sheet of one hole speaks of. */
export interface HoleSheet {
  job: string
  line: string
  post: string
  method: MethodPlan
  target: Plan['target']
  /** What stands where, and what was met there. */
  stands: readonly Solid[]
  tables: Tables
  says: Measures
}

/** A5 upright, in points of a quarter millimetre. */
export const SHEET = { width: 592, height: 840 }
const MARGIN = 32
const DRAWN = { top: 210, height: 330 }
/** So much of the post is shown over the ground, m. */
const ABOVE = 0.35

/**
 * The sheet of one hole to hold in the hand: its section in true scale with dimensions, the big figures, how it is
 * filled, and both gusts.
 *
 * @returns an SVG document of one A5 page
 */
export function holeSheetSvg(sheet: HoleSheet): string {
  const { job, line, post, method, says } = sheet
  const hole = method.hole!
  const shape = hole.shape === 'square' ? 'square' : 'wide'
  const figures = [
    `${says.length(hole.depth)} deep`,
    `${says.length(hole.diameter)} ${shape}`,
    ...(hole.stoneBed > 0 ? [`${says.length(hole.stoneBed)} stone bed`] : []),
    fillWords(hole.fillTop, says),
  ]
  const content = [
    textLine({ x: MARGIN, y: 56, size: 34, text: post, bold: true }),
    textLine({ x: SHEET.width - MARGIN, y: 44, size: 14, text: line, anchor: 'end' }),
    textLine({ x: SHEET.width - MARGIN, y: 62, size: 14, text: job, anchor: 'end' }),
    textLine({ x: MARGIN, y: 82, size: 16, text: method.name }),
    ...figures.slice(0, 2).map((text, i) => textLine({ x: MARGIN + i * 270, y: 130, size: 38, text, bold: true })),
    textLine({ x: MARGIN, y: 160, size: 18, text: figures.slice(2).join(' · ') }),
    textLine({ x: MARGIN, y: 186, size: 18, text: orderWords(sheet), bold: true }),
    sectionDrawing(
      sheet.stands,
      { left: MARGIN, right: SHEET.width - MARGIN, ...DRAWN, depth: hole.depth, above: ABOVE, size: 17 },
      says,
    ),
    ...words(sheet),
  ]
  return `${element(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      viewBox: `0 0 ${SHEET.width} ${SHEET.height}`,
      width: '148mm',
      height: '210mm',
      'font-family': 'Barlow, Helvetica, sans-serif',
      fill: '#22302f',
    },
    `<title>${post}: the hole</title>${element('rect', { width: SHEET.width, height: SHEET.height, fill: '#ffffff' })}${content.join('')}`,
  )}\n`
}

function fillWords(top: number, says: Measures): string {
  if (Math.abs(top) < 1e-6) return 'fill flush with the ground'
  return top > 0 ? `fill ends ${says.length(top)} down` : `fill ${says.length(-top)} over the ground`
}

function orderWords({ method: { concrete, packed }, tables, says }: HoleSheet): string {
  if (concrete) {
    const { value, unit } = orderFigure(row(tables.mixes, concrete.mix), concrete.bags, concrete.concrete, says)
    return `${value} ${unit} · ${says.volume(concrete.bags.water)} of water`
  }
  return packed ? `${packed.fill.layers} layers of ${says.small(packed.fill.layerThickness!)}, each tamped` : ''
}

const SMALL = 14
const LINE = 19

function words({ method, target, tables, says }: HoleSheet): string[] {
  const { concrete, packed, hole } = method
  const filling = row(tables.fillings, concrete?.filling ?? packed!.filling)
  const height = hole!.footingBottom - hole!.fillTop
  const steps = concrete
    ? fillingSteps(
        {
          filling,
          fill: concrete.fill,
          volume: concrete.concrete,
          height,
          poured: { mix: row(tables.mixes, concrete.mix), bags: concrete.bags },
        },
        says,
      )
    : fillingSteps({ filling, fill: packed!.fill, volume: packed!.volume, height }, says)
  const holds = thresholdWords(method, says.gust)
  const paragraphs = [
    ...steps.map((step, i) => `${i + 1}. ${step}`),
    ...(concrete?.warnings ?? []).map((warning) => `! ${warning}`),
    `It ${holds}${method.holdsTarget ? '.' : ': under the target.'} ${askedWords(target, says.gust)}`,
    'Planning estimates: local codes and licensed practice decide. Hand-dig near marks.',
  ]
  const lines = paragraphs.flatMap((text) => wrapped(text, SHEET.width - 2 * MARGIN, SMALL))
  const first = DRAWN.top + DRAWN.height + 30
  const room = Math.floor((SHEET.height - MARGIN - first) / LINE) + 1
  return lines.slice(0, room).map((text, i) => textLine({ x: MARGIN, y: first + i * LINE, size: SMALL, text }))
}

/**
 * The sheet of the hole of one post, by the repair that is chosen or proposed there.
 *
 * @returns undefined where there is no such post, or nothing is dug there
 */
export function holeSheetOf(job: Job, tables: Tables, postId: string, says: Measures): string | undefined {
  const line = job.lines.find(({ posts }) => posts.some(({ id }) => id === postId))
  if (!line) return undefined
  // Of a long job only this line is planned.
  const ofLine: Job = { ...job, lines: [line] }
  const post = plan(ofLine, tables).posts.find((each) => each.post === postId)!
  const wanted = line.posts.find(({ id }) => id === postId)!.repair?.method ?? post.recommended?.method
  const method = post.methods.find((each) => each.method === wanted)
  if (!method?.hole || !(method.concrete ?? method.packed)) return undefined
  const { stands } = methodDetail(ofLine, tables, postId, method.method)!
  return holeSheetSvg({
    job: job.name,
    line: line.name ?? line.id,
    post: postId,
    method,
    target: post.target,
    stands,
    tables,
    says,
  })
}
