import type { ConditionRow } from '../core/cause/conditions'

/** What helps failures along; each with its own advice. Widths, gaps and solidities are working values. */
export const conditions: readonly ConditionRow[] = [
  { key: 'heaped-soil', name: 'Soil heaped on wood', advice: 'Take the soil back to 50 mm under the cladding and keep it there.', when: [[{ key: 'groundAround', in: ['heaped-soil'] }]] },
  { key: 'dished-footing', name: 'Footing top that holds water', advice: 'Slope the new top away from the post, or end it under the turf.', when: [[{ key: 'groundAround', in: ['water-holding-top'] }]] },
  { key: 'gaping-wrap', name: 'Gaping wrap', advice: 'A wrap tight and sealed at its top, or none.', when: [[{ key: 'wrap', in: ['gaping'] }]] },
  { key: 'no-ground-board', name: 'No board under the cladding', advice: 'A board that can be renewed between cladding and soil.' },
  { key: 'open-end-grain', name: 'Open end grain on top', advice: 'Cut the top to shed water, or cap it; soak the cut.' },
  { key: 'cladding-in-soil', name: 'Cladding touches the soil', advice: 'Leave a gap of 50 mm, or a board that can be renewed.', when: [[{ key: 'gap', below: 0.02 }]] },
  {
    key: 'solid-in-the-wind',
    name: 'Solid cladding in the open',
    advice: 'Closer posts, a deeper footing, or cladding with gaps.',
    when: [
      [
        { key: 'exposed', in: [true] },
        { key: 'solidity', above: 0.9 },
      ],
    ],
  },
  {
    key: 'wide-bays',
    name: 'Bays or posts too slight for the wind',
    advice: 'Shorter bays or a larger section; see what a sound post of this size would hold.',
    when: [
      [
        { key: 'bay', above: 2.75 },
        { key: 'solidity', above: 0.5 },
      ],
    ],
  },
  { key: 'roots', name: 'Tree roots', advice: 'Leave the root, shift the hole; ask about tree protection.', when: [[{ key: 'groundAround', in: ['root'] }], [{ key: 'near', in: ['root', 'tree'] }]] },
  { key: 'standing-water', name: 'Downpipe or standing water', advice: 'Lead the water away before anything is poured.', when: [[{ key: 'groundAround', in: ['saturated'] }], [{ key: 'saturated', in: [true] }], [{ key: 'near', in: ['downpipe'] }]] },
  { key: 'mixed-repairs', name: 'Repairs of different kinds along the line', advice: 'One method for the stretch, so that it moves as one.', when: [[{ key: 'repairKinds', above: 2 }]] },
]
