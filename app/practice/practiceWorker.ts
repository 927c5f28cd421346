import { expose } from 'comlink'
import { drawCase, type Level } from '~~/core/practice/case'
import type { Seen } from '~~/core/practice/model'
import { review, type Commitment } from '~~/core/practice/review'
import type { Tables } from '~~/core/tables/tables'

/* The best line of a case, searched beside the screen. */

export interface DrawnBy {
  seed: number
  level: Level
  leaning: string[]
}

const work = {
  review: ({ seed, level, leaning }: DrawnBy, tables: Tables, seen: Seen, commitment: Commitment) =>
    review(drawCase(seed, level, tables, leaning), seen, commitment),
}
export type PracticeWork = typeof work
expose(work)
