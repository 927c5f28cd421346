import type { ConditionRow } from '../core/cause/conditions'
import type { ResolvedPost } from '../core/job/assume'

const seen = (post: ResolvedPost, what: string) => post.observations.groundAround?.includes(what) ?? false
const near = (post: ResolvedPost, kind: string) => post.nearMarks.some((mark) => mark.kind === kind)

/** What helps failures along; each with its own advice. */
export const conditions: readonly ConditionRow[] = [
  { key: 'heaped-soil', name: 'Soil heaped on wood', advice: 'Take the soil back to 50 mm under the cladding and keep it there.', shownBy: (post) => seen(post, 'heaped-soil') },
  { key: 'dished-footing', name: 'Footing top that holds water', advice: 'Slope the new top away from the post, or end it under the turf.', shownBy: (post) => seen(post, 'water-holding-top') },
  { key: 'gaping-wrap', name: 'Gaping wrap', advice: 'A wrap tight and sealed at its top, or none.', shownBy: (post) => post.observations.wrap === 'gaping' },
  { key: 'no-ground-board', name: 'No board under the cladding', advice: 'A board that can be renewed between cladding and soil.' },
  { key: 'open-end-grain', name: 'Open end grain on top', advice: 'Cut the top to shed water, or cap it; soak the cut.' },
  { key: 'cladding-in-soil', name: 'Cladding touches the soil', advice: 'Leave a gap of 50 mm, or a board that can be renewed.', shownBy: (_post, line) => line.gap < 0.02 },
  { key: 'solid-in-the-wind', name: 'Solid cladding in the open', advice: 'Closer posts, a deeper footing, or cladding with gaps.', shownBy: (_post, line, exposed) => exposed && line.solidity > 0.9 },
  { key: 'wide-bays', name: 'Bays or posts too slight for the wind', advice: 'Shorter bays or a larger section; see what a sound post of this size would hold.', shownBy: (post, line) => post.to - post.from > 2.75 && line.solidity > 0.5 },
  { key: 'roots', name: 'Tree roots', advice: 'Leave the root, shift the hole; ask about tree protection.', shownBy: (post) => seen(post, 'root') || near(post, 'root') || near(post, 'tree') },
  { key: 'standing-water', name: 'Downpipe or standing water', advice: 'Lead the water away before anything is poured.', shownBy: (post) => seen(post, 'saturated') || post.saturated || near(post, 'downpipe') },
  { key: 'mixed-repairs', name: 'Repairs of different kinds along the line', advice: 'One method for the stretch, so that it moves as one.', shownBy: (_post, line) => new Set(line.posts.flatMap(({ repair }) => (repair?.method ? [repair.method] : []))).size > 2 },
]
