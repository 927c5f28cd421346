import type { MethodRow, MethodStep } from '../core/tables/parts'

const beforeDigging: readonly MethodStep[] = [
  { key: 'services', text: 'Ask the marking service; look for meters, taps, lamps and valves. Hand-dig near marks.', doNotSkip: true },
  { key: 'clear', text: 'Clear growth and stored things from both sides.' },
  { key: 'prop', text: 'Prop or tie the panels and block under each bay before anything is cut.', doNotSkip: true },
  { key: 'turf', text: 'Lift turf or paving whole and keep it.' },
]

const pour: readonly MethodStep[] = [
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

const digCautions = ['Buried cables and pipes: marking service first.', 'Hands never between the handles of a post-hole digger.']
const cementCautions = ['Cement burns and its dust harms: gloves, goggles, mask.']
const propCaution = 'The fence falls when its post is cut: prop first.'

/** Fixed minutes are working values: set-up, fixing, clean-up. */
export const methodRows: readonly MethodRow[] = [
  {
    key: 'new-post-concrete',
    name: 'New post, concrete',
    fixedMinutes: 70,
    bring: ['props and stakes', 'preservative for the cuts'],
    steps: [
      ...beforeDigging,
      { key: 'free-rails', text: "Cut the rails' fixings; lift the old post out whole if it comes." },
      { key: 'stump', text: 'Take the old wood out to the bottom.', doNotSkip: true },
      { key: 'dig', text: 'Dig deeper, not wider; keep the side that will be pushed undisturbed.' },
      ...pour,
      { key: 'lift-panels', text: 'Lift the panels to the line before fixing back.', doNotSkip: true },
    ],
    cautions: [propCaution, ...digCautions, ...cementCautions],
  },
  {
    key: 'repair-spur',
    name: 'Spur beside it',
    fixedMinutes: 55,
    bring: ['props and stakes', 'preservative for the cut'],
    steps: [
      ...beforeDigging,
      { key: 'dig', text: 'Dig on the side without rails.' },
      { key: 'old-third', text: 'Take out the front third of the old concrete.' },
      { key: 'stump', text: 'Take the stump out to the bottom.', doNotSkip: true },
      { key: 'cut-back', text: 'Cut the post back to sound wood.' },
      { key: 'stand-spur', text: 'Stand the spur plumb and tight to the post; lower fixing, check, upper fixing.' },
      ...pour,
      { key: 'lift-panels', text: 'Lift the panels to the line before fixing back.', doNotSkip: true },
    ],
    cautions: [propCaution, 'Two people or a barrow for the spur: see its mass.', ...digCautions, ...cementCautions],
  },
  {
    key: 'steel-pin',
    name: 'Steel pin in the old footing',
    fixedMinutes: 75,
    bring: ['props and stakes', 'grout for socket and joint', 'bonding resin', 'preservative for the bore'],
    steps: [
      { key: 'prop', text: 'Prop or tie the panels before anything is cut.', doNotSkip: true },
      { key: 'break-off', text: 'Break the post off at the ground.' },
      { key: 'socket', text: 'Clean the old wood out of the socket to the bottom.', doNotSkip: true },
      { key: 'pin', text: 'Drive and plumb the pin; grout socket and pin.' },
      { key: 'bore', text: 'Bore true along the centre line; soak bore and end in preservative.', doNotSkip: true },
      { key: 'stand', text: 'Dry-fit with the rails in, then glue, lower and plumb both faces.', doNotSkip: true },
      { key: 'joint', text: 'Close the gap at the joint with grout.' },
    ],
    cautions: [propCaution, 'Resin and grout burn skin: gloves.', 'A pin in a footing that was too small leans again.'],
  },
  {
    key: 'recast-footing',
    name: 'Larger footing round it',
    fixedMinutes: 60,
    bring: ['props and stakes', 'a breaker, goggles and a mask'],
    steps: [
      ...beforeDigging,
      { key: 'find-footing', text: 'Dig to find the footing.' },
      { key: 'break-halves', text: 'Break it out on two sides; leave its bottom bearing under the post.', doNotSkip: true },
      { key: 'straighten', text: 'Straighten against the offset string; compact what is loose.' },
      ...pour,
    ],
    cautions: [propCaution, 'Breaking concrete: goggles, and a mask for silica dust.', ...digCautions, ...cementCautions],
  },
  {
    key: 'refix-panels',
    name: 'Refix rails and panels',
    fixedMinutes: 35,
    bring: ['clips or brackets', 'a spacer to lift the panel on'],
    steps: [
      { key: 'prop', text: 'Hold the panel up to its line with a spacer or a prop.', doNotSkip: true },
      { key: 'old-fixings', text: 'Draw the old fixings; look at the wood behind them.', doNotSkip: true },
      { key: 'refix', text: 'Fix each rail end anew beside the old holes, drilled first, rust-proof.' },
      { key: 'shake', text: 'Shake it: post and panel move as one, or not at all.', doNotSkip: true },
    ],
    cautions: ['A loose panel falls when its last clip goes: hold it first.'],
  },
  {
    key: 'brace-and-resettle',
    name: 'Pull upright and brace',
    fixedMinutes: 60,
    bring: ['a strap or a puller', 'stakes and braces for a night', 'a tamper'],
    answers: ['side-load', 'soft-ground'],
    steps: [
      { key: 'take-away', text: 'First take away what pushes it: soil, stacked goods, growth, standing water.', doNotSkip: true },
      { key: 'free', text: 'Loose the rails on both sides, or pull the neighbours with it.' },
      { key: 'open', text: 'Open the soil on the side that it has to come to.' },
      { key: 'pull', text: 'Pull it upright in stages of 30 mm at the top, a quarter of an hour each.', doNotSkip: true },
      { key: 'tamp', text: 'Tamp the soil back hard in layers of 100 mm on the other side.', doNotSkip: true },
      { key: 'brace', text: 'Brace it both ways and leave it braced for a night.', doNotSkip: true },
    ],
    cautions: ['A strap under load cuts: nobody stands in its line.'],
  },
  {
    key: 'plate-on-slab',
    name: 'New anchors for the plate',
    fixedMinutes: 60,
    bring: ['a hammer drill and its bit', 'a brush and a pump for the holes', 'shims', 'anchor resin'],
    steps: [
      { key: 'prop', text: 'Prop the post both ways before a nut is loosed.', doNotSkip: true },
      { key: 'slab', text: 'Sound the slab with a hammer: a hollow or cracked one holds no anchor.', doNotSkip: true },
      { key: 'turn', text: 'Turn or shift the plate so that new holes keep away from the old ones.' },
      { key: 'drill', text: 'Drill to depth, brush and blow out three times.', doNotSkip: true },
      { key: 'set', text: 'Set the anchors, shim the post plumb both ways, tighten when the resin is hard.', doNotSkip: true },
    ],
    cautions: ['Drilling concrete: goggles, and a mask for silica dust.', 'Look for pipes and heating in the slab.'],
  },
  {
    key: 'make-safe',
    name: 'Make safe, today only',
    fixedMinutes: 30,
    bring: ['props or spare rails', 'stakes', 'ties', 'a barrier'],
    steps: [
      { key: 'prop', text: 'Prop the leaning bay with a spare rail or an A-frame staked at the foot.', doNotSkip: true },
      { key: 'tie', text: 'Tie the fence back to a sound post or wall.' },
      { key: 'barrier', text: 'Keep people off the falling side with a barrier.', doNotSkip: true },
      { key: 'return', text: 'Agree the day of the repair before leaving.', doNotSkip: true },
    ],
    cautions: ['A propped fence is not repaired: keep people away in wind.', 'Jack and prop on spread bearing, never at an angle.'],
  },
]
