import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { tables } from '../data/tables'
import { yearsPage } from './yearsPage'

it('stands on the page as it comes out', () => {
  expect(readFileSync('docs/how-long.md', 'utf8')).toBe(yearsPage(tables))
})
