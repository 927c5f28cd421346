import { describe, expect, it } from 'vitest'
import { InputError } from '../../core/errors'
import { mayDo } from '../../shared/people'
import type { SignedOut } from '../../server/http/failures'
import { NotFound, Taken, WrongSignIn } from '../../server/http/failures'
import { deviceWords } from '../../server/http/devices'
import { isOwnPage } from '../../server/http/hosts'
import { changePassword, changePerson, checkSignIn, makeFirstLead, readPeople } from '../../server/people/accounts'
import { invite, join, openInvitations, readInvitation, takeBackInvitation } from '../../server/people/invitations'
import { isHere } from '../../server/people/admit'
import { auditBefore, noteSeen, seenBy } from '../../server/people/audit'
import { codeAsKept, firstLeadCode } from '../../server/people/codes'
import { hashOfPassword, isPassword, requirePassword } from '../../server/people/passwords'
import type { PersonRow } from '../../server/people/repository'
import { revoke } from '../../server/people/signInRows'
import { readSignIn, startSignIn } from '../../server/people/signIns'
import { importJob } from '../../server/jobs/service'
import { demoJobs } from '../../data/demo/jobs'
import type { Workspace } from '../../server/workspace/workspace'
import { ownDatabase } from './ownDatabase'

const { database, workspace } = ownDatabase('people')
const GOOD = 'oak gravel tuesday lantern'
const NOW = new Date('2026-11-27T09:00:00Z')
const DAY = 24 * 3600e3
const at = (days: number) => new Date(NOW.getTime() + days * DAY)
const asked = { address: '192.0.2.1', now: NOW }
const as = (person: PersonRow): Workspace => ({ ...workspace(), id: person.workspace, person })
const deeds = async (here: Workspace) => (await auditBefore(here, 1e9, 100)).map(({ did }) => did)

let lead: PersonRow

describe('a password', () => {
  it('is kept so that it can be compared and not read', async () => {
    const kept = await hashOfPassword(GOOD, asked.address)
    expect(kept).toMatch(/^scrypt\$32768\$8\$3\$[\w-]{22}\$[\w-]{43}$/)
    expect(await hashOfPassword(GOOD, asked.address)).not.toBe(kept)
    expect(await isPassword(GOOD, kept, asked.address)).toBe(true)
    expect(await isPassword(`${GOOD} `, kept, asked.address)).toBe(false)
    // é as one letter, and as two.
    expect(
      await isPassword(
        'caf\u00e9 by the river',
        await hashOfPassword('cafe\u0301 by the river', asked.address),
        asked.address,
      ),
    ).toBe(true)
  })
  it('is long, and not what a list or the name would guess', () => {
    for (const bad of ['short', 'a'.repeat(129), 'password12345', 'aaaaaaaaaaaaaaa', 'wren.wren.wren', 'qwertyuiop123'])
      expect(() => requirePassword(bad, ['wren']), bad).toThrow(InputError)
    expect(() => requirePassword(GOOD, ['wren'])).not.toThrow()
  })
  it('is not in what is said of it', () => {
    try {
      requirePassword('password12345', [])
    } catch (error) {
      expect(JSON.stringify(error)).not.toContain('password12345')
    }
    expect.assertions(1)
  })
})

