import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import wings from './lib/rooms.cjs'

describe('the list of rooms', () => {
  it.each(Object.entries(wings as Record<string, string[][]>))('has each folder of %s once', (wing, levels) => {
    const folders = readdirSync(wing, { withFileTypes: true }).flatMap((each) => (each.isDirectory() ? each.name : []))
    expect(levels.flat().sort()).toEqual(folders.sort())
  })
})
