import type { Duty } from '../document/job'
import type { LineKind } from '../wind/fence'
import type { PourMilestone } from './clock'

const GATE_DUTIES: readonly Duty[] = ['gate-hinge', 'gate-latch']
const WITH_FORM = ['new-pier', 'raise-pier']

/**
 * Which milestones matter at a post: what it will carry decides.
 *
 * @example loadsOf(['gate-hinge'], 'close-boarded', 'new-post-concrete') // frost, props, boards, gate, cured
 */
export function loadsOf(duties: readonly Duty[], kind: LineKind, method: string | undefined): PourMilestone['key'][] {
  const carries = duties.includes('roadside-box') || kind === 'single' ? 'box' : 'boards'
  const isLoaded = duties.includes('load-bearing') || duties.some((duty) => GATE_DUTIES.includes(duty))
  return [
    'frostSafe',
    ...(method !== undefined && WITH_FORM.includes(method) ? (['form'] as const) : []),
    'props',
    carries,
    ...(isLoaded ? (['gate'] as const) : []),
    'cured',
  ]
}
