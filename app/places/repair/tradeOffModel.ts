import { scaleLinear } from 'd3'
import type { ComparedWay } from '~~/core/choose/compare'

/** One or more ways at one place of the chart, by their numbers in the list beside it. */
export interface TradeOffMark {
  x: number
  y: number
  /** From 1. */
  numbers: number[]
  /** All of them are beaten in everything. */
  isBeaten: boolean
}

export interface TradeOffModel {
  marks: TradeOffMark[]
  target: number
  gusts: { at: number; gust: number }[]
  hours: { at: number; minutes: number }[]
}

const STEP_GUST = 10
const STEPS_OF_WORK = [30, 60, 120, 240, 480]
const MOST_LINES = 5

/**
 * Work against the gust that is held, in a frame of the given size: further right holds more, further down is quicker.
 * A way that no wind reaches stands at the right edge.
 *
 * @param one in the unit of the reader, m/s
 */
export function tradeOffModel(
  compared: readonly ComparedWay[],
  target: number,
  { width, height }: { width: number; height: number },
  one: number,
): TradeOffModel {
  const held = ({ way: { holdingGust } }: ComparedWay) => holdingGust ?? Infinity
  const finite = [target, ...compared.map(held).filter(Number.isFinite)]
  const [from, to] = [
    Math.max(0, Math.floor((Math.min(...finite) - 3) / STEP_GUST) * STEP_GUST),
    Math.ceil((Math.max(...finite) + 3) / STEP_GUST) * STEP_GUST,
  ]
  const most = Math.max(...compared.map(({ way }) => way.minutes))
  const step = STEPS_OF_WORK.find((each) => most / each <= MOST_LINES) ?? STEPS_OF_WORK.at(-1)!
  const top = Math.ceil((most * 1.1) / step) * step
  const x = scaleLinear([from, to], [0, width]).clamp(true)
  const y = scaleLinear([0, top], [height, 0])
  return {
    marks: together(
      compared.map((each, i) => ({
        x: Number.isFinite(held(each)) ? x(held(each)) : width,
        y: y(each.way.minutes),
        numbers: [i + 1],
        isBeaten: each.beatenBy !== undefined,
      })),
    ),
    target: x(target),
    gusts: scaleLinear([from / one, to / one], [0, width])
      .ticks(6)
      .map((tick) => ({ gust: tick * one, at: x(tick * one) })),
    hours: Array.from({ length: top / step + 1 }, (_, i) => ({ minutes: i * step, at: y(i * step) })),
  }
}

/** Marks that would cover each other are one, with all their numbers. */
function together(marks: readonly TradeOffMark[]): TradeOffMark[] {
  const drawn: TradeOffMark[] = []
  for (const mark of marks) {
    const near = drawn.find(({ x, y }) => Math.hypot(x - mark.x, y - mark.y) < COVERS)
    if (near) {
      near.numbers.push(...mark.numbers)
      near.isBeaten &&= mark.isBeaten
    } else drawn.push({ ...mark, numbers: [...mark.numbers] })
  }
  return drawn
}
const COVERS = 14
