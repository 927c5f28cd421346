import { beforeAll, describe, expect, it } from 'vitest'
import { TooMuch, WrongSignIn } from '../../server/http/failures'
import { forwardedAddress } from '../../server/http/forwarded'
import { checkSignIn, makeFirstLead } from '../../server/people/accounts'
import { auditBefore } from '../../server/people/audit'
import { firstLeadCode } from '../../server/people/codes'
import { invite, join } from '../../server/people/invitations'
import { forgetDevices, keepDevice, knownDevice } from '../../server/people/knownDevices'
import type { PersonRow } from '../../server/people/repository'
import { sharedLimit, triesOf, waitAfter } from '../../server/people/tries'
import type { Workspace } from '../../server/workspace/workspace'
import { ownDatabase } from './ownDatabase'

/* Wrong passwords and floods: who is slowed down by them, and who is not. */

const { database, workspace } = ownDatabase('guessing')
const GOOD = 'oak gravel tuesday lantern'
const NOW = new Date('2026-11-27T09:00:00Z')
const asked = { address: '192.0.2.1', now: NOW }
const as = (person: PersonRow): Workspace => ({ ...workspace(), id: person.workspace, person })
const deeds = async (here: Workspace) => (await auditBefore(here, 1e9, 100)).map(({ did }) => did)

let lead: PersonRow
beforeAll(async () => {
  const code = (await firstLeadCode(database(), NOW))!
  const who = { name: 'Wren', signInName: 'wren', password: GOOD, workspace: 'Halm Fencing', code }
  lead = await makeFirstLead(database(), who, asked)
})

describe('a password that is guessed at', () => {
  it('waits ever longer between wrong tries of one name from one place, and from no other', async () => {
    const { token } = await invite(as(lead), { name: 'Robin', role: 'technician' }, NOW)
    const robin = await join(database(), { token, name: 'Robin', signInName: 'robin.t', password: GOOD }, asked)
    const tried = (password: string, address: string, device?: string) =>
      checkSignIn(database(), { signInName: 'robin.t', password }, { address, device, now: NOW })
    /** However long hashing takes on this machine, the wait ends when the test says so. */
    const waits = (seconds: number) =>
      database()('tries')
        .where('key', 'like', 'pause%')
        .update({ expire: Date.now() + seconds * 1e3 })
    const device = await keepDevice(database(), undefined, robin.id, NOW)
    for (let i = 0; i < 6; i++) await expect(tried('wrong', '192.0.2.10')).rejects.toThrow(WrongSignIn)
    await waits(60)
    await expect(tried(GOOD, '192.0.2.10')).rejects.toThrow(/^Too many wrong tries: again in (59|60) s\.$/)
    expect(await deeds(as(robin))).toContain('locked-out')
    // The owner comes in from anywhere else, from a known device, and everybody else from the same place.
    expect((await tried(GOOD, '192.0.2.11')).id).toBe(robin.id)
    expect((await tried(GOOD, '192.0.2.10', device)).id).toBe(robin.id)
    const wren = { signInName: lead.signInName, password: GOOD }
    expect((await checkSignIn(database(), wren, { address: '192.0.2.10', now: NOW })).id).toBe(lead.id)
    // A device of somebody else is no device of Robin's.
    const other = await keepDevice(database(), undefined, lead.id, NOW)
    await expect(tried(GOOD, '192.0.2.10', other)).rejects.toThrow(TooMuch)
    // The wait is over: one more try, then another wait.
    await database()('tries')
      .where('key', 'like', 'pause%')
      .update({ expire: Date.now() - 1 })
    await expect(tried('wrong', '192.0.2.10')).rejects.toThrow(WrongSignIn)
    await expect(tried('wrong', '192.0.2.10')).rejects.toThrow('again in 4 s')
    await database()('tries')
      .where('key', 'like', 'pause%')
      .update({ expire: Date.now() - 1 })
    expect((await tried(GOOD, '192.0.2.10')).id).toBe(robin.id)
    await expect(tried('wrong', '192.0.2.10')).rejects.toThrow(WrongSignIn)
    await forgetDevices(database(), robin.id)
    expect(await knownDevice(database(), device, 'robin.t')).toBeUndefined()
  })
  it('counts forty tries at once as forty', async () => {
    const tries = triesOf(database())
    const trying = { name: 'at-once', address: '192.0.2.12' }
    const all = await Promise.allSettled(Array.from({ length: 40 }, () => tries.begin(trying)))
    // Five are free, and one of those that have to wait is let through.
    expect(all.filter(({ status }) => status === 'fulfilled')).toHaveLength(6)
  })
  it('takes a hundred guesses a day at one name, from however many places', async () => {
    const tries = triesOf(database())
    for (let i = 0; i < 100; i++) await tries.begin({ name: 'guessed', address: `198.51.100.${i}` })
    await expect(tries.begin({ name: 'guessed', address: '198.51.100.200' })).rejects.toThrow(TooMuch)
    expect(await tries.begin({ name: 'guessed', address: '198.51.100.200', device: 'known' })).toBe(1)
    expect([1, 5, 6, 7, 15, 16, 60].map(waitAfter)).toEqual([0, 0, 2, 4, 900, 900, 900])
  })
})

