import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { tables } from '../../tests/support/builders'
import { diagnosisPage } from './page'

const page = diagnosisPage(tables.causes, tables.conditions)

describe('the page of the diagnosis', () => {
  it('that ships is made from the tables as they are', () => {
    expect(readFileSync('docs/diagnosis.md', 'utf8')).toBe(page)
  })

  it('holds every cause, every check and every reason', () => {
    for (const { name, because } of tables.causes.causes) {
      expect(page).toContain(`| ${name} |`)
      expect(page).toContain(because)
    }
    for (const row of tables.causes.evidence) {
      expect(page).toContain(`### ${row.check}`)
      for (const { because } of Object.values(row.byCause)) expect(page).toContain(because)
    }
  })
})

describe('the numbers', () => {
  it('each have a reason', () => {
    for (const { because } of [...tables.causes.causes, ...tables.causes.priorRules])
      expect(because.length).toBeGreaterThan(10)
    for (const { advice } of tables.conditions) expect(advice.length).toBeGreaterThan(10)
  })
})
