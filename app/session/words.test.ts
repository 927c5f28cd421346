import { describe, expect, it } from 'vitest'
import { OUT_REASONS } from '~~/shared/people'
import { deviceLine, entries, outWords } from './deviceWords'
import { whyOutWords } from './whyOutWords'

const seenAt = '2026-12-02T08:10:00Z'
const device = { id: 'd', says: 'Linux, Chromium', seenAt, waiting: 0 }

describe('what is said of a device', () => {
  it('tells when it was here, and what it had not sent', () => {
    expect(deviceLine(device)).toMatch(/^, last here 2 Dec 2026, \d\d:10$/)
    expect(deviceLine({ ...device, waiting: 1 })).toMatch(/, 1 entry not sent$/)
    expect(deviceLine({ ...device, out: 'password', waiting: 2 })).toMatch(
      /^, signed out, not heard since .*, 2 entries/,
    )
    expect(deviceLine({ ...device, out: 'lost' })).toMatch(/^, called lost, not heard since /)
  })
  it('tells the person who signs it out what becomes of that', () => {
    expect(outWords({ seenAt, waiting: 0 }, false)).toMatch(/^The device is signed out .* It had sent everything /)
    expect(outWords({ seenAt, waiting: 1 }, false)).toMatch(
      /It had not sent 1 entry .*: kept on it for its own person\.$/,
    )
    expect(outWords({ seenAt, waiting: 3 }, true)).toMatch(
      /^The device deletes everything .* 3 entries .*: lost with it\.$/,
    )
    expect([0, 1, 2].map(entries)).toEqual(['0 entries', '1 entry', '2 entries'])
  })
})

describe('why a device was signed out', () => {
  it('is said for every reason, with and without a name', () => {
    for (const why of OUT_REASONS)
      for (const by of ['Wren', undefined]) expect(whyOutWords(why, by), why).toMatch(/^[A-Z].*\.$/)
    expect(whyOutWords('signed-out', 'Wren')).toBe('This device was signed out by Wren.')
    expect(whyOutWords('lost', undefined)).toBe('This device was called lost: everything on it was deleted.')
  })
  it('is nothing for what stands in an address by accident', () => {
    for (const none of [undefined, '', 'toString', ['lost'], 'LOST']) expect(whyOutWords(none, 'x')).toBe('')
    expect(whyOutWords('signed-out', 'x'.repeat(500)).length).toBeLessThan(150)
  })
})
