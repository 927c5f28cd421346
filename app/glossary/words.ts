import { measure, solid, stick, type FittedPicture } from '~/picture/model/fitted'
import { box } from '~~/core/repair/solids'
import {
  across,
  boards,
  concrete,
  inGround,
  leaning,
  measured,
  newPost,
  oldConcrete,
  post,
  stone,
  stringAt,
} from './pieces'

/** A word of the trade as this program means it, with its drawing. */
export interface GlossaryWord {
  word: string
  /** What else it is looked for by. */
  also?: readonly string[]
  says: string
  picture: FittedPicture
}

const bayPosts = [post(0, 0.6, 1.2, 'one'), post(2.4, 0.6, 1.2, 'two')]

/** In the order in which a fence is met: what stands, what holds it, what goes wrong, what is done. */
export const WORDS: readonly GlossaryWord[] = [
  {
    word: 'post',
    says: 'What stands in the ground and carries the fence. Everything else hangs on it.',
    picture: inGround(boards(-0.8, 0.8), post()),
  },
  {
    word: 'line',
    says: 'Posts one after the other with what is between them: one length of fence, straight or nearly so.',
    picture: inGround(boards(0, 4.8), ...[0, 2.4, 4.8].map((x, i) => post(x, 0.5, 1.25, `post-${i}`))),
  },
  {
    word: 'bay',
    says: 'From the middle of one post to the middle of the next. A post carries the wind of half a bay on each side.',
    picture: inGround(boards(0, 2.4), ...bayPosts, measured(across('bay', [0, 1.4], [2.4, 1.4], 'the bay', 'above'))),
  },
  {
    word: 'footing',
    says: 'What stands in the hole round the post and bears on the ground: concrete, stone or tamped soil.',
    picture: inGround(concrete(0.3, 0.05, 0.6), post(0, 0.55, 0.7)),
  },
  {
    word: 'embedment',
    also: ['depth in the ground'],
    says: 'How deep the footing goes below finished ground. Depth does more than width: it counts twice.',
    picture: inGround(
      concrete(),
      post(0, 0.55, 0.7),
      measured(across('depth', [0.3, 0], [0.3, -0.6], 'how deep', 'right')),
    ),
  },
  {
    word: 'stone bed',
    also: ['gravel bed', 'drain'],
    says: 'Tamped stone under the foot of a post, so that water goes away from its end grain. It bears no more than the ground does.',
    picture: inGround(stone(), concrete(0.3, 0.05, 0.6), post(0, 0.6, 0.6)),
  },
  {
    word: 'crown',
    also: ['crowned top', 'weathered top'],
    says: 'The top of the concrete sloped away from the post, so that water runs off. A dished one holds water against the wood.',
    picture: inGround(
      solid('concrete', 'new-concrete', [
        [-0.15, -0.6],
        [0.15, -0.6],
        [0.15, 0],
        [0.05, 0.05],
        [-0.05, 0.05],
        [-0.15, 0],
      ]),
      post(0, 0.55, 0.6),
    ),
  },
  {
    word: 'cover',
    says: 'The least concrete between the post and the wall of the hole: 50 mm at its corners, or it cracks off.',
    picture: inGround(
      concrete(),
      post(0, 0.55, 0.5),
      measured(across('cover', [0.05, -0.3], [0.15, -0.3], 'the cover', 'above')),
    ),
  },
  {
    word: 'over-dig',
    also: ['overdig'],
    says: 'What a hole comes out wider than it was meant: a spade digs a third more than its figures, an auger hardly any. It is filled with concrete all the same.',
    picture: inGround(
      solid('dug', 'new-concrete', [
        [-0.21, 0],
        [-0.17, -0.3],
        [-0.2, -0.6],
        [0.19, -0.6],
        [0.18, -0.25],
        [0.22, 0],
      ]),
      solid('meant', 'outline', box(-0.15, 0.15, -0.6, 0), [], 'dashed'),
      post(0, 0.55, 0.5),
    ),
  },
  {
    word: 'spoil',
    says: 'What comes out of the hole. It lies a third looser than it was in the ground, and somebody carries it away.',
    picture: inGround(
      solid('hole', 'outline', box(-0.15, 0.15, -0.6, 0), [], 'dashed'),
      solid('spoil', 'loose', [
        [0.35, 0],
        [0.6, 0.25],
        [0.85, 0],
      ]),
    ),
  },
  {
    word: 'turf',
    also: ['ignored top'],
    says: 'The top of the ground, loosened by roots, frost and cracks: no resistance is counted in it.',
    picture: inGround(
      solid('turf', 'topping', box(-0.7, 0.7, -0.15, 0), [], 'thin'),
      concrete(0.3, 0.05, 0.6),
      post(0, 0.55, 0.6),
      measured(across('top', [0.5, 0], [0.5, -0.15], 'not counted', 'right')),
    ),
  },
  {
    word: 'plumb',
    says: 'Upright, as a hanging weight shows it. A post is called plumb up to 1 in 120; past 1 in 60 it is out.',
    picture: inGround(solid('plumb', 'outline', box(-0.05, 0.05, 0, 1.2), [], 'dashed'), leaning(0.12)),
  },
  {
    word: 'lean',
    says: 'How far a post is off plumb, as millimetres in a metre or over the length of a level. It tells more by its way than by its size.',
    picture: inGround(leaning(0.2), measured(across('lean', [0, 1.32], [0.2, 1.32], 'off plumb', 'above'))),
  },
  {
    word: 'gust that it holds',
    also: ['holding gust', 'goes over', 'leans from'],
    says: 'The gust of three seconds, in the open, at which a post leans for good, or goes over. Every repair, rule and old footing is put on that one scale.',
    picture: inGround(
      boards(-0.6, 0.6),
      concrete(),
      post(),
      solid(
        'wind',
        'steel',
        [
          [-1.4, 0.66],
          [-0.85, 0.66],
          [-0.85, 0.72],
          [-0.7, 0.64],
          [-0.85, 0.56],
          [-0.85, 0.62],
          [-1.4, 0.62],
        ],
        [],
        'none',
      ),
    ),
  },
  {
    word: 'heave',
    also: ['frost heave'],
    says: 'Frost grips a footing and lifts it, a little each winter; most of all one that is wider at its top.',
    picture: inGround(
      solid('footing', 'old-concrete', [
        [-0.25, 0.08],
        [0.25, 0.08],
        [0.12, -0.4],
        [-0.12, -0.4],
      ]),
      post(0, 0.35, 0.9),
    ),
  },
  {
    word: 'hinge at the ground line',
    also: ['ground line'],
    says: 'The post turns just where wood, air and soil meet: there it has rotted, while the footing below may be sound.',
    picture: inGround(oldConcrete(), post(0, 0.55, 0, 'stump'), stick('top', [0, 0], [0.35, 1.1], 0.1)),
  },
  {
    word: 'spur',
    says: 'A short stout post set in the ground beside the old one and bolted to it, half its length below.',
    picture: inGround(
      concrete(0.24, 0.02, 0.55, 0.13),
      post(0, 0.02, 1.2),
      solid('spur', 'new-concrete', box(0.06, 0.15, -0.5, 0.55)),
      ...[0.18, 0.45].map((y, i) => solid(`bolt-${i}`, 'steel', box(-0.07, 0.18, y - 0.01, y + 0.01), [], 'none')),
    ),
  },
  {
    word: 'pin',
    says: 'A steel bar or pipe from a sound old footing up into a bore in the post that is cut off above the rot.',
    picture: inGround(oldConcrete(), post(0, 0, 1.2), solid('pin', 'steel', box(-0.017, 0.017, -0.4, 0.4))),
  },
  {
    word: 'mender',
    says: 'Steel plates or a stirrup that go down into the socket of the old concrete and are bolted to sound wood above.',
    picture: inGround(
      oldConcrete(),
      post(0, -0.06, 1.2),
      solid('left', 'steel', box(-0.07, -0.05, -0.4, 0.5)),
      solid('right', 'steel', box(0.05, 0.07, -0.4, 0.5)),
    ),
  },
  {
    word: 'sleeve',
    also: ['ground sleeve', 'lift-out'],
    says: 'A steel socket cast into the footing, open below to stone: the post drops in and lifts out.',
    picture: inGround(
      stone(0.35, 0.6, 0.75),
      concrete(0.35, 0.05, 0.6),
      solid('sleeve', 'steel', box(-0.06, 0.06, -0.6, 0.02)),
      newPost(0, 0.5, 1),
    ),
  },
  {
    word: 'key',
    also: ['timber key'],
    says: 'A board set across the push near the surface, its face on undisturbed soil: it does what concrete would, where none is wanted.',
    picture: inGround(newPost(0, 0.7, 0.8), solid('key', 'new-wood', box(-0.5, 0.5, -0.3, -0.15))),
  },
  {
    word: 'prop',
    also: ['brace'],
    says: 'A stick that holds a post upright while its footing hardens, or until it is mended. It pushes sideways at its foot: a stake takes that.',
    picture: inGround(post(0, 0.5, 1.2), stick('prop', [0.9, 0], [0.05, 0.9], 0.05, 'new-wood')),
  },
  {
    word: 'string',
    says: 'A tight line between two good posts: where the others shall be. A lower one, a hand above the ground, gives the gaps and the hole depths.',
    picture: inGround(
      ...[0, 1.2, 2.4].map((x, i) => post(x, 0.5, 1.2, `post-${i}`)),
      stringAt(1.22, -0.2, 2.6),
      stringAt(0.3, -0.2, 2.6),
    ),
  },
  {
    word: 'tamping',
    also: ['ramming', 'layers'],
    says: 'Soil or stone rammed hard in layers of a hand’s breadth. What is tipped in and trodden on holds next to nothing.',
    picture: inGround(
      ...[0, 1, 2, 3].map((i) => solid(`layer-${i}`, 'stone', box(-0.17, 0.17, -0.6 + i * 0.14, -0.47 + i * 0.14))),
      newPost(0, 0.6, 0.7),
    ),
  },
  {
    word: 'working time',
    says: 'Minutes from the water on in which concrete can still be moved, and the post in it set. Two thirds of it in the heat of summer, three times as long in winter.',
    picture: inGround(solid('wet', 'concrete', box(-0.15, 0.15, -0.6, -0.02)), newPost(0.02, 0.55, 0.8)),
  },
  {
    word: 'curing',
    says: 'Concrete hardens for weeks. Props come off at three tenths of its strength, a gate is hung at seven tenths: by its temperature, not by the day.',
    picture: inGround(
      concrete(),
      newPost(0, 0.55, 1.1),
      stick('left', [-0.8, 0], [-0.05, 0.8], 0.04, 'wood'),
      stick('right', [0.8, 0], [0.05, 0.8], 0.04, 'wood'),
    ),
  },
  {
    word: 'hinge post',
    also: ['gate post'],
    says: 'The post that a leaf hangs on, day and night: its weight times half its width, always to the same side.',
    picture: inGround(
      concrete(0.4, 0.05, 0.8),
      newPost(0, 0.75, 1.3),
      solid('leaf', 'wood', box(0.07, 1.1, 0.1, 1.2)),
      measured(measure('leaf', [0.07, 1.4], [1.1, 1.4], 'above', 'the leaf')),
    ),
  },
  {
    word: 'end grain',
    says: 'Where wood is cut across: it drinks like a bundle of straws. A top is cut sloping or capped, a cut end is soaked in preservative.',
    picture: {
      solids: [
        solid('wood', 'wood', [
          [0, 0],
          [0.5, 0],
          [0.5, 0.1],
          [0.06, 0.1],
        ]),
        solid('end', 'decay', [
          [0, 0],
          [0.06, 0.1],
          [0.09, 0.1],
          [0.03, 0],
        ]),
      ],
    },
  },
  {
    word: 'plumb or match',
    says: 'Whether a new post stands upright, or leans as its neighbours do so that the top runs true. It is asked where the two differ by more than 15 mm.',
    picture: inGround(
      stick('before', [0, -0.3], [0.12, 1.2], 0.1),
      solid('plumb', 'outline', box(1.15, 1.25, 0, 1.2), [], 'dashed'),
      stick('matched', [1.2, -0.3], [1.32, 1.2], 0.1, 'new-wood'),
      stick('after', [2.4, -0.3], [2.52, 1.2], 0.1),
    ),
  },
]

/** Whether all that is looked for is in its word, what it is called else, or what is said of it. */
export function findWords(search: string): readonly GlossaryWord[] {
  const wanted = search.toLowerCase().split(/\s+/).filter(Boolean)
  const nameOf = ({ word, also = [] }: GlossaryWord) => [word, ...also].join(' ').toLowerCase()
  const all = WORDS.filter((each) =>
    wanted.every((part) => `${nameOf(each)} ${each.says.toLowerCase()}`.includes(part)),
  )
  const isNamed = (each: GlossaryWord) => wanted.every((part) => nameOf(each).includes(part))
  return [...all.filter(isNamed), ...all.filter((each) => !isNamed(each))]
}