describe('the first account', () => {
  const wanted = { name: 'Wren', signInName: ' Wren@sedgewater.test ', password: GOOD, workspace: 'Halm Fencing' }
  it('is made by the code of the terminal, and by nothing else', async () => {
    const [code, other] = [await firstLeadCode(database(), NOW), await firstLeadCode(database(), NOW)]
    expect(code).toMatch(/^[2-9A-Z]{4}-[2-9A-Z]{4}-[2-9A-Z]{4}$/)
    await expect(makeFirstLead(database(), { ...wanted, code: 'AAAA-AAAA-AAAA' }, asked)).rejects.toThrow(WrongSignIn)
    const late = { address: asked.address, now: at(2) }
    await expect(makeFirstLead(database(), { ...wanted, code: code! }, late)).rejects.toThrow(WrongSignIn)
    await expect(makeFirstLead(database(), { ...wanted, code: code!, password: 'wren' }, asked)).rejects.toThrow(
      'password',
    )
    const before = await importJob(workspace(), demoJobs()[0]!)
    // Typed as it comes; of two who are at it at once, one is the first.
    const both = await Promise.allSettled(
      [code!.toLowerCase().replace(/-/g, ' '), other!].map((typed, i) =>
        makeFirstLead(database(), { ...wanted, code: typed, signInName: i ? 'robin' : wanted.signInName }, asked),
      ),
    )
    const made = both.filter(({ status }) => status === 'fulfilled')
    expect(made).toHaveLength(1)
    expect(both.find(({ status }) => status === 'rejected')).toMatchObject({ reason: expect.any(Taken) })
    lead = (made[0] as PromiseFulfilledResult<PersonRow>).value
    expect(lead).toMatchObject({ role: 'lead', workspace: 'home' })
    // It takes over what is there.
    expect(before.id).toBeDefined()
    expect((await readPeople(as(lead), NOW)).workspace).toBe('Halm Fencing')
    expect(await firstLeadCode(database(), NOW)).toBeUndefined()
    await expect(makeFirstLead(database(), { ...wanted, code: code! }, asked)).rejects.toThrow(WrongSignIn)
  })
  it('is written down', async () => {
    expect(await deeds(as(lead))).toEqual(['first-lead'])
  })
})

describe('signing in', () => {
  it('takes the name however it is typed', async () => {
    const found = await checkSignIn(
      database(),
      { signInName: ` ${lead.signInName.toUpperCase()}`, password: GOOD },
      asked,
    )
    expect(found.id).toBe(lead.id)
  })
  it('says the same of an unknown name as of a wrong password', async () => {
    const refusal = async (signInName: string, password: string) =>
      checkSignIn(database(), { signInName, password }, asked).catch((error: Error) => `${error.name} ${error.message}`)
    expect(await refusal('nobody', GOOD)).toBe(await refusal(lead.signInName, 'wrong'))
  })
})

/** Why a sign-in was ended from elsewhere. */
const why = (secret: string) =>
  readSignIn(database(), secret, NOW).then(
    () => undefined,
    (error: SignedOut) => error.revoked,
  )

describe('a sign-in', () => {
  const start = (now = NOW) => startSignIn(database(), { person: lead.id, device: 'Linux, Chromium', now })
  it('names who it is, until it is over, idle or signed out', async () => {
    const secret = await start()
    expect(secret).toMatch(/^[\w-]{43}$/)
    expect(await readSignIn(database(), secret, at(20))).toMatchObject({ id: lead.id, role: 'lead', workspace: 'home' })
    expect(await readSignIn(database(), secret, at(49))).toBeDefined()
    expect(await readSignIn(database(), secret, at(80))).toBeUndefined()
    const used = await start()
    for (const day of [25, 50, 75, 89]) expect(await readSignIn(database(), used, at(day))).toBeDefined()
    expect(await readSignIn(database(), used, at(91))).toBeUndefined()
    expect(await readSignIn(database(), 'x'.repeat(43), NOW)).toBeUndefined()
  })
  it('is not in the database as it stands in the cookie', async () => {
    const secret = await start()
    expect(JSON.stringify(await database()('sign_in'))).not.toContain(secret)
  })
  it('that was taken back says why and by whom, and what the device had not sent', async () => {
    const secret = await start()
    const { device } = (await readSignIn(database(), secret, NOW))!
    await readSignIn(database(), secret, at(1), 3)
    expect(await revoke({ ...workspace(), id: 'elsewhere' }, { device }, 'lost', NOW)).toEqual([])
    expect(await readSignIn(database(), secret, NOW)).toBeDefined()
    const told = [{ id: device, person: lead.id, seenAt: at(1), waiting: 3 }]
    expect(await revoke(as(lead), { device }, 'signed-out', at(2))).toEqual(told)
    expect(await why(secret)).toEqual({ why: 'signed-out', by: 'Wren' })
    // Signed out already; only that it is lost is news.
    expect(await revoke(as(lead), { device }, 'password', at(2))).toEqual([])
    expect(await revoke(as(lead), { device }, 'lost', at(3))).toEqual(told)
    expect(await why(secret)).toEqual({ why: 'lost', by: 'Wren' })
    const { people } = await readPeople(as(lead), at(3))
    expect(people.flatMap(({ devices }) => devices).find(({ id }) => id === device)).toMatchObject({
      waiting: 3,
      out: 'lost',
    })
  })
  it('writes down another count of unsent entries after half a minute', async () => {
    const secret = await start()
    const { device } = (await readSignIn(database(), secret, NOW))!
    const waiting = async () => (await database()('sign_in').where({ id: device }).first('waiting')).waiting as number
    await readSignIn(database(), secret, new Date(NOW.getTime() + 29e3), 2)
    expect(await waiting()).toBe(0)
    await readSignIn(database(), secret, new Date(NOW.getTime() + 31e3), 2)
    expect(await waiting()).toBe(2)
    // A request that says nothing of it changes nothing.
    await readSignIn(database(), secret, at(1))
    expect(await waiting()).toBe(2)
  })
})

