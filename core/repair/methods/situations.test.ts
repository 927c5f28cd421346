import { describe, expect, it } from 'vitest'
import { BOARDED, GARDEN, METHODS, SITUATIONS, type Situation } from '../../../evaluation/situations'
import { jobOf, runOfPosts, tables } from '../../../tests/support/builders'
import { plan } from '../../plan/plan'
import { repairMethods } from '.'

function judged({ post, line = BOARDED, site = GARDEN, others = {}, which = 2 }: Situation) {
  const job = jobOf({ ...runOfPosts(5, 2.4, (i) => (i === which ? post : others)), ...line }, site)
  return plan(job, tables).posts[which]!
}

describe('the methods in each situation', () => {
  it('are all of them, in at least fifty', () => {
    expect(new Set<string>(METHODS)).toEqual(new Set(repairMethods.map(({ key }) => key)))
    expect(SITUATIONS.length).toBeGreaterThanOrEqual(50)
  })

  it.each(SITUATIONS)('%s', (_name, situation, verdicts, proposed) => {
    const { methods, recommended } = judged(situation)
    const found = METHODS.map((key) => methods.find(({ method }) => method === key)!)
    const letter = { allowed: '+', refused: '-', 'not-known': '?' }
    expect(found.map(({ verdict }) => letter[verdict]).join('')).toBe(verdicts)
    expect(recommended?.method).toBe(proposed)
    for (const { allowed, reasons } of found) {
      expect(reasons.length === 0).toBe(allowed)
      for (const reason of reasons) expect(reason).toMatch(/^[A-Z].*\.$/)
    }
  })

  it.each<[string, string, string]>([
    ['thin conduit chosen for a tall solid panel', 'steel-pin', 'bends the pin'],
    ['rotted up to the fixings', 'repair-spur', 'soft where the fixings'],
    ['loose sand, rotted', 'new-post-keyed', 'lets the key through'],
    ['gate hinge, rotted', 'new-post-stone', 'works a post loose in stone'],
    ['nothing round it', 'brace-and-resettle', 'no footing for the soil'],
    ['slow lean in stiff clay', 'brace-and-resettle', 'Stiff clay does not settle'],
    ['plate on a thin slab', 'plate-on-slab', '80 mm thick: 100 mm is the least'],
    ['plate on a cracked slab', 'plate-on-slab', 'cracked or hollow'],
    ['sleeve pushed into poured concrete', 'lift-out-sleeve', 'set it first, then pour'],
    ['sleeve that holds water', 'lift-out-sleeve', 'open bottom'],
    ['sleeve with too much play', 'lift-out-sleeve', 'would rock 36 mm'],
    ['porch post, nobody named', 'new-pier', 'enter the name'],
    ['porch post on a pier that moves', 'raise-pier', 'pier itself moves'],
    ['heavy gate, rotted', 'new-post-keyed', '120 kg is too heavy'],
  ])('%s: why not %s', (name, method, words) => {
    const [, situation] = SITUATIONS.find(([each]) => each === name)!
    const { reasons } = judged(situation).methods.find((each) => each.method === method)!
    expect(reasons.join(' ')).toContain(words)
  })
})
