import { lean, post, type TrialCase } from './case'
import type { Observations } from '../core/cause/observations'
import type { PostFacts } from '../core/cause/tables'

type Row = Omit<TrialCase, 'set' | 'truth'>

/*
 * Posts in which nothing had failed, on lines that somebody was called to for another post. Written down before any
 * number of a sound post was chosen; the held-out ones were never used for that.
 */
const looked: readonly Row[] = [
  { name: 'next to the rotten one, firm', facts: post('treated-softwood', 'line', 12), seen: { pushPivot: 'nothing-moves', probeAtGround: 0 } },
  { name: 'only pushed, and firm', facts: post('treated-softwood', 'line', 8), seen: { pushPivot: 'nothing-moves' } },
  { name: 'a few millimetres off plumb since it was set', facts: post('treated-softwood', 'line', 9), seen: { pushPivot: 'nothing-moves', tap: 'rings', lean: lean(0.006) } },
  { name: 'old oak with a skin', facts: post('oak', 'line', 20), seen: { pushPivot: 'nothing-moves', probeAtGround: 0.004 } },
  { name: 'corner post with a root near by', facts: post('treated-softwood', 'corner', 11), seen: { pushPivot: 'nothing-moves', groundAround: ['root'], probeAtGround: 0.001 } },
  { name: 'concrete post, firm', facts: post('concrete', 'line', 18), seen: { pushPivot: 'nothing-moves', fixings: 'sound' } },
]
const heldOutRows: readonly Row[] = [
  { name: 'probed all over, hard', facts: post('treated-softwood', 'line', 16), seen: { probeAtGround: 0, probeBelow: 0.001, probeAbove: 0 } },
  { name: 'end post, firm, rails tight', facts: post('treated-softwood', 'end', 10), seen: { pushPivot: 'nothing-moves', fixings: 'sound' } },
  { name: 'galvanised tube, firm', facts: post('steel', 'line', 10), seen: { pushPivot: 'nothing-moves', lean: lean(0.003) } },
  { name: 'gate post that carries its leaf', facts: post('treated-softwood', 'gate-hinge', 6), seen: { gate: 'hung-here', pushPivot: 'nothing-moves', probeAtGround: 0.001, lean: lean(0.004) } },
  { name: 'dry by the meter, firm', facts: post('cedar', 'line', 9), seen: { pushPivot: 'nothing-moves', moisturePercent: 19 } },
  { name: 'stood when its neighbours went', facts: post('treated-softwood', 'line', 13), seen: { onset: 'after-storm', pushPivot: 'nothing-moves', probeAtGround: 0.002, lean: lean(0.002) } },
  { name: 'plastic post, nothing round it', facts: post('vinyl', 'line', 7), seen: { pushPivot: 'nothing-moves', groundAround: [] } },
  { name: 'rings and is hard', facts: post('oak', 'line', 14), seen: { tap: 'rings', probeAtGround: 0.001 } },
  { name: 'dug beside: a fair footing', facts: post('treated-softwood', 'line', 11), seen: { pushPivot: 'nothing-moves', footingFound: 'adequate', probeAtGround: 0.005 } },
  { name: 'set a little out, never moved', facts: post('treated-softwood', 'line', 15), seen: { pushPivot: 'nothing-moves', probeAtGround: 0.001, lean: lean(0.012) } },
]
const sound =
  (set: TrialCase['set']) =>
  (row: Row): TrialCase => ({ ...row, set, truth: ['nothing-wrong'] })
export const soundTuning: readonly TrialCase[] = looked.map(sound('tuning'))
export const soundHeldOut: readonly TrialCase[] = heldOutRows.map(sound('held out'))

/** Posts of which next to nothing is known: whatever is said of them, nobody may be sent to mend them. */
export const barelySeen: readonly { name: string; facts: PostFacts; seen: Observations }[] = [
  { name: 'nothing looked at', facts: post('treated-softwood', 'line', 8), seen: {} },
  { name: 'nobody knows when', facts: post('treated-softwood', 'line', 12), seen: { onset: 'unknown' } },
  { name: 'a meter held to it', facts: post('treated-softwood', 'line', 9), seen: { moisturePercent: 22 } },
  { name: 'no wrap', facts: post('cedar', 'line', 10), seen: { wrap: 'none' } },
  { name: 'no gate', facts: post('treated-softwood', 'end', 7), seen: { gate: 'none' } },
  { name: 'nothing against it', facts: post('oak', 'line', 14), seen: { sideLoad: 'none' } },
  { name: 'a root by it', facts: post('treated-softwood', 'line', 6), seen: { groundAround: ['root'] } },
  { name: 'a dull knock', facts: post('treated-softwood', 'line', 10), seen: { tap: 'dull' } },
  { name: 'a little off plumb', facts: post('treated-softwood', 'line', 11), seen: { lean: lean(0.012) } },
  { name: 'not dug', facts: post('treated-softwood', 'line', 5), seen: { footingFound: 'not-dug' } },
]
