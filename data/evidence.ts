import type { Band, Cause, EvidenceRow, ValueWeights } from '../core/cause/tables'

/*
 * How often each reading is seen under each cause. Working values in parts of a hundred, each
 * with its reason. Where a cause has no row of its own the `usual` row stands.
 */

const softBands: readonly Band[] = [
  { value: 'hard', upTo: 0.003 },
  { value: 'skin', upTo: 0.01 },
  { value: 'soft', upTo: 0.025 },
  { value: 'gone', upTo: Infinity },
]

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
    words: { easily: 'it comes upright easily', 'with-force': 'it comes upright only with force', 'will-not': 'it will not come upright' },
    usual: { easily: 25, 'with-force': 35, 'will-not': 40 },
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
    bands: softBands,
    words: probe('at the ground line'),
    usual: { hard: 80, skin: 14, soft: 4, gone: 2 },
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
    bands: softBands,
    words: probe('below the ground'),
    usual: { hard: 80, skin: 14, soft: 4, gone: 2 },
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
    bands: softBands,
    words: probe('above the ground'),
    usual: { hard: 90, skin: 8, soft: 1.5, gone: 0.5 },
    byCause: {
      'ground-line-decay': { weights: { hard: 72, skin: 18, soft: 7, gone: 3 }, because: 'rot seldom climbs far' },
      'buried-decay': { weights: { hard: 86, skin: 10, soft: 3, gone: 1 }, because: 'sound above' },
      'insect-damage': { weights: { hard: 35, skin: 25, soft: 25, gone: 15 }, because: 'galleries follow the grain upwards' },
    },
  },
  {
    observation: 'breakFace',
    group: 'break',
    minutes: 1,
    check: 'Look at the broken face.',
    words: {
      'brown-and-crumbly': 'the break is brown and crumbly',
      'clean-splinters': 'the break is clean splinters',
      'galleries-and-dust': 'the break shows galleries and dust',
      'rust-flakes': 'the break shows rust flakes',
      none: 'there is no break',
    },
    usual: { 'brown-and-crumbly': 3, 'clean-splinters': 3, 'galleries-and-dust': 1, 'rust-flakes': 1, none: 92 },
    byCause: {
      'ground-line-decay': { weights: { 'brown-and-crumbly': 55, 'clean-splinters': 3, 'galleries-and-dust': 2, 'rust-flakes': 1, none: 39 }, because: 'rotten wood breaks short and brown' },
      'buried-decay': { weights: { 'brown-and-crumbly': 40, 'clean-splinters': 2, 'galleries-and-dust': 2, 'rust-flakes': 1, none: 55 }, because: 'rotten wood breaks short and brown' },
      'insect-damage': { weights: { 'brown-and-crumbly': 10, 'clean-splinters': 2, 'galleries-and-dust': 60, 'rust-flakes': 1, none: 27 }, because: 'galleries show in the break' },
      'wind-snap': { weights: { 'brown-and-crumbly': 2, 'clean-splinters': 84, 'galleries-and-dust': 1, 'rust-flakes': 1, none: 12 }, because: 'sound wood tears in long splinters' },
      'corroded-steel': { weights: { 'brown-and-crumbly': 1, 'clean-splinters': 1, 'galleries-and-dust': 1, 'rust-flakes': 62, none: 35 }, because: 'thinned steel flakes' },
      'buried-base': { weights: { 'brown-and-crumbly': 40, 'clean-splinters': 2, 'galleries-and-dust': 4, 'rust-flakes': 2, none: 52 }, because: 'the foot crumbles' },
    },
  },
  {
    observation: 'footingFound',
    group: 'movement',
    minutes: 12,
    check: 'Dig down beside it and look at the footing.',
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
    silent: ['unknown'],
    words: {
      'after-storm': 'it began with a storm',
      slowly: 'it came on slowly',
      'after-frost': 'it began with a frost',
      'after-impact': 'something hit it',
      'after-gate-hung': 'it began when the gate was hung',
    },
    usual: { 'after-storm': 34, slowly: 55, 'after-frost': 4, 'after-impact': 5, 'after-gate-hung': 2 },
    byCause: {
      'wind-snap': { weights: { 'after-storm': 66, slowly: 4, 'after-frost': 2, 'after-impact': 26, 'after-gate-hung': 2 }, because: 'sound wood breaks at once' },
      'undersized-footing': { weights: { 'after-storm': 50, slowly: 38, 'after-frost': 4, 'after-impact': 4, 'after-gate-hung': 4 }, because: 'gusts push it a little further each time' },
      'side-load': { weights: { 'after-storm': 6, slowly: 88, 'after-frost': 2, 'after-impact': 2, 'after-gate-hung': 2 }, because: 'a steady push works for years' },
      'gate-pull': { weights: { 'after-storm': 6, slowly: 52, 'after-frost': 2, 'after-impact': 2, 'after-gate-hung': 38 }, because: 'it starts with the leaf' },
      'frost-heave': { weights: { 'after-storm': 6, slowly: 32, 'after-frost': 58, 'after-impact': 2, 'after-gate-hung': 2 }, because: 'frost lifts in winter' },
    },
  },
]
