import { MATERIALS } from '~~/core/timber/materials'
import { LINE_KINDS } from '~~/core/wind/fence'
import { DUTIES, FOOTING_KINDS, MARK_KINDS, SERVICES } from '~~/core/document/vocabulary'
import { describe, expect, it } from 'vitest'
import { MEASURED, OBSERVATION_KEYS, PICKED, SEEN_TOGETHER } from '~~/core/cause/observations'
import { showLength } from '~~/core/units/length'
import { tables } from '~~/data/tables'
import { smallPicture } from '~/picture/model/smallPictures'
import { isWood, LOOK_PARTS } from './lookQuestions'
import { observationValue } from '~/job/readingWords'
import * as words from './words'

const questions = LOOK_PARTS.flatMap((part) => part.questions)
const show = (length: number) => showLength(length, 'metric')

describe('the questions of Look', () => {
  it('ask for every observation that is picked, once', () => {
    const asked = questions.map(({ key }) => key)
    const measured = ['lean', ...Object.keys(MEASURED)]
    expect([...asked].sort()).toEqual(OBSERVATION_KEYS.filter((key) => !measured.includes(key)).sort())
  })

  it('offer every value of it, in words', () => {
    for (const { key, answers, many } of questions) {
      const values = ({ ...PICKED, ...SEEN_TOGETHER } as Record<string, readonly string[]>)[key]!
      const offered = answers.map(({ value }) => value).filter((value) => !(many && value === 'nothing'))
      expect([...offered].sort(), key).toEqual([...values].sort())
      for (const answer of answers) expect(answer.words.length, `${key} ${answer.value}`).toBeGreaterThan(2)
      expect(new Set(answers.map((answer) => answer.words)).size, key).toBe(answers.length)
    }
  })

  it('show a drawing for every answer, each of its own', () => {
    for (const { key, answers } of questions.filter((question) => question.key !== 'pushPivot')) {
      const drawn = answers.map(({ value }) => smallPicture(key, value))
      for (const [i, parts] of drawn.entries()) expect(parts?.length, `${key} ${answers[i]!.value}`).toBeGreaterThan(1)
      expect(new Set(drawn.map((parts) => JSON.stringify(parts))).size, key).toBe(answers.length)
    }
  })

  it('ask wood only what wood can answer', () => {
    const post = (material: string) => ({ material }) as Parameters<typeof isWood>[0]
    expect(['oak', 'cedar', 'treated-softwood'].every((material) => isWood(post(material)))).toBe(true)
    expect(['steel', 'vinyl', 'concrete'].some((material) => isWood(post(material)))).toBe(false)
    expect(questions.filter(({ onlyFor }) => onlyFor && !onlyFor(post('steel'))).map(({ key }) => key)).toEqual([
      'tap',
      'wrap',
    ])
  })

  it('the soils and the marks have drawings too', () => {
    for (const { key } of tables.soils) expect(smallPicture('soil', key)?.length, key).toBeGreaterThan(1)
    for (const kind of MARK_KINDS) expect(smallPicture('mark', kind)?.length, kind).toBeGreaterThan(1)
    expect(smallPicture('soil', 'custard')).toBeUndefined()
  })
})

describe('lists to choose from', () => {
  const values = (items: readonly { value: unknown }[]) => items.map(({ value }) => value).sort()
  it.each<[string, readonly { value: unknown }[], readonly string[]]>([
    ['materials', words.MATERIAL_ITEMS, MATERIALS],
    ['duties', words.DUTY_ITEMS, DUTIES],
    ['footings', words.FOOTING_ITEMS, FOOTING_KINDS],
    ['fences', words.KIND_ITEMS, LINE_KINDS],
    ['services', words.SERVICE_ITEMS, SERVICES],
    ['marks', words.MARKS, MARK_KINDS],
  ])('%s: every one there is', (_name, items, all) => {
    expect(values(items)).toEqual([...all].sort())
  })
})

describe('a reading in words', () => {
  it.each<[Parameters<typeof observationValue>[0], unknown, string]>([
    ['probeAtGround', 0.03, '0.03 m soft'],
    ['moisturePercent', 23.5, '23.5 %'],
    ['pushPivot', 'in-the-soil', 'down in the soil'],
    ['tap', 'dull', 'dull'],
    ['groundAround', ['root', 'saturated'], 'a root, soaking wet'],
    ['groundAround', [], 'nothing of these'],
    ['lean', { offset: 0.05, over: 1.2, direction: 0 }, '0.05 m over 1.20 m along'],
    [
      'lean',
      [
        { offset: 0.05, over: 1.2, direction: 0 },
        { offset: -0.01, over: 0.6 },
      ],
      '0.05 m over 1.20 m along; −0.01 m over 0.60 m across',
    ],
    ['lean', { offset: 0.05, over: 1.2, direction: 45 }, '0.05 m over 1.20 m at 45°'],
    ['tap', null, 'taken back'],
  ])('%s %j', (key, value, said) => {
    expect(observationValue(key, value, show)).toBe(said)
  })

  it('and how strongly it speaks', () => {
    expect([12, 5, 2, 0.4, -0.4, -2, -5, -12].map(words.strengthWords)).toEqual([
      'strong for',
      'clear for',
      'slight for',
      'hardly for',
      'hardly against',
      'slight against',
      'clear against',
      'strong against',
    ])
  })
})