describe('requests of one address', () => {
  it('are counted over all servers together', async () => {
    const [one, other] = [1, 2].map(() => sharedLimit(async () => database(), 100, 600))
    const asksOf = async (server: typeof one) => {
      let count = 0
      for (; count < 200; count++)
        try {
          await server!('192.0.2.77')
        } catch (error) {
          expect(error).toBeInstanceOf(TooMuch)
          break
        }
      return count
    }
    for (let i = 0; i < 60; i++) await one!('192.0.2.77')
    // Of what the other is asked, some forty are left, and the few that the first has not told yet.
    const left = await asksOf(other)
    expect(left).toBeGreaterThanOrEqual(40)
    expect(left).toBeLessThanOrEqual(50)
    await expect(other!('192.0.2.77')).rejects.toThrow(TooMuch)
    await expect(other!('192.0.2.78')).resolves.toBeUndefined()
  })
  it('get hardly more through where three servers are asked at once', async () => {
    const servers = [1, 2, 3].map(() => sharedLimit(async () => database(), 300, 600))
    let through = 0
    for (let i = 0; i < 200; i++)
      await Promise.all(
        servers.map((server) =>
          server('192.0.2.79').then(
            () => through++,
            (error: unknown) => expect(error).toBeInstanceOf(TooMuch),
          ),
        ),
      )
    expect(through).toBeGreaterThanOrEqual(290)
    expect(through).toBeLessThanOrEqual(330)
  })
  it('are written down by hardly any of what is ordinary', async () => {
    let writes = 0
    const server = sharedLimit(
      async () => {
        writes++
        return database()
      },
      300,
      600,
    )
    for (let i = 0; i < 29; i++) await server('192.0.2.80')
    expect(writes).toBe(0)
    await server('192.0.2.80')
    expect(writes).toBe(1)
  })
})

describe('where a request comes from', () => {
  it('is what one’s own proxies have written, and nothing that stood there before', () => {
    const header = '203.0.113.9, 198.51.100.7, 192.0.2.5'
    expect(forwardedAddress(header, 0)).toBeUndefined()
    expect(forwardedAddress(header, 1)).toBe('192.0.2.5')
    expect(forwardedAddress(header, 2)).toBe('198.51.100.7')
    expect(forwardedAddress(header, 4)).toBeUndefined()
    expect(forwardedAddress('2001:db8::7', 1)).toBe('2001:db8::7')
    for (const none of [undefined, '', 'unknown', '203.0.113.9, '])
      expect(forwardedAddress(none, 1), none).toBeUndefined()
  })
})
