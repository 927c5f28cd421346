import type { Answer } from '~/controls/AnswerTiles.vue'
import type { Part } from '~/picture/model/smallPictures'
import { tables } from '~~/data/tables'

/* What a newcomer is asked of the place before any figure, to be tapped. */

export const EXPOSURE_TILES: Answer[] = [
  { value: 'sheltered', words: 'among houses and trees' },
  { value: 'open', words: 'open fields' },
  { value: 'waterside', words: 'by the water' },
]
export const SHELTER_TILES: Answer[] = [
  { value: '1', words: 'nothing near by' },
  { value: '0.7', words: 'houses or dense growth' },
  { value: '0.4', words: 'a wall as high, close by' },
]
/** Those that a thumb or a bar tells apart; the others are chosen at the post. */
const TOLD = ['soft-clay', 'firm-clay', 'stiff-clay', 'loose-sand', 'medium-sand', 'gravel', 'made-ground']
export const SOIL_TILES: Answer[] = tables.soils
  .filter(({ key }) => TOLD.includes(key))
  .map(({ key, name, fieldTest }) => ({ value: key, words: `${name}: ${fieldTest}` }))

const ground: Part[] = [
  { ink: 'soil', d: 'M0 56h80v16h-80z' },
  { ink: 'bold', d: 'M0 56h80' },
]
const fence: Part = { ink: 'panel', d: 'M52 38h22v18h-22z' }
export const PLACE_PICTURES: Readonly<Record<string, Part[]>> = {
  sheltered: [
    ...ground,
    { ink: 'line', d: 'M6 56v-22l12 -12l12 12v22z' },
    { ink: 'line', d: 'M41 56v-14m-7 0a7 9 0 1 1 14 0a7 9 0 1 1 -14 0' },
    fence,
  ],
  open: [...ground, { ink: 'line', d: 'M4 20h26m-6 8h22m-40 8h18' }, fence],
  waterside: [
    { ink: 'soil', d: 'M40 56h40v16h-40z' },
    { ink: 'water', d: 'M0 62h40v10h-40z' },
    { ink: 'line', d: 'M0 62q5 -4 10 0t10 0t10 0t10 0' },
    { ink: 'bold', d: 'M40 56h40' },
    fence,
  ],
}
