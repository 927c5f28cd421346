import { called, lean, post, type TrialCase } from './case'

type Row = Omit<TrialCase, 'set'>

const rows: readonly Row[] = [
  { name: 'softwood, hinges, blade goes in', facts: post('treated-softwood', 'line', 14), seen: { pushPivot: 'at-ground-line', comesUpright: 'easily', probeAtGround: 0.03, tap: 'dull' }, truth: ['ground-line-decay'] },
  { name: 'untreated, six years, hinges', facts: post('untreated-softwood', 'line', 6), seen: { pushPivot: 'at-ground-line', probeAtGround: 0.02, groundAround: ['heaped-soil'] }, truth: ['ground-line-decay'] },
  { name: 'oak, old, wet foot', facts: post('oak', 'line', 22), seen: { pushPivot: 'at-ground-line', comesUpright: 'easily', moisturePercent: 34, probeAtGround: 0.015 }, truth: ['ground-line-decay'] },
  { name: 'rot with the break to be seen', facts: post('treated-softwood', 'line', 16), seen: { breakFace: 'brown-and-crumbly', onset: 'after-storm', probeAtGround: 0.04 }, truth: ['ground-line-decay'] },
  { name: 'rot, nobody probed', facts: post('cedar', 'line', 15), seen: { pushPivot: 'at-ground-line', comesUpright: 'easily', tap: 'dull', leanPattern: 'neighbours-too' }, truth: ['ground-line-decay'] },
  { name: 'sound above, loose in its socket', facts: post('treated-softwood', 'line', 13), seen: { pushPivot: 'post-loose-in-concrete', probeAtGround: 0.001, probeBelow: 0.03, comesUpright: 'easily' }, truth: ['buried-decay'] },
  { name: 'turns low, soft below', facts: post('treated-softwood', 'line', 15), seen: { pushPivot: 'in-the-soil', probeAtGround: 0.004, probeBelow: 0.035, tap: 'dull', footingFound: 'adequate' }, truth: ['buried-decay'] },
  { name: 'dish of water, soft below', facts: post('cedar', 'line', 12), seen: { groundAround: ['water-holding-top'], probeAtGround: 0.002, probeBelow: 0.026, pushPivot: 'post-loose-in-concrete' }, truth: ['buried-decay'] },
  { name: 'galleries', facts: post('oak', 'line', 18), seen: { breakFace: 'galleries-and-dust', tap: 'hollow', probeAtGround: 0.012 }, truth: ['insect-damage'] },
  { name: 'hollow drum', facts: post('untreated-softwood', 'line', 9), seen: { tap: 'hollow', pushPivot: 'at-ground-line', probeAtGround: 0.018, probeAbove: 0.02, leanPattern: 'this-post-only', moisturePercent: 19 }, truth: ['insect-damage'] },
  { name: 'long splinters', facts: post('treated-softwood', 'line', 8), seen: { breakFace: 'clean-splinters', onset: 'after-storm', probeAtGround: 0, tap: 'rings' }, truth: ['wind-snap'] },
  { name: 'hit by a barrow', facts: post('treated-softwood', 'end', 6), seen: { onset: 'after-impact', breakFace: 'clean-splinters', pushPivot: 'at-ground-line' }, truth: ['wind-snap'] },
  { name: 'footing and all', facts: post('treated-softwood', 'line', 3), seen: { pushPivot: 'footing-moves', comesUpright: 'will-not', probeAtGround: 0, footingFound: 'small' }, truth: ['undersized-footing'] },
  { name: 'young, whole line over', facts: post('treated-softwood', 'line', 2), seen: { pushPivot: 'footing-moves', leanPattern: 'whole-line-one-way', onset: 'after-storm', groundAround: ['gap-beside-post'] }, truth: ['undersized-footing'] },
  { name: 'old but sound, small footing', facts: post('oak', 'line', 20), seen: { pushPivot: 'footing-moves', comesUpright: 'with-force', probeAtGround: 0.001, probeBelow: 0.002, footingFound: 'small' }, truth: ['undersized-footing'] },
  { name: 'set in soil', facts: post('oak', 'line', 9), seen: { pushPivot: 'in-the-soil', comesUpright: 'easily', probeAtGround: 0, footingFound: 'none' }, truth: ['no-footing'] },
  { name: 'set in soil, not dug', facts: post('treated-softwood', 'line', 4), seen: { pushPivot: 'in-the-soil', comesUpright: 'easily', groundAround: ['gap-beside-post'], probeAtGround: 0, tap: 'rings', lean: lean(0.11) }, truth: ['no-footing'] },
  { name: 'soaked field', facts: post('treated-softwood', 'line', 7), seen: { groundAround: ['saturated'], pushPivot: 'in-the-soil', comesUpright: 'with-force', leanPattern: 'whole-line-one-way', footingFound: 'adequate' }, truth: ['soft-ground'] },
  { name: 'wet hollow, stretch of posts', facts: post('cedar', 'line', 9), seen: { groundAround: ['saturated', 'cracked-surface'], leanPattern: 'neighbours-too', footingFound: 'adequate', probeAtGround: 0.001, comesUpright: 'with-force' }, truth: ['soft-ground'] },
  { name: 'bank behind', facts: post('treated-softwood', 'line', 11), seen: { sideLoad: 'retained-soil', comesUpright: 'will-not', onset: 'slowly', leanPattern: 'whole-line-one-way', probeAtGround: 0.002 }, truth: ['side-load'] },
  { name: 'timber stacked on it', facts: post('treated-softwood', 'line', 8), seen: { sideLoad: 'stacked-goods', onset: 'slowly', comesUpright: 'will-not', pushPivot: 'nothing-moves' }, truth: ['side-load'] },
  { name: 'gate since May', facts: post('treated-softwood', 'gate-hinge', 4), seen: { onset: 'after-gate-hung', gate: 'leans-towards-gate', pushPivot: 'footing-moves', probeAtGround: 0 }, truth: ['gate-pull'] },
  { name: 'wide leaf, slow drop', facts: post('oak', 'gate-hinge', 10), seen: { gate: 'leans-towards-gate', onset: 'slowly', comesUpright: 'with-force', leanPattern: 'this-post-only' }, truth: ['gate-pull'] },
  { name: 'collar lifted', facts: post('treated-softwood', 'line', 6), seen: { groundAround: ['lifted-collar'], footingFound: 'stands-proud', onset: 'after-frost', comesUpright: 'will-not' }, truth: ['frost-heave'] },
  { name: 'proud after a cold winter', facts: post('oak', 'line', 12), seen: { footingFound: 'stands-proud', onset: 'slowly', pushPivot: 'nothing-moves', lean: lean(0.02), probeAtGround: 0.001 }, truth: ['frost-heave'] },
  { name: 'dry pockets', facts: post('treated-softwood', 'line', 3), seen: { footingFound: 'dry-pockets', pushPivot: 'post-loose-in-concrete', probeAtGround: 0, probeBelow: 0 }, truth: ['bad-concrete'] },
  { name: 'thin on one side', facts: post('treated-softwood', 'corner', 5), seen: { footingFound: 'one-sided', pushPivot: 'footing-moves', probeAtGround: 0, comesUpright: 'easily' }, truth: ['bad-concrete'] },
  { name: 'cracked and loose', facts: post('oak', 'line', 9), seen: { footingFound: 'cracked', pushPivot: 'post-loose-in-concrete', groundAround: ['cracked-surface'], probeBelow: 0.001 }, truth: ['bad-concrete'] },
  { name: 'tube in a puddle', facts: post('steel', 'line', 18), seen: { pushPivot: 'at-ground-line', groundAround: ['water-holding-top'], comesUpright: 'easily' }, truth: ['corroded-steel'] },
  { name: 'flakes', facts: post('steel', 'line', 25), seen: { breakFace: 'rust-flakes', tap: 'dull' }, truth: ['corroded-steel'] },
  { name: 'plate rocks', facts: post('treated-softwood', 'plate-mounted', 6), seen: { pushPivot: 'at-plate', probeAtGround: 0 }, truth: ['loose-anchorage'] },
  { name: 'only the panel', facts: post('treated-softwood', 'line', 7), seen: { pushPivot: 'panel-only', fixings: 'torn-out', probeAtGround: 0, onset: 'after-storm' }, truth: ['fixing-failure'] },
  { name: 'rails hang', facts: post('oak', 'line', 11), seen: { fixings: 'loose-rails', pushPivot: 'nothing-moves', lean: lean(0.004), tap: 'rings' }, truth: ['fixing-failure'] },
  { name: 'veranda foot', facts: post('oak', 'load-bearing', 16), seen: { probeAtGround: 0.02, groundAround: ['heaped-soil'], pushPivot: 'nothing-moves', moisturePercent: 33 }, truth: ['buried-base'] },
  { name: 'rot in a footing that goes too', facts: post('treated-softwood', 'line', 12), seen: { probeAtGround: 0.022, footingFound: 'small', pushPivot: 'footing-moves', comesUpright: 'with-force', tap: 'dull' }, truth: ['ground-line-decay', 'undersized-footing'] },
]

export const tuning: readonly TrialCase[] = rows.map((row) => called(row, 'tuning'))
