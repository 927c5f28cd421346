import type { CauseRow, PriorRule } from '../core/cause/tables'

/** Priors are working values: how often a call-out to a timber fence ends with this cause. */
export const causes: readonly CauseRow[] = [
  { key: 'ground-line-decay', name: 'Rotted at the ground line', what: 'The timber rotted where air and soil meet; the footing may be sound.', part: 'wood', answeredBy: ['repair-spur', 'steel-pin', 'metal-mender', 'new-post-concrete'], prior: 26 },
  { key: 'buried-decay', name: 'Rotted below ground', what: 'The timber rotted inside the footing or deep in the soil, and looks sound above.', part: 'wood', answeredBy: ['repair-spur', 'new-post-concrete'], prior: 9 },
  { key: 'insect-damage', name: 'Eaten by insects', what: 'Ants, termites or beetles have hollowed the wood; how far is hidden.', part: 'wood', answeredBy: ['new-post-concrete'], prior: 2 },
  { key: 'wind-snap', name: 'Snapped sound wood', what: 'A gust or a knock broke sound wood: the section or the spacing is too small.', part: 'wood', answeredBy: ['new-post-concrete', 'repair-spur'], prior: 6 },
  { key: 'undersized-footing', name: 'Footing too small', what: 'The footing is too small or too shallow for this load.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 17 },
  { key: 'no-footing', name: 'No footing', what: 'Only loose fill or topsoil holds the post.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 8 },
  { key: 'soft-ground', name: 'Soft ground', what: 'Wet, filled or creeping soil lets a fair footing tilt.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 7 },
  { key: 'side-load', name: 'Pushed from the side', what: 'Soil, stacked goods, growth or a neighbour has pushed for years.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 4 },
  { key: 'gate-pull', name: 'Pulled by the gate', what: 'The leaf hangs on this post day and night and tilts it.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 3 },
  { key: 'frost-heave', name: 'Lifted by frost', what: 'Frost has lifted the footing, often one that is wide at the top.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 3 },
  { key: 'bad-concrete', name: 'Bad concrete', what: 'The concrete is cracked, one-sided, thin or has dry pockets; the post is loose in it.', part: 'ground', answeredBy: ['recast-footing', 'new-post-concrete'], prior: 5 },
  { key: 'corroded-steel', name: 'Rusted through', what: 'The tube is thinned at the ground line or in standing water.', part: 'metal', answeredBy: ['new-post-concrete'], prior: 6 },
  { key: 'loose-anchorage', name: 'Loose plate or bracket', what: 'The plate, bracket or sleeve has come loose on its slab or pier.', part: 'fixing', answeredBy: ['plate-on-slab'], prior: 3 },
  { key: 'fixing-failure', name: 'Fixings gave way', what: 'Rails, clips, screws or panels gave way; the post is sound.', part: 'fixing', answeredBy: ['refix-panels'], prior: 6 },
  { key: 'buried-base', name: 'Base set in soil', what: 'A load-bearing timber stands in soil on a pier that was set too low.', part: 'wood', answeredBy: ['raise-pier', 'new-pier'], prior: 1 },
]

const wood = ['treated-softwood', 'untreated-softwood', 'cedar', 'oak']

export const priorRules: readonly PriorRule[] = [
  { causes: ['ground-line-decay', 'buried-decay', 'insect-damage', 'buried-base'], when: (post) => !wood.includes(post.material), factor: 0, because: 'only timber rots or is eaten' },
  { causes: ['corroded-steel'], when: (post) => post.material !== 'steel', factor: 0, because: 'only steel rusts' },
  { causes: ['gate-pull'], when: (post) => post.duty !== 'gate-hinge', factor: 0.1, because: 'no leaf is hung on this post' },
  { causes: ['gate-pull'], when: (post) => post.duty === 'gate-hinge', factor: 6, because: 'a leaf hangs on this post' },
  { causes: ['buried-base'], when: (post) => post.duty !== 'load-bearing', factor: 0.05, because: 'nothing stands on this post' },
  { causes: ['buried-base'], when: (post) => post.duty === 'load-bearing', factor: 12, because: 'load-bearing timber in soil' },
  { causes: ['loose-anchorage'], when: (post) => post.duty !== 'plate-mounted', factor: 0.2, because: 'no plate was noted' },
  { causes: ['loose-anchorage'], when: (post) => post.duty === 'plate-mounted', factor: 10, because: 'the post stands on a plate' },
  { causes: ['ground-line-decay', 'buried-decay'], when: (post) => post.ageYears < 5, factor: 0.25, because: 'a young post has hardly had time to rot' },
  { causes: ['ground-line-decay', 'buried-decay'], when: (post) => post.ageYears > 12, factor: 1.6, because: 'past the median life of timber in the ground' },
  { causes: ['ground-line-decay', 'buried-decay'], when: (post) => post.material === 'untreated-softwood', factor: 2, because: 'untreated softwood lasts about five years in soil' },
  { causes: ['undersized-footing', 'no-footing', 'bad-concrete'], when: (post) => post.ageYears < 5, factor: 1.6, because: 'a bad footing shows in its first years' },
]
