import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { PLACES, placeOf } from '.'

const read = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8')

describe('the places of the work', () => {
  it('are a folder each, and a line of the list', () => {
    const folders = readdirSync(new URL('.', import.meta.url), { withFileTypes: true }).filter((each) =>
      each.isDirectory(),
    )
    expect(PLACES.map(({ key }) => key).sort()).toEqual(folders.map(({ name }) => name).sort())
    for (const { key } of PLACES) expect(read(`./${key}/index.ts`)).toContain(`key: '${key}'`)
  })

  it('are named nowhere else in what shows them: bar, finder, keys and page follow the list', () => {
    for (const shown of ['PlaceBar.vue', 'FindBox.vue', 'TopBar.vue', 'KeyList.vue'])
      for (const { key, name } of PLACES)
        expect(read(`../shell/${shown}`)).not.toMatch(new RegExp(`['"/](${key}|${name})['"]`))
    for (const { key } of PLACES)
      expect(read('../pages/jobs/[id]/[place].vue')).not.toMatch(new RegExp(`['"/]${key}['"]`))
  })

  it('each have a key of their own, and are found by their name in the address', () => {
    expect(new Set(PLACES.map(({ digit }) => digit)).size).toBe(PLACES.length)
    for (const place of PLACES) expect(placeOf(place.key)).toBe(place)
    expect(placeOf('nowhere')).toBeUndefined()
    expect(placeOf(undefined)).toBeUndefined()
  })
})