describe('who works here', () => {
  it('comes by an invitation, once', async () => {
    const { token, expiresAt } = await invite(as(lead), { name: 'Finch', role: 'office' }, NOW)
    expect(token).toMatch(/^[\w-]{22}$/)
    expect(expiresAt).toEqual(at(7))
    expect(await readInvitation(database(), token, NOW)).toMatchObject({
      workspaceName: 'Halm Fencing',
      role: 'office',
    })
    await expect(readInvitation(database(), token, at(8))).rejects.toThrow(NotFound)
    const account = { token, name: 'Finch', signInName: 'finch', password: GOOD }
    // A name that is taken uses nothing up.
    await expect(join(database(), { ...account, signInName: lead.signInName }, asked)).rejects.toThrow('signInName')
    const both = await Promise.allSettled([
      join(database(), account, asked),
      join(database(), { ...account, signInName: 'f2' }, asked),
    ])
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected'])
    await expect(join(database(), { ...account, signInName: 'finch3' }, asked)).rejects.toThrow(NotFound)
  })
  it('gets a new way in, and every device that got in by the old one is out', async () => {
    const people = (await readPeople(as(lead), NOW)).people
    const finch = people.find(({ role }) => role === 'office')!
    const secret = await startSignIn(database(), { person: finch.id, device: 'x', now: NOW })
    const link = (await changePerson(as(lead), finch.id, { deed: 'new-way-in' }, NOW))!
    expect(await readInvitation(database(), link.token, NOW)).toMatchObject({ signInName: finch.signInName })
    const other = 'seven brown paper kites'
    await database()('passkey').insert({
      id: 'key-of-finch',
      person_id: finch.id,
      public_key: Buffer.from('key'),
      counter: 0,
      name: 'phone',
      made_at: NOW,
    })
    await join(database(), { token: link.token, name: 'x', signInName: 'ignored', password: other }, asked)
    expect(await why(secret)).toEqual({ why: 'new-way-in', by: 'Wren' })
    expect(await database()('passkey').where({ person_id: finch.id })).toEqual([])
    const found = await checkSignIn(database(), { signInName: finch.signInName, password: other }, asked)
    expect(found.id).toBe(finch.id)
  })
  it('changes a password by the one before, and stays on this device alone', async () => {
    const here = await startSignIn(database(), { person: lead.id, device: 'here', now: NOW })
    const there = await startSignIn(database(), { person: lead.id, device: 'there', now: NOW })
    const { device } = (await readSignIn(database(), here, NOW))!
    const how = { device, ...asked }
    const after = 'nine wet wooden ladders'
    await expect(changePassword(as(lead), { before: 'wrong', after }, how)).rejects.toThrow(WrongSignIn)
    await changePassword(as(lead), { before: GOOD, after }, how)
    expect(await readSignIn(database(), here, NOW)).toBeDefined()
    expect(await why(there)).toEqual({ why: 'password', by: 'Wren' })
    await changePassword(as(lead), { before: after, after: GOOD }, how)
  })
  it('lists links that were not used, and takes them back', async () => {
    const one = await invite(as(lead), { name: 'Siskin', role: 'technician' }, NOW)
    await invite(as(lead), { name: 'Linnet', role: 'office' }, NOW)
    const open = await openInvitations(as(lead), NOW)
    expect(open.map(({ name, role, by }) => [name, role, by])).toEqual([
      ['Linnet', 'office', 'Wren'],
      ['Siskin', 'technician', 'Wren'],
    ])
    expect((await readPeople(as(lead), NOW)).invitations).toEqual(open)
    expect(JSON.stringify(open)).not.toContain(one.token)
    const elsewhere = { ...as(lead), id: 'elsewhere' }
    expect(await openInvitations(elsewhere, NOW)).toEqual([])
    await expect(takeBackInvitation(elsewhere, open[1]!.id, NOW)).rejects.toThrow(NotFound)
    await takeBackInvitation(as(lead), open[1]!.id, NOW)
    await expect(readInvitation(database(), one.token, NOW)).rejects.toThrow(NotFound)
    await expect(takeBackInvitation(as(lead), open[1]!.id, NOW)).rejects.toThrow(NotFound)
    expect((await openInvitations(as(lead), NOW)).map(({ name }) => name)).toEqual(['Linnet'])
  })
  it('comes by no link of a lead who was taken out, or leads no more', async () => {
    const add = async (name: string) => {
      const { token } = await invite(as(lead), { name, role: 'lead' }, NOW)
      return join(database(), { token, name, signInName: name, password: GOOD }, asked)
    }
    for (const deed of [{ deed: 'leave' }, { deed: 'role', role: 'office' }] as const) {
      const rook = await add(`rook-${deed.deed}`)
      const links = [
        await invite(as(rook), { name: 'Rook again', role: 'lead' }, NOW),
        (await changePerson(as(rook), lead.id, { deed: 'new-way-in' }, NOW))!,
      ]
      await changePerson(as(lead), rook.id, deed, NOW)
      // Links that one server made while another took their maker out have the maker's row against them.
      links.push(await invite(as(rook), { name: 'Rook again', role: 'lead' }, NOW))
      for (const { token } of links) {
        await expect(readInvitation(database(), token, NOW)).rejects.toThrow(NotFound)
        const account = { token, name: 'Rook', signInName: 'rook-again', password: GOOD }
        await expect(join(database(), account, asked)).rejects.toThrow(NotFound)
      }
      // Back again, the links of before stay ended.
      if (deed.deed === 'leave') await changePerson(as(lead), rook.id, { deed: 'come-back' }, NOW)
      else await changePerson(as(lead), rook.id, { deed: 'role', role: 'lead' }, NOW)
      await expect(readInvitation(database(), links[0]!.token, NOW)).rejects.toThrow(NotFound)
      await changePerson(as(lead), rook.id, { deed: 'leave' }, NOW)
    }
    expect((await checkSignIn(database(), { signInName: lead.signInName, password: GOOD }, asked)).id).toBe(lead.id)
  })
  it('leaves with every device, and can come back; the last who leads stays', async () => {
    const others = (await readPeople(as(lead), NOW)).people
    const finch = others.find(({ role }) => role === 'office')!
    const secret = await startSignIn(database(), { person: finch.id, device: 'x', now: NOW })
    await expect(changePerson(as(lead), lead.id, { deed: 'leave' }, NOW)).rejects.toThrow('somebody else leads')
    await expect(changePerson(as(lead), lead.id, { deed: 'role', role: 'office' }, NOW)).rejects.toThrow('leads')
    await changePerson(as(lead), finch.id, { deed: 'leave' }, NOW)
    expect(await why(secret)).toEqual({ why: 'left', by: 'Wren' })
    const tried = checkSignIn(database(), { signInName: finch.signInName, password: 'seven brown paper kites' }, asked)
    await expect(tried).rejects.toThrow(WrongSignIn)
    await changePerson(as(lead), finch.id, { deed: 'come-back' }, NOW)
    await changePerson(as(lead), finch.id, { deed: 'role', role: 'lead' }, NOW)
    await changePerson(as(lead), lead.id, { deed: 'role', role: 'technician' }, NOW)
    await changePerson({ ...as(lead), person: { ...lead, id: finch.id } }, lead.id, { deed: 'role', role: 'lead' }, NOW)
    expect(await deeds(as(lead))).toEqual(
      expect.arrayContaining(['left', 'came-back', 'role-changed', 'invited', 'joined']),
    )
  })
  it('is nobody of another workspace', async () => {
    const elsewhere = { ...as(lead), id: 'elsewhere' }
    await expect(changePerson(elsewhere, lead.id, { deed: 'leave' }, NOW)).rejects.toThrow(NotFound)
    expect(await auditBefore(elsewhere, 1e9, 10)).toEqual([])
  })
  it('is known to have seen a job on a day', async () => {
    const { id } = await importJob(as(lead), demoJobs()[0]!)
    await noteSeen(as(lead), id, NOW)
    await noteSeen(as(lead), id, NOW)
    await noteSeen(as(lead), id, at(1))
    await noteSeen(workspace(), id, at(2))
    expect(await seenBy(as(lead), id, 10)).toEqual([
      { person: 'Wren', day: '2026-11-28' },
      { person: 'Wren', day: '2026-11-27' },
    ])
    expect(await seenBy({ ...as(lead), id: 'elsewhere' }, id, 10)).toEqual([])
  })
})

