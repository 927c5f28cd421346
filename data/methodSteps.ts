import type { MethodStep } from '../core/tables/parts'

/* Steps and cautions that several methods share. */

export const beforeDigging: readonly MethodStep[] = [
  { key: 'services', text: 'Ask the marking service; look for meters, taps, lamps and valves. Hand-dig near marks.', doNotSkip: true },
  { key: 'clear', text: 'Clear growth and stored things from both sides.' },
  { key: 'prop', text: 'Prop or tie the panels and block under each bay before anything is cut.', doNotSkip: true },
  { key: 'turf', text: 'Lift turf or paving whole and keep it.' },
]

export const pour: readonly MethodStep[] = [
  { key: 'tamp', text: 'Tamp the bottom hard; win the last centimetre by tamping.', doNotSkip: true },
  { key: 'stone-bed', text: 'Lay and tamp the stone bed.' },
  { key: 'cover', text: 'Check 50 mm of cover all round.', doNotSkip: true },
  { key: 'plumb', text: 'Both faces plumb, height from the string, propped both ways.', doNotSkip: true },
  { key: 'pour', text: 'Pour, counting the litres of water.' },
  { key: 'rod', text: 'Rod to the bottom all round, behind the post too.', doNotSkip: true },
  { key: 'plumb-again', text: 'Both faces plumb again before it stiffens; then hands off.', doNotSkip: true },
  { key: 'crown', text: 'Slope the top away from the post, or keep it below the turf.', doNotSkip: true },
  { key: 'props-stay', text: 'Leave the props until the concrete can hold.', doNotSkip: true },
]

export const digCautions = ['Buried cables and pipes: marking service first.', 'Hands never between the handles of a post-hole digger.']
export const cementCautions = ['Cement burns and its dust harms: gloves, goggles, mask.']
export const propCaution = 'The fence falls when its post is cut: prop first.'

/** The old post freed and taken out whole. */
export const oldPostOut: readonly MethodStep[] = [
  { key: 'free-rails', text: "Cut the rails' fixings; where rails run through, cut the post above and below each. Lift the old post out whole if it comes." },
  { key: 'stump', text: 'Take the old wood out to the bottom.', doNotSkip: true },
]

export const liftPanels: MethodStep = { key: 'lift-panels', text: 'Lift the panels to the line before fixing back.', doNotSkip: true }
export const hangLeaf: MethodStep = { key: 'hang-leaf', text: 'Hang the leaf, the diagonal up from the bottom hinge.', doNotSkip: true }
