import type { Band, Cause, CauseRow, CauseTables, EvidenceRow, PriorRule, SoundRow, ValueWeights, WastedVisits } from '../core/cause/tables'

/*
 * Every number that a cause is judged by, each with its reason. All of them are working values: they come from
 * judgement, not from a count, and the record of what digging found is there to correct them. The page
 * docs/diagnosis.md is made from this file.
 */

/** Priors are working values: how often a call-out to a timber fence ends with this cause. */
export const causes: readonly CauseRow[] = [
  {
    key: 'ground-line-decay',
    name: 'Rotted at the ground line',
    short: 'rot at the ground line',
    what: 'The timber rotted where air and soil meet; the footing may be sound.',
    part: 'wood',
    answeredBy: ['repair-spur', 'steel-pin', 'metal-mender', 'new-post-concrete'],
    prior: 26,
    because: 'the commonest end of a timber post: air, soil and water meet there',
  },
  {
    key: 'buried-decay',
    name: 'Rotted below ground',
    short: 'rot below the ground',
    what: 'The timber rotted inside the footing or deep in the soil, and looks sound above.',
    part: 'wood',
    answeredBy: ['repair-spur', 'new-post-concrete'],
    prior: 9,
    because: 'a third as common as rot at the ground line; found only by digging',
  },
  { key: 'insect-damage', name: 'Eaten by insects', short: 'insects', what: 'Ants, termites or beetles have hollowed the wood; how far is hidden.', part: 'wood', answeredBy: ['new-post-concrete'], prior: 2, because: 'rare where fences are of treated wood' },
  { key: 'wind-snap', name: 'Snapped sound wood', short: 'a snapped post', what: 'A gust or a knock broke sound wood: the section or the spacing is too small.', part: 'wood', answeredBy: ['new-post-concrete', 'repair-spur'], prior: 6, because: 'sound posts break in storms, but footings give way first' },
  { key: 'undersized-footing', name: 'Footing too small', short: 'a small footing', what: 'The footing is too small or too shallow for this load.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 17, because: 'the commonest fault of building: a bag of concrete too few' },
  { key: 'no-footing', name: 'No footing', short: 'no footing', what: 'Only loose fill or topsoil holds the post.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 8, because: 'old and home-made fences often stand in soil alone' },
  { key: 'soft-ground', name: 'Soft ground', short: 'soft ground', what: 'Wet, filled or creeping soil lets a fair footing tilt.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 7, because: 'low and filled ground gives way under fair footings' },
  { key: 'side-load', name: 'Pushed from the side', short: 'a push from the side', what: 'Soil, stacked goods, growth or a neighbour has pushed for years.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 4, because: 'banked soil and stacked goods are seen at one fence in twenty-five' },
  { key: 'gate-pull', name: 'Pulled by the gate', short: 'the pull of a gate', what: 'The leaf hangs on this post day and night and tilts it.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 3, because: 'few posts carry a leaf; those that do lean for it' },
  { key: 'frost-heave', name: 'Lifted by frost', short: 'frost', what: 'Frost has lifted the footing, often one that is wide at the top.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 3, because: 'only where the frost goes deeper than the footing' },
  { key: 'bad-concrete', name: 'Bad concrete', short: 'bad concrete', what: 'The concrete is cracked, one-sided, thin or has dry pockets; the post is loose in it.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 5, because: 'dry pockets and thin sides come with dry-poured bags' },
  { key: 'corroded-steel', name: 'Rusted through', short: 'rust', what: 'The tube is thinned at the ground line or in standing water.', part: 'metal', answeredBy: ['new-post-concrete'], prior: 6, because: 'the usual end of a steel tube; timber never' },
  { key: 'loose-anchorage', name: 'Loose plate or bracket', short: 'a loose plate', what: 'The plate, bracket or sleeve has come loose on its slab or pier.', part: 'fixing', answeredBy: ['plate-on-slab'], prior: 3, because: 'plates are few among fence posts' },
  { key: 'fixing-failure', name: 'Fixings gave way', short: 'loose fixings', what: 'Rails, clips, screws or panels gave way; the post is sound.', part: 'fixing', answeredBy: ['refix-panels'], prior: 6, because: 'rails and clips give way at one call-out in sixteen' },
  { key: 'buried-base', name: 'Base set in soil', short: 'a base in soil', what: 'A load-bearing timber stands in soil on a pier that was set too low.', part: 'wood', answeredBy: ['raise-pier', 'new-pier'], prior: 1, because: 'only where a timber carries a load' },
]

const wood = ['treated-softwood', 'untreated-softwood', 'cedar', 'oak']

export const priorRules: readonly PriorRule[] = [
  { fact: 'material', causes: ['ground-line-decay', 'buried-decay', 'insect-damage', 'buried-base'], when: [[{ key: 'material', notIn: wood }]], factor: 0, because: 'only timber rots or is eaten' },
  { fact: 'material', causes: ['corroded-steel'], when: [[{ key: 'material', notIn: ['steel'] }]], factor: 0, because: 'only steel rusts' },
  { fact: 'material', causes: ['corroded-steel'], when: [[{ key: 'material', in: ['steel'] }]], factor: 4, because: 'rust is the usual end of a steel tube' },
  { fact: 'duty', causes: ['gate-pull'], when: [[{ key: 'duty', notIn: ['gate-hinge'] }]], factor: 0.1, because: 'no leaf is hung on this post' },
  { fact: 'duty', causes: ['gate-pull'], when: [[{ key: 'duty', in: ['gate-hinge'] }]], factor: 6, because: 'a leaf hangs on this post' },
  { fact: 'duty', causes: ['buried-base'], when: [[{ key: 'duty', notIn: ['load-bearing'] }]], factor: 0.05, because: 'nothing stands on this post' },
  { fact: 'duty', causes: ['buried-base'], when: [[{ key: 'duty', in: ['load-bearing'] }]], factor: 12, because: 'load-bearing timber in soil' },
  { fact: 'duty', causes: ['loose-anchorage'], when: [[{ key: 'duty', notIn: ['plate-mounted'] }]], factor: 0.2, because: 'no plate was noted' },
  { fact: 'duty', causes: ['loose-anchorage'], when: [[{ key: 'duty', in: ['plate-mounted'] }]], factor: 10, because: 'the post stands on a plate' },
  { fact: 'ageYears', causes: ['ground-line-decay', 'buried-decay'], when: [[{ key: 'ageYears', below: 5 }]], factor: 0.25, because: 'a young post has hardly had time to rot' },
  { fact: 'ageYears', causes: ['ground-line-decay', 'buried-decay'], when: [[{ key: 'ageYears', above: 12 }]], factor: 1.6, because: 'past the median life of timber in the ground' },
  { fact: 'material', causes: ['ground-line-decay', 'buried-decay'], when: [[{ key: 'material', in: ['untreated-softwood'] }]], factor: 2, because: 'untreated softwood lasts about five years in soil' },
  { fact: 'ageYears', causes: ['undersized-footing', 'no-footing', 'bad-concrete'], when: [[{ key: 'ageYears', below: 5 }]], factor: 1.6, because: 'a bad footing shows in its first years' },
]

const softBands: readonly Band[] = [{ value: 'hard', upTo: 0.003 }, { value: 'skin', upTo: 0.01 }, { value: 'soft', upTo: 0.025 }, { value: 'gone' }]

/** Of a post in which nothing has failed. */
const soundProbe = { hard: 0.9, skin: 0.08, soft: 0.015, gone: 0.005 }

function probe(where: string): Readonly<Record<string, string>> {
  return {
    hard: `hard wood ${where}`,
    skin: `a soft skin ${where}`,
    soft: `soft wood ${where}`,
    gone: `the wood is gone ${where}`,
  }
}

type ByCause = Partial<Record<Cause, ValueWeights>>

/** Gives several causes the same weights for the same reason. */
function alike(causes: readonly Cause[], weights: Record<string, number>, because: string): ByCause {
  return Object.fromEntries(causes.map((cause) => [cause, { weights, because }]))
}

export const evidence: readonly EvidenceRow[] = [
  {
    observation: 'pushPivot',
    group: 'movement',
    minutes: 1,
    check: 'Push at chest height and watch where it turns.',
    doing: 'pushing it',
    words: {
      'nothing-moves': 'nothing moves when pushed',
      'at-ground-line': 'it hinges at the ground line',
      'in-the-soil': 'it turns down in the soil',
      'footing-moves': 'the whole footing moves',
      'post-loose-in-concrete': 'the post is loose in its concrete',
      'at-plate': 'it turns at the plate',
      'panel-only': 'only the panel moves',
    },
    usual: { 'nothing-moves': 20, 'at-ground-line': 10, 'in-the-soil': 25, 'footing-moves': 30, 'post-loose-in-concrete': 8, 'at-plate': 2, 'panel-only': 5 },
    sound: { 'nothing-moves': 0.93, 'at-ground-line': 0.01, 'in-the-soil': 0.02, 'footing-moves': 0.01, 'post-loose-in-concrete': 0.01, 'at-plate': 0.01, 'panel-only': 0.02 },
    byCause: {
      'ground-line-decay': { weights: { 'nothing-moves': 6, 'at-ground-line': 78, 'in-the-soil': 5, 'footing-moves': 2, 'post-loose-in-concrete': 6, 'at-plate': 1, 'panel-only': 2 }, because: 'the rot makes a hinge just where the post enters the ground' },
      'buried-decay': { weights: { 'nothing-moves': 8, 'at-ground-line': 30, 'in-the-soil': 30, 'footing-moves': 3, 'post-loose-in-concrete': 26, 'at-plate': 1, 'panel-only': 2 }, because: 'it turns lower down, or rattles in its socket' },
      'insect-damage': { weights: { 'nothing-moves': 25, 'at-ground-line': 50, 'in-the-soil': 10, 'footing-moves': 3, 'post-loose-in-concrete': 8, 'at-plate': 1, 'panel-only': 3 }, because: 'galleries are thickest near the ground' },
      'wind-snap': { weights: { 'nothing-moves': 6, 'at-ground-line': 80, 'in-the-soil': 6, 'footing-moves': 2, 'post-loose-in-concrete': 2, 'at-plate': 1, 'panel-only': 3 }, because: 'the moment is largest at the ground line' },
      'undersized-footing': { weights: { 'nothing-moves': 12, 'at-ground-line': 3, 'in-the-soil': 20, 'footing-moves': 60, 'post-loose-in-concrete': 2, 'at-plate': 1, 'panel-only': 2 }, because: 'a small footing goes with the post' },
      'no-footing': { weights: { 'nothing-moves': 8, 'at-ground-line': 6, 'in-the-soil': 78, 'footing-moves': 5, 'post-loose-in-concrete': 1, 'at-plate': 1, 'panel-only': 1 }, because: 'nothing but soil to turn in' },
      'bad-concrete': { weights: { 'nothing-moves': 7, 'at-ground-line': 8, 'in-the-soil': 8, 'footing-moves': 15, 'post-loose-in-concrete': 60, 'at-plate': 1, 'panel-only': 1 }, because: 'the post works loose in cracked or dry concrete' },
      'corroded-steel': { weights: { 'nothing-moves': 8, 'at-ground-line': 76, 'in-the-soil': 4, 'footing-moves': 4, 'post-loose-in-concrete': 5, 'at-plate': 1, 'panel-only': 2 }, because: 'tube thins at the ground line' },
      'loose-anchorage': { weights: { 'nothing-moves': 5, 'at-ground-line': 5, 'in-the-soil': 1, 'footing-moves': 5, 'post-loose-in-concrete': 4, 'at-plate': 78, 'panel-only': 2 }, because: 'the plate lifts from its slab' },
      'fixing-failure': { weights: { 'nothing-moves': 20, 'at-ground-line': 1, 'in-the-soil': 1, 'footing-moves': 1, 'post-loose-in-concrete': 1, 'at-plate': 1, 'panel-only': 75 }, because: 'the post stands, the panel swings' },
      'buried-base': { weights: { 'nothing-moves': 40, 'at-ground-line': 40, 'in-the-soil': 8, 'footing-moves': 2, 'post-loose-in-concrete': 2, 'at-plate': 6, 'panel-only': 2 }, because: 'the load above holds it still until the base is gone' },
    },
  },
  {
    observation: 'comesUpright',
    group: 'movement',
    minutes: 1,
    check: 'Pull it towards plumb by hand.',
    doing: 'pulling it upright',
    words: { easily: 'it comes upright easily', 'with-force': 'it comes upright only with force', 'will-not': 'it will not come upright' },
    usual: { easily: 25, 'with-force': 35, 'will-not': 40 },
    sound: { easily: 0.02, 'with-force': 0.15, 'will-not': 0.15 },
    byCause: {
      ...alike(['ground-line-decay', 'wind-snap', 'corroded-steel'], { easily: 78, 'with-force': 17, 'will-not': 5 }, 'a hinge offers no resistance'),
      'buried-decay': { weights: { easily: 60, 'with-force': 30, 'will-not': 10 }, because: 'soil in the socket brakes it a little' },
      'insect-damage': { weights: { easily: 60, 'with-force': 28, 'will-not': 12 }, because: 'what is left of the wood bends' },
      'undersized-footing': { weights: { easily: 10, 'with-force': 40, 'will-not': 50 }, because: 'soil has fallen in behind the tilted footing' },
      'no-footing': { weights: { easily: 45, 'with-force': 40, 'will-not': 15 }, because: 'loose fill gives both ways' },
      'soft-ground': { weights: { easily: 22, 'with-force': 50, 'will-not': 28 }, because: 'wet soil moves, slowly' },
      'side-load': { weights: { easily: 4, 'with-force': 26, 'will-not': 70 }, because: 'the load still leans on it' },
      'frost-heave': { weights: { easily: 6, 'with-force': 24, 'will-not': 70 }, because: 'the lifted footing sits on new soil' },
      'bad-concrete': { weights: { easily: 60, 'with-force': 30, 'will-not': 10 }, because: 'the post rocks in its socket' },
      'fixing-failure': { weights: { easily: 55, 'with-force': 30, 'will-not': 15 }, because: 'the post was never far from upright' },
    },
  },
  {
    observation: 'probeAtGround',
    group: 'wood',
    minutes: 2,
    check: 'Probe with a blade at the ground line.',
    doing: 'probing at the ground line',
    bands: softBands,
    words: probe('at the ground line'),
    usual: { hard: 80, skin: 14, soft: 4, gone: 2 },
    sound: soundProbe,
    byCause: {
      'ground-line-decay': { weights: { hard: 2, skin: 10, soft: 36, gone: 52 }, because: 'this is where it rots first' },
      'buried-decay': { weights: { hard: 45, skin: 30, soft: 18, gone: 7 }, because: 'sound above is what hides it' },
      'insect-damage': { weights: { hard: 20, skin: 20, soft: 35, gone: 25 }, because: 'galleries give under a blade' },
      'wind-snap': { weights: { hard: 82, skin: 14, soft: 3, gone: 1 }, because: 'sound wood broke' },
      'buried-base': { weights: { hard: 10, skin: 20, soft: 35, gone: 35 }, because: 'the base stands in damp soil' },
    },
  },
  {
    observation: 'probeBelow',
    group: 'wood',
    minutes: 4,
    check: 'Scrape down a hand and probe below the ground line.',
    doing: 'probing below the ground',
    bands: softBands,
    words: probe('below the ground'),
    usual: { hard: 80, skin: 14, soft: 4, gone: 2 },
    sound: soundProbe,
    byCause: {
      'ground-line-decay': { weights: { hard: 14, skin: 22, soft: 34, gone: 30 }, because: 'rot runs a little way down' },
      'buried-decay': { weights: { hard: 2, skin: 8, soft: 38, gone: 52 }, because: 'this is where it rots' },
      'insect-damage': { weights: { hard: 25, skin: 20, soft: 30, gone: 25 }, because: 'galleries come up from the soil' },
      'buried-base': { weights: { hard: 8, skin: 15, soft: 37, gone: 40 }, because: 'the base stands in damp soil' },
    },
  },
  {
    observation: 'probeAbove',
    group: 'wood',
    minutes: 2,
    check: 'Probe a hand above the ground line.',
    doing: 'probing above the ground',
    bands: softBands,
    words: probe('above the ground'),
    usual: { hard: 90, skin: 8, soft: 1.5, gone: 0.5 },
    sound: soundProbe,
    byCause: {
      'ground-line-decay': { weights: { hard: 72, skin: 18, soft: 7, gone: 3 }, because: 'rot seldom climbs far' },
      'buried-decay': { weights: { hard: 86, skin: 10, soft: 3, gone: 1 }, because: 'sound above' },
      'insect-damage': { weights: { hard: 35, skin: 25, soft: 25, gone: 15 }, because: 'galleries follow the grain upwards' },
    },
  },
  {
    observation: 'breakFace',
    // A sound post that stands firm shows no break, and nobody opens its wood.
    askedWhen: [[{ key: 'pushPivot', in: ['at-ground-line', 'in-the-soil', 'post-loose-in-concrete'] }], [{ key: 'comesUpright', in: ['easily'] }], [{ key: 'tap', in: ['dull', 'hollow'] }], [{ key: 'probeAtGround', above: 0.01 }], [{ key: 'probeAbove', above: 0.01 }]],
    // Galleries are hardly ever seen in a break that insects had no part in.
    floor: 0.002,
    group: 'break',
    minutes: 1,
    check: 'See whether it is broken, and look at the face.',
    doing: 'looking at the break',
    words: {
      'brown-and-crumbly': 'the break is brown and crumbly',
      'clean-splinters': 'the break is clean splinters',
      'galleries-and-dust': 'the break shows galleries and dust',
      'rust-flakes': 'the break shows rust flakes',
      none: 'there is no break',
    },
    usual: { 'brown-and-crumbly': 3, 'clean-splinters': 3, 'galleries-and-dust': 0.2, 'rust-flakes': 1, none: 92 },
    sound: { 'brown-and-crumbly': 0.01, 'clean-splinters': 0.01, 'galleries-and-dust': 0.002, 'rust-flakes': 0.01, none: 0.96 },
    byCause: {
      'ground-line-decay': { weights: { 'brown-and-crumbly': 55, 'clean-splinters': 3, 'galleries-and-dust': 0.4, 'rust-flakes': 1, none: 39 }, because: 'rotten wood breaks short and brown' },
      'buried-decay': { weights: { 'brown-and-crumbly': 40, 'clean-splinters': 2, 'galleries-and-dust': 0.4, 'rust-flakes': 1, none: 55 }, because: 'rotten wood breaks short and brown' },
      'insect-damage': { weights: { 'brown-and-crumbly': 10, 'clean-splinters': 2, 'galleries-and-dust': 60, 'rust-flakes': 1, none: 27 }, because: 'galleries show in the break' },
      'wind-snap': { weights: { 'brown-and-crumbly': 2, 'clean-splinters': 84, 'galleries-and-dust': 0.2, 'rust-flakes': 1, none: 12 }, because: 'sound wood tears in long splinters' },
      'corroded-steel': { weights: { 'brown-and-crumbly': 1, 'clean-splinters': 1, 'galleries-and-dust': 0.2, 'rust-flakes': 62, none: 35 }, because: 'thinned steel flakes' },
      'buried-base': { weights: { 'brown-and-crumbly': 40, 'clean-splinters': 2, 'galleries-and-dust': 0.6, 'rust-flakes': 2, none: 52 }, because: 'the foot crumbles' },
    },
  },
  {
    observation: 'footingFound',
    // One hand built them at one time: what one hole shows speaks for the others, at half the weight.
    carries: 0.5,
    group: 'movement',
    minutes: 12,
    check: 'Dig down beside it and look at the footing.',
    doing: 'digging to the footing',
    silent: ['not-dug'],
    words: {
      none: 'digging found no footing',
      small: 'the footing is small',
      adequate: 'the footing is large enough',
      'one-sided': 'the footing is thin on one side',
      cracked: 'the footing is cracked',
      'dry-pockets': 'the concrete has dry pockets',
      'stands-proud': 'the footing stands proud of the ground',
    },
    usual: { none: 10, small: 20, adequate: 52, 'one-sided': 6, cracked: 5, 'dry-pockets': 4, 'stands-proud': 3 },
    sound: { none: 0.04, small: 0.1, adequate: 0.8, 'one-sided': 0.02, cracked: 0.02, 'dry-pockets': 0.01, 'stands-proud': 0.01 },
    byCause: {
      'undersized-footing': { weights: { none: 3, small: 74, adequate: 6, 'one-sided': 10, cracked: 3, 'dry-pockets': 2, 'stands-proud': 2 }, because: 'small is what it is' },
      'no-footing': { weights: { none: 90, small: 6, adequate: 1, 'one-sided': 1, cracked: 1, 'dry-pockets': 0.5, 'stands-proud': 0.5 }, because: 'none is what it is' },
      'soft-ground': { weights: { none: 6, small: 16, adequate: 66, 'one-sided': 4, cracked: 3, 'dry-pockets': 2, 'stands-proud': 3 }, because: 'a fair footing in poor ground' },
      'gate-pull': { weights: { none: 6, small: 48, adequate: 36, 'one-sided': 4, cracked: 3, 'dry-pockets': 2, 'stands-proud': 1 }, because: 'often sized as a line post' },
      'frost-heave': { weights: { none: 1, small: 14, adequate: 12, 'one-sided': 4, cracked: 10, 'dry-pockets': 2, 'stands-proud': 57 }, because: 'frost lifts it out' },
      'bad-concrete': { weights: { none: 1, small: 8, adequate: 6, 'one-sided': 26, cracked: 30, 'dry-pockets': 28, 'stands-proud': 1 }, because: 'bad concrete shows when dug' },
    },
  },
  {
    observation: 'onset',
    group: 'history',
    minutes: 1,
    check: 'Ask when it began.',
    doing: 'asking when it began',
    silent: ['unknown'],
    words: {
      'after-storm': 'it began with a storm',
      slowly: 'it came on slowly',
      'after-frost': 'it began with a frost',
      'after-impact': 'something hit it',
      'after-gate-hung': 'it began when the gate was hung',
    },
    usual: { 'after-storm': 34, slowly: 55, 'after-frost': 4, 'after-impact': 5, 'after-gate-hung': 2 },
    // Somebody complains of it: of a sound post seldom.
    sound: { 'after-storm': 0.15, slowly: 0.15, 'after-frost': 0.15, 'after-impact': 0.15, 'after-gate-hung': 0.15 },
    byCause: {
      'wind-snap': { weights: { 'after-storm': 66, slowly: 4, 'after-frost': 2, 'after-impact': 26, 'after-gate-hung': 2 }, because: 'sound wood breaks at once' },
      'undersized-footing': { weights: { 'after-storm': 50, slowly: 38, 'after-frost': 4, 'after-impact': 4, 'after-gate-hung': 4 }, because: 'gusts push it a little further each time' },
      'side-load': { weights: { 'after-storm': 6, slowly: 88, 'after-frost': 2, 'after-impact': 2, 'after-gate-hung': 2 }, because: 'a steady push works for years' },
      'gate-pull': { weights: { 'after-storm': 6, slowly: 52, 'after-frost': 2, 'after-impact': 2, 'after-gate-hung': 38 }, because: 'it starts with the leaf' },
      'frost-heave': { weights: { 'after-storm': 6, slowly: 32, 'after-frost': 58, 'after-impact': 2, 'after-gate-hung': 2 }, because: 'frost lifts in winter' },
    },
  },
  {
    observation: 'tap',
    group: 'wood',
    minutes: 1,
    check: 'Tap it with a hammer from the ground up.',
    doing: 'tapping it',
    words: { rings: 'it rings when tapped', dull: 'it sounds dull', hollow: 'it sounds hollow' },
    usual: { rings: 70, dull: 25, hollow: 5 },
    sound: { rings: 0.85, dull: 0.13, hollow: 0.02 },
    byCause: {
      'ground-line-decay': { weights: { rings: 12, dull: 68, hollow: 20 }, because: 'rotten wood swallows the knock' },
      'buried-decay': { weights: { rings: 40, dull: 48, hollow: 12 }, because: 'sound wood above rings, what is below does not' },
      'insect-damage': { weights: { rings: 8, dull: 30, hollow: 62 }, because: 'galleries make a drum of it' },
      'wind-snap': { weights: { rings: 82, dull: 15, hollow: 3 }, because: 'sound wood rings' },
      'corroded-steel': { weights: { rings: 35, dull: 50, hollow: 15 }, because: 'thin, scaled tube does not ring' },
      'buried-base': { weights: { rings: 20, dull: 62, hollow: 18 }, because: 'the foot is soft under its load' },
    },
  },
  {
    observation: 'moisturePercent',
    group: 'wood',
    minutes: 2,
    check: 'Read the moisture of the wood a hand above the ground.',
    doing: 'reading its moisture',
    logistic: { middle: 24, width: 3 },
    words: { low: 'the wood is dry', high: 'the wood is wet' },
    usual: { low: 60, high: 40 },
    sound: { low: 0.7, high: 0.3 },
    byCause: {
      'ground-line-decay': { weights: { low: 8, high: 92 }, because: 'rot needs wood wetter than a quarter of its mass' },
      'buried-decay': { weights: { low: 25, high: 75 }, because: 'the wet climbs from below' },
      'insect-damage': { weights: { low: 42, high: 58 }, because: 'most of them like it damp' },
      'buried-base': { weights: { low: 8, high: 92 }, because: 'the base stands in damp soil' },
    },
  },
  {
    observation: 'wrap',
    group: 'wrap',
    minutes: 1,
    check: 'Look for a wrap at the ground line.',
    doing: 'looking for a wrap',
    words: { none: 'there is no wrap', tight: 'the wrap is tight', gaping: 'the wrap gapes' },
    usual: { none: 90, tight: 7, gaping: 3 },
    sound: { none: 0.9, tight: 0.08, gaping: 0.02 },
    byCause: {
      'ground-line-decay': { weights: { none: 84, tight: 3, gaping: 13 }, because: 'a gaping wrap holds water against the wood' },
      'buried-decay': { weights: { none: 89, tight: 4, gaping: 7 }, because: 'a gaping wrap leads water down' },
    },
  },
  {
    observation: 'groundAround',
    group: 'ground',
    minutes: 1,
    check: 'Look round the foot.',
    doing: 'looking round the foot',
    words: {
      'lifted-collar': 'a collar of concrete is lifted',
      'gap-beside-post': 'there is a gap beside the post',
      saturated: 'the ground is soaked',
      'heaped-soil': 'soil is heaped on the wood',
      'water-holding-top': 'the footing holds water like a dish',
      'cracked-surface': 'the ground is cracked',
      root: 'a root runs at the post',
      nothing: 'nothing is to be seen round the foot',
    },
    usual: { 'lifted-collar': 3, 'gap-beside-post': 14, saturated: 12, 'heaped-soil': 11, 'water-holding-top': 8, 'cracked-surface': 10, root: 7, nothing: 35 },
    sound: { 'lifted-collar': 0.01, 'gap-beside-post': 0.06, saturated: 0.1, 'heaped-soil': 0.1, 'water-holding-top': 0.06, 'cracked-surface': 0.08, root: 0.07, nothing: 0.52 },
    byCause: {
      'ground-line-decay': { weights: { 'lifted-collar': 1, 'gap-beside-post': 11, saturated: 12, 'heaped-soil': 22, 'water-holding-top': 20, 'cracked-surface': 6, root: 5, nothing: 23 }, because: 'soil and water on the wood keep it wet' },
      'buried-decay': { weights: { 'lifted-collar': 1, 'gap-beside-post': 14, saturated: 18, 'heaped-soil': 13, 'water-holding-top': 19, 'cracked-surface': 6, root: 6, nothing: 23 }, because: 'water stands in the socket' },
      'wind-snap': { weights: { 'lifted-collar': 1, 'gap-beside-post': 10, saturated: 9, 'heaped-soil': 8, 'water-holding-top': 6, 'cracked-surface': 8, root: 6, nothing: 52 }, because: 'the ground had no part in it' },
      'undersized-footing': { weights: { 'lifted-collar': 3, 'gap-beside-post': 34, saturated: 10, 'heaped-soil': 5, 'water-holding-top': 4, 'cracked-surface': 20, root: 5, nothing: 19 }, because: 'the tilting footing opens a gap behind it' },
      'no-footing': { weights: { 'lifted-collar': 1, 'gap-beside-post': 36, saturated: 13, 'heaped-soil': 6, 'water-holding-top': 3, 'cracked-surface': 10, root: 5, nothing: 26 }, because: 'the post works its hole wider' },
      'soft-ground': { weights: { 'lifted-collar': 2, 'gap-beside-post': 14, saturated: 52, 'heaped-soil': 4, 'water-holding-top': 6, 'cracked-surface': 13, root: 2, nothing: 7 }, because: 'soaked soil is soft soil' },
      'side-load': { weights: { 'lifted-collar': 1, 'gap-beside-post': 16, saturated: 6, 'heaped-soil': 34, 'water-holding-top': 3, 'cracked-surface': 13, root: 14, nothing: 13 }, because: 'what pushes lies against it' },
      'gate-pull': { weights: { 'lifted-collar': 2, 'gap-beside-post': 32, saturated: 8, 'heaped-soil': 5, 'water-holding-top': 4, 'cracked-surface': 18, root: 3, nothing: 28 }, because: 'the gap opens away from the leaf' },
      'frost-heave': { weights: { 'lifted-collar': 52, 'gap-beside-post': 8, saturated: 12, 'heaped-soil': 2, 'water-holding-top': 6, 'cracked-surface': 14, root: 1, nothing: 5 }, because: 'frost lifts the footing with its collar' },
      'bad-concrete': { weights: { 'lifted-collar': 4, 'gap-beside-post': 22, saturated: 8, 'heaped-soil': 5, 'water-holding-top': 13, 'cracked-surface': 23, root: 4, nothing: 21 }, because: 'poor concrete shows in its top' },
      'corroded-steel': { weights: { 'lifted-collar': 1, 'gap-beside-post': 8, saturated: 18, 'heaped-soil': 16, 'water-holding-top': 24, 'cracked-surface': 5, root: 3, nothing: 25 }, because: 'water at the foot feeds the rust' },
      'fixing-failure': { weights: { 'lifted-collar': 1, 'gap-beside-post': 7, saturated: 8, 'heaped-soil': 9, 'water-holding-top': 5, 'cracked-surface': 6, root: 5, nothing: 59 }, because: 'the foot had no part in it' },
      'buried-base': { weights: { 'lifted-collar': 1, 'gap-beside-post': 7, saturated: 18, 'heaped-soil': 36, 'water-holding-top': 12, 'cracked-surface': 3, root: 2, nothing: 21 }, because: 'soil lies over the base' },
    },
  },
  {
    observation: 'leanPattern',
    group: 'lean',
    minutes: 1,
    check: 'Look along the line: which posts lean?',
    doing: 'looking along the line',
    words: { 'this-post-only': 'only this post leans', 'neighbours-too': 'its neighbours lean too', 'whole-line-one-way': 'the whole line leans one way' },
    usual: { 'this-post-only': 50, 'neighbours-too': 36, 'whole-line-one-way': 14 },
    sound: { 'this-post-only': 0.15, 'neighbours-too': 0.15, 'whole-line-one-way': 0.15 },
    byCause: {
      'ground-line-decay': { weights: { 'this-post-only': 56, 'neighbours-too': 38, 'whole-line-one-way': 6 }, because: 'posts of one age rot one after the other' },
      'insect-damage': { weights: { 'this-post-only': 76, 'neighbours-too': 21, 'whole-line-one-way': 3 }, because: 'a nest takes one post first' },
      'wind-snap': { weights: { 'this-post-only': 64, 'neighbours-too': 31, 'whole-line-one-way': 5 }, because: 'the weakest one breaks' },
      'undersized-footing': { weights: { 'this-post-only': 30, 'neighbours-too': 42, 'whole-line-one-way': 28 }, because: 'the whole line was set alike' },
      'no-footing': { weights: { 'this-post-only': 30, 'neighbours-too': 42, 'whole-line-one-way': 28 }, because: 'the whole line was set alike' },
      'soft-ground': { weights: { 'this-post-only': 14, 'neighbours-too': 46, 'whole-line-one-way': 40 }, because: 'ground is soft over a stretch' },
      'side-load': { weights: { 'this-post-only': 12, 'neighbours-too': 40, 'whole-line-one-way': 48 }, because: 'a bank pushes all of them' },
      'gate-pull': { weights: { 'this-post-only': 86, 'neighbours-too': 12, 'whole-line-one-way': 2 }, because: 'only one post carries the leaf' },
      'bad-concrete': { weights: { 'this-post-only': 64, 'neighbours-too': 31, 'whole-line-one-way': 5 }, because: 'one bad pour is one bad post' },
      'fixing-failure': { weights: { 'this-post-only': 72, 'neighbours-too': 23, 'whole-line-one-way': 5 }, because: 'one bay came loose' },
    },
  },
  {
    observation: 'lean',
    group: 'lean',
    minutes: 2,
    check: 'Measure how far it is off plumb.',
    doing: 'measuring its lean',
    logistic: { middle: 0.035, width: 0.012 },
    words: { low: 'it is hardly off plumb', high: 'it is far off plumb' },
    usual: { low: 42, high: 58 },
    sound: { low: 0.95, high: 0.05 },
    byCause: {
      'wind-snap': { weights: { low: 18, high: 82 }, because: 'a broken post hangs over' },
      'no-footing': { weights: { low: 28, high: 72 }, because: 'nothing stops it' },
      'frost-heave': { weights: { low: 66, high: 34 }, because: 'frost lifts more than it tilts' },
      'fixing-failure': { weights: { low: 90, high: 10 }, because: 'the post still stands plumb' },
      'buried-base': { weights: { low: 82, high: 18 }, because: 'the load above holds it upright' },
    },
  },
  {
    observation: 'gate',
    group: 'gate',
    minutes: 1,
    check: 'Look whether a leaf hangs on it, and which way it leans.',
    doing: 'looking at the gate',
    words: { none: 'no gate hangs on it', 'hung-here': 'a leaf hangs on it', 'leans-towards-gate': 'it leans towards its gate' },
    usual: { none: 84, 'hung-here': 13, 'leans-towards-gate': 3 },
    sound: { none: 0.82, 'hung-here': 0.1, 'leans-towards-gate': 0.08 },
    byCause: {
      'gate-pull': { weights: { none: 1, 'hung-here': 34, 'leans-towards-gate': 65 }, because: 'it goes the way that the leaf pulls' },
    },
  },
  {
    observation: 'sideLoad',
    group: 'load',
    minutes: 1,
    check: 'Look on both sides for what pushes.',
    doing: 'looking for what pushes',
    words: { none: 'nothing pushes on it', 'retained-soil': 'banked soil pushes on it', 'stacked-goods': 'stacked goods push on it', 'climbing-growth': 'climbing growth pulls on it' },
    usual: { none: 86, 'retained-soil': 5, 'stacked-goods': 4, 'climbing-growth': 5 },
    sound: { none: 0.9, 'retained-soil': 0.03, 'stacked-goods': 0.03, 'climbing-growth': 0.04 },
    byCause: {
      'side-load': { weights: { none: 4, 'retained-soil': 48, 'stacked-goods': 24, 'climbing-growth': 24 }, because: 'what pushes can be seen' },
    },
  },
  {
    observation: 'fixings',
    group: 'fixings',
    minutes: 1,
    check: 'Shake the rails and the panel.',
    doing: 'shaking rails and panel',
    words: { sound: 'the fixings are sound', 'loose-rails': 'the rails are loose', 'torn-out': 'fixings are torn out', 'panel-sunk': 'the panel has sunk' },
    usual: { sound: 62, 'loose-rails': 17, 'torn-out': 8, 'panel-sunk': 13 },
    sound: { sound: 0.9, 'loose-rails': 0.05, 'torn-out': 0.01, 'panel-sunk': 0.04 },
    byCause: {
      'ground-line-decay': { weights: { sound: 50, 'loose-rails': 18, 'torn-out': 8, 'panel-sunk': 24 }, because: 'the panel goes down with its post' },
      'wind-snap': { weights: { sound: 38, 'loose-rails': 20, 'torn-out': 32, 'panel-sunk': 10 }, because: 'the gust tears at both' },
      'fixing-failure': { weights: { sound: 3, 'loose-rails': 46, 'torn-out': 38, 'panel-sunk': 13 }, because: 'this is what failed' },
    },
  },
]

/**
 * Visits wasted when a post is repaired for one cause and another was true: the rows are the part that was repaired,
 * the columns the part that had failed. Causes of one part with the same repairs waste nothing.
 */
export const wasted: WastedVisits = {
  byPart: {
    wood: { wood: 0, ground: 1, metal: 1, fixing: 0.6 },
    ground: { wood: 1, ground: 0, metal: 1, fixing: 0.6 },
    metal: { wood: 1, ground: 1, metal: 0, fixing: 0.6 },
    fixing: { wood: 1, ground: 1, metal: 1, fixing: 0 },
  },
  samePart: { someRepairsShared: 0.3, noRepairShared: 0.8 },
  because: 'the wrong part repaired brings you back once; a post changed for a loose panel is work done, but the panel holds',
}

/** Most posts of a line that somebody was called to stand; the one that was meant has mostly failed. */
export const sound: SoundRow = {
  odds: { onTheLine: 3, pointedAt: 1 / 4 },
  visits: { leftFailed: 1, mendedSound: 0.6 },
  lean: { sound: 0.008, failedSound: 0.12, failedMedian: 0.035, failedScatter: 0.7 },
  onPlate: { observation: 'pushPivot', value: 'at-plate', share: 0.05, instead: ['in-the-soil', 'at-ground-line', 'footing-moves', 'post-loose-in-concrete'] },
  because: 'of posts on a line with one bad post three in four have nothing; leaving a bad one costs a visit, mending a good one the better part of one',
}

/** Causes that one another hides, told by more than the likelier of them: both are answered. */
const together: CauseTables['together'] = [
  {
    causes: ['insect-damage', 'ground-line-decay'],
    name: 'Insects and rot',
    when: [
      [
        { key: 'breakFace', in: ['galleries-and-dust'] },
        { key: 'probeAtGround', above: 0.01 },
      ],
    ],
  },
  {
    causes: ['insect-damage', 'buried-decay'],
    name: 'Insects and rot',
    when: [
      [
        { key: 'breakFace', in: ['galleries-and-dust'] },
        { key: 'probeBelow', above: 0.01 },
      ],
    ],
  },
]

export const diagnosis: CauseTables = { causes, priorRules, evidence, wasted, sound, together }