describe('who is let in without a sign-in', () => {
  const here = { bound: '127.0.0.1', host: 'localhost:3000', headers: { accept: '*/*' } }
  it.each([
    ['this machine’s own browser', here, true],
    ['by its number', { ...here, host: '127.0.0.1:3000' }, true],
    ['a server that others can reach', { ...here, bound: '0.0.0.0' }, false],
    ['another name', { ...here, host: 'shed.local:3000' }, false],
    ['a name that only begins so', { ...here, host: 'localhost.evil.example' }, false],
    ['a proxy of this machine', { ...here, headers: { 'x-forwarded-for': '192.0.2.1' } }, false],
    ['one of another kind', { ...here, headers: { Forwarded: 'for=192.0.2.1' } }, false],
    ['a proxy that says where it forwards to', { ...here, headers: { 'X-Forwarded-Proto': 'https' } }, false],
    ['no host', { ...here, host: undefined }, false],
    ['no address', { ...here, bound: undefined }, false],
  ])('%s: %#', (_what, asks, isIn) => {
    expect(isHere(asks)).toBe(isIn)
  })
})

describe('a page that writes', () => {
  const host = 'shed.local:3000'
  it.each([
    [{ host, origin: 'https://shed.local:3000' }, true],
    [{ host, origin: 'https://shed.local:3000', site: 'same-origin' }, true],
    [{ host }, true],
    [{ host, site: 'none' }, true],
    [{ host, origin: 'https://shed.local' }, false],
    [{ host, origin: 'https://evil.example' }, false],
    [{ host, origin: 'null' }, false],
    [{ host, site: 'cross-site' }, false],
    [{ host, site: 'same-site', origin: 'https://shed.local:3000' }, false],
  ])('%j: %j', (asks, isOurs) => {
    expect(isOwnPage(asks)).toBe(isOurs)
  })
})

describe('roles', () => {
  it('may do what is their work', () => {
    const may = (role: 'lead' | 'technician' | 'office') =>
      (['work', 'remove', 'yard', 'people'] as const).filter((right) => mayDo(role, right))
    expect(may('lead')).toEqual(['work', 'remove', 'yard', 'people'])
    expect(may('technician')).toEqual(['work'])
    expect(may('office')).toEqual(['work', 'remove', 'yard'])
  })
})

describe('words', () => {
  it('name a device as its owner does', () => {
    expect(deviceWords('Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/131.0 Safari/537.36')).toBe(
      'Linux, Chromium',
    )
    expect(deviceWords('Mozilla/5.0 (iPhone; CPU iPhone OS 18_0) Version/18.0 Mobile/15E148 Safari/604.1')).toBe(
      'iPhone, Safari',
    )
    expect(deviceWords('')).toBe('Another device')
  })
  it('take a code as it is typed', () => {
    expect(codeAsKept(' abcd-2345 efgh ')).toBe('ABCD2345EFGH')
  })
})
