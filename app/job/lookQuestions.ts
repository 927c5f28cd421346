import type { ObservationKey } from '~~/core/cause/observations'
import type { ResolvedPost } from '~~/core/resolve/resolve'
import type { Answer } from '~/controls/AnswerTiles.vue'
import * as words from './words'

/** A question of Look with answers to tap; the order is the one in which a post is looked at. */
export interface Question {
  key: ObservationKey
  question: string
  answers: Answer[]
  /** Several answers may be true together; `nothing` says that somebody looked and saw none of them. */
  many?: boolean
  onlyFor?: (post: ResolvedPost) => boolean
}

/** Part of the looking, and the word on the row that jumps to it. */
export interface LookPart {
  key: string
  name: string
  questions: Question[]
}

export const isWood = ({ material }: ResolvedPost) => !['steel', 'vinyl', 'concrete'].includes(material)

export const LOOK_PARTS: readonly LookPart[] = [
  {
    key: 'push',
    name: 'Push',
    questions: [
      { key: 'pushPivot', question: 'Push it. Where does it turn?', answers: words.PUSH_PIVOT },
      { key: 'comesUpright', question: 'Does it come back to plumb by hand?', answers: words.COMES_UPRIGHT },
    ],
  },
  {
    key: 'lean',
    name: 'Lean',
    questions: [{ key: 'leanPattern', question: 'Which posts lean?', answers: words.LEAN_PATTERN }],
  },
  {
    key: 'wood',
    name: 'Wood',
    questions: [
      { key: 'tap', question: 'Tap it. How does it sound?', answers: words.TAP, onlyFor: isWood },
      { key: 'breakFace', question: 'Is it broken? Look at the face.', answers: words.BREAK_FACE },
      { key: 'wrap', question: 'Is the foot wrapped?', answers: words.WRAP, onlyFor: isWood },
    ],
  },
  {
    key: 'foot',
    name: 'Foot',
    questions: [
      { key: 'groundAround', question: 'What do you see round the foot?', answers: words.GROUND_AROUND, many: true },
      { key: 'footingFound', question: 'Dig a little. What footing is there?', answers: words.FOOTING_FOUND },
    ],
  },
  {
    key: 'story',
    name: 'Story',
    questions: [
      { key: 'onset', question: 'When did it begin?', answers: words.ONSET },
      { key: 'gate', question: 'Is there a gate on it?', answers: words.GATE },
      { key: 'sideLoad', question: 'What pushes on the fence?', answers: words.SIDE_LOAD },
      { key: 'fixings', question: 'Rails, clips and panel?', answers: words.FIXINGS },
    ],
  },
]
