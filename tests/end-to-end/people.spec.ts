import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, staysOpen, test, type APIRequestContext, type Browser, type Page } from './test'
import type { Knex } from 'knex'
import { connect } from '../../database/connect'
import { firstLeadCode } from '../../server/people/codes'
import { ROUTES } from '../../server/http/routes'
import { freePort, startDatabase } from '../../scripts/lib/database.mjs'
import { state } from '../../scripts/lib/paths.mjs'
import { recreate } from '../../scripts/lib/schemas.mjs'
import { startServer } from '../../scripts/lib/server.mjs'
import { answer, expectSaved, expectUsable, goElsewhere, importJob, saveSign, trialJob } from './steps'

/* A firm that works with accounts: a server and a database of these tests' own. One person after the other comes in. */

test.describe.configure({ mode: 'serial' })
test.setTimeout(120_000)
test.use({ actionTimeout: 15_000 })
type Running = { database: Awaited<ReturnType<typeof startDatabase>>; server: Awaited<ReturnType<typeof startServer>> }
let running: Running
let rows: Knex
let lead: Page
let invitation: string
const GOOD = 'oak gravel tuesday lantern'

test.beforeAll(async () => {
  const database = await startDatabase(join(state, `people-${process.pid}`))
  await recreate(database.url('vindex'))
  const server = await startServer({
    build: process.env.VINDEX_BUILD!,
    databaseUrl: database.url('vindex'),
    port: await freePort(),
    seedDemo: true,
    quiet: true,
  })
  running = { database, server }
  rows = connect(database.url('vindex'))
})
test.afterAll(async () => {
  await rows?.destroy()
  await running?.server.stop()
  await running?.database.stop()
})

/** A device of its own: nothing of anybody else lies on it. */
async function newDevice(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ baseURL: running.server.address, serviceWorkers: 'block' })
  return context.newPage()
}
const ready = (page: Page) => expect(page.locator('html')).toHaveAttribute('data-ready', 'true')
async function fill(page: Page, values: Record<string, string>): Promise<void> {
  for (const [label, value] of Object.entries(values)) await page.getByLabel(label, { exact: true }).fill(value)
}
async function signIn(page: Page, name: string, password = GOOD): Promise<void> {
  await page.goto('/sign-in')
  await fill(page, { 'Name to sign in with': name, Password: password })
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
}
/** Whose device it is stands among what is elsewhere. */
async function expectSignedIn(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Elsewhere' }).click()
  await expect(page.getByRole('list', { name: 'Elsewhere' }).getByRole('link', { name })).toBeVisible()
  await page.keyboard.press('Escape')
}
const jobsOf = (page: Page) => page.getByRole('heading', { name: 'Jobs' })

test('the demo is open to this machine and says so, until the first account is made by the code', async ({
  browser,
}) => {
  lead = await newDevice(browser)
  staysOpen(lead.context())
  await lead.goto('/')
  await expect(lead.getByText('Open to this machine alone', { exact: false })).toBeVisible()
  await goElsewhere(lead, 'People')
  await lead.getByRole('link', { name: 'Make the first account' }).click()
  await expect(lead.getByRole('heading', { name: 'The first account' })).toBeVisible()
  await lead.getByRole('button', { name: 'Make the first account' }).click()
  await expect(lead.getByText('The code that the terminal shows.')).toBeVisible()
  const who = { 'The firm': 'Halm Fencing', 'Your name': 'Wren', 'Name to sign in with': 'wren' }
  await fill(lead, { ...who, 'Code from the terminal': 'AAAA-AAAA-AAAA', Password: GOOD })
  await lead.getByRole('button', { name: 'Make the first account' }).click()
  await expect(lead.getByText('This code is not the one that the terminal shows.')).toBeVisible()
  await fill(lead, { 'Code from the terminal': (await firstLeadCode(rows))!, Password: 'password12345' })
  await lead.getByRole('button', { name: 'Make the first account' }).click()
  await expect(lead.getByText(/not soon guessed/)).toBeVisible()
  await expectUsable(lead, 'the first account')
  await fill(lead, { Password: GOOD })
  await lead.getByRole('button', { name: 'Make the first account' }).click()
  await expect(jobsOf(lead)).toBeVisible()
  await expectSignedIn(lead, 'Wren')
  await expect(lead.getByText('Open to this machine alone', { exact: false })).toBeHidden()
})

test('nobody else is let in any more, and a page that is not ours writes nothing', async ({ browser, playwright }) => {
  const nobody = await playwright.request.newContext({ baseURL: running.server.address })
  for (const [path, methods] of ROUTES)
    for (const [method, right] of Object.entries(methods)) {
      if (right === 'anyone') continue
      const answered = await nobody.fetch(path.replace(/:\w+/g, 'x'), { method, data: {} })
      expect(answered.status(), `${method} ${path}`).toBe(401)
    }
  await nobody.dispose()
  const stranger = await newDevice(browser)
  await stranger.goto('/jobs/x/look')
  await expect(stranger.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await expectUsable(stranger, 'sign in')
  await signIn(stranger, 'wren', 'not the password')
  await expect(stranger.getByText('The name and the password do not go together.')).toBeVisible()
  await stranger.context().close()
})

test('a technician comes by an invitation, and may not change prices or people', async ({ browser }) => {
  await goElsewhere(lead, 'Wren')
  await lead.getByRole('tab', { name: 'People' }).click()
  // What moves under the mouse is not hit.
  await expect(lead.getByRole('listitem', { name: 'Wren' })).toBeVisible()
  await fill(lead, { Name: 'Robin' })
  await lead.getByRole('button', { name: 'Make a link' }).click()
  invitation = (await lead.locator('.address').textContent())!
  await expectUsable(lead, 'people')
  const robin = await newDevice(browser)
  await robin.goto(invitation)
  await expect(robin.getByText('Wren invites you to Halm Fencing.', { exact: false })).toBeVisible()
  await expect(robin.getByLabel('Your name')).toHaveValue('Robin')
  await fill(robin, { 'Name to sign in with': 'robin', Password: GOOD })
  await robin.getByRole('button', { name: 'Join' }).click()
  await expectSignedIn(robin, 'Robin')
  await expect(robin.getByRole('link', { name: /Bank side after the March storm/ }).first()).toBeVisible()
  expect((await robin.request.get('/api/people')).status()).toBe(403)
  // What the server would refuse is not offered.
  await expect(robin.getByRole('button', { name: /^Put .* away$/ })).toHaveCount(0)
  await expect(lead.getByRole('button', { name: 'Change Wren' })).toBeVisible()
  await goElsewhere(robin, 'Robin')
  await expect(robin.getByRole('tab')).toHaveText(['You'])
  await expectUsable(robin, 'you')
  await robin.context().close()
  const late = await newDevice(browser)
  await late.goto(invitation)
  await expect(late.getByText('taken back, is over, or never was', { exact: false })).toBeVisible()
  await late.context().close()
})

test('a sign-in that ran out keeps what is entered, and sends it when the same person is back', async ({ browser }) => {
  const robin = await newDevice(browser)
  await signIn(robin, 'robin')
  await expect(jobsOf(robin)).toBeVisible()
  const id = await importJob(robin.request, trialJob('Ran out'))
  await robin.goto(`/jobs/${id}/look?post=T3`)
  await answer(robin, 'at the ground line').click()
  await expectSaved(robin)
  await robin.context().clearCookies()
  await answer(robin, 'down in the soil').click()
  await expect(robin.getByText('Signed out. What you enter waits on this device.')).toBeVisible()
  await expectUsable(robin, 'signed out')
  await robin.getByRole('link', { name: 'Sign in' }).click()
  // Somebody else neither sends it under their own name nor deletes it.
  await fill(robin, { 'Name to sign in with': 'wren', Password: GOOD })
  await robin.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expectSignedIn(robin, 'Wren')
  await robin.goto('/sign-in')
  await expect(robin.getByText('1 entry by Robin has not been sent.', { exact: false })).toBeVisible()
  await fill(robin, { 'Name to sign in with': 'robin', Password: GOOD })
  await robin.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expectSignedIn(robin, 'Robin')
  await robin.goto(`/jobs/${id}/look?post=T3`)
  await expect(robin.getByRole('heading', { name: 'T3: what do you see?' })).toBeVisible()
  // Between two tries there may be eight seconds.
  await expect(saveSign(robin)).toHaveText('all saved', { timeout: 30_000 })
  const history = (await (await robin.request.get(`/api/jobs/${id}/history`)).json()) as {
    entries: { madeBy?: string; commands: { value: unknown }[] }[]
  }
  expect(history.entries.map(({ madeBy, commands }) => [madeBy, commands[0]!.value])).toEqual([
    ['Robin', 'at-ground-line'],
    ['Robin', 'in-the-soil'],
  ])
  await robin.context().close()
})

test('a device that is called lost deletes what it has at its next contact', async ({ browser }) => {
  const robin = await newDevice(browser)
  await signIn(robin, 'robin')
  await robin
    .getByRole('link', { name: /Bank side after the March storm/ })
    .first()
    .click()
  await expect(robin.getByRole('heading', { name: /^B\d+:/ })).toBeVisible()
  const kept = () =>
    robin.evaluate(async () => (await indexedDB.databases()).filter(({ name }) => name === 'vindex').length)
  expect(await kept()).toBe(1)
  await lead.goto('/people?part=people')
  await lead.getByRole('button', { name: 'Change Robin' }).click()
  await expectUsable(lead, 'what can be changed about somebody')
  const device = lead.getByRole('listitem', { name: 'Robin' }).getByRole('button', { name: 'Lost or stolen' })
  await expect(device.first()).toBeVisible()
  for (let left = await device.count(); left > 0; left--) {
    await device.first().click()
    await lead.getByRole('button', { name: 'Lost: delete everything on it' }).click()
    await expect(device).toHaveCount(left - 1)
  }
  await expect(lead.getByText('It had sent everything when it was last heard', { exact: false })).toBeVisible()
  await robin.goto('/')
  await expect(robin.getByText('This device was called lost by Wren: everything on it was deleted.')).toBeVisible()
  expect(await robin.evaluate(() => JSON.stringify({ ...localStorage }))).not.toContain('Robin')
  const jobs = await robin.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open('vindex')
        opening.onsuccess = () => {
          const { result } = opening
          if (!result.objectStoreNames.contains('jobs')) return resolve(0)
          const count = result.transaction('jobs').objectStore('jobs').count()
          count.onsuccess = () => resolve(count.result)
        }
      }),
  )
  expect(jobs).toBe(0)
  await robin.context().close()
})

test('a passkey is made, and is enough to come in', async ({ browser }) => {
  const robin = await newDevice(browser)
  const devices = await robin.context().newCDPSession(robin)
  await devices.send('WebAuthn.enable')
  await devices.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  })
  await signIn(robin, 'robin')
  await goElsewhere(robin, 'Robin')
  await robin.getByRole('button', { name: 'Make one on this device' }).click()
  await expect(robin.getByText('This device has a passkey now.')).toBeVisible()
  await robin.getByRole('button', { name: 'Sign out' }).click()
  await expect(robin.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await robin.getByRole('button', { name: 'With a passkey' }).click()
  await expectSignedIn(robin, 'Robin')
  await robin.context().close()
})

/** Robin has answered one question of a new job, and the answer does not get through. */
async function robinUnsent(
  browser: Browser,
  job: string,
  prepare: (page: Page) => Promise<void> = async () => {},
): Promise<{ robin: Page; id: string }> {
  const robin = await newDevice(browser)
  await prepare(robin)
  await signIn(robin, 'robin')
  await expect(jobsOf(robin)).toBeVisible()
  const id = await importJob(robin.request, trialJob(job))
  await robin.goto(`/jobs/${id}/look?post=T3`)
  await ready(robin)
  await robin.route('**/commands', (route) => route.abort())
  await answer(robin, 'at the ground line').click()
  return { robin, id }
}

test('a device that is merely signed out keeps what it has not sent, for its own person', async ({ browser }) => {
  const { robin, id } = await robinUnsent(browser, 'Taken off the list')
  await expect(saveSign(robin)).not.toHaveText('all saved')
  await lead.goto('/people?part=people')
  await lead.getByRole('button', { name: 'Change Robin' }).click()
  await lead.getByRole('listitem', { name: 'Robin' }).getByRole('button', { name: 'Sign it out' }).first().click()
  await expect(lead.getByText('The device is signed out at its next contact.', { exact: false })).toBeVisible()
  await robin.unroute('**/commands')
  await robin.goto('/')
  await expect(robin.getByText('This device was signed out by Wren.')).toBeVisible()
  await expect(robin.getByText('1 entry by Robin has not been sent.', { exact: false })).toBeVisible()
  await expectUsable(robin, 'what is held')
  const [file] = await Promise.all([
    robin.waitForEvent('download'),
    robin.getByRole('button', { name: 'Save as a file for a lead' }).click(),
  ])
  const held = JSON.parse(readFileSync(await file.path(), 'utf8')) as { entries: { topic: string }[] }
  expect(held.entries.map(({ topic }) => topic)).toEqual([id])
  await fill(robin, { 'Name to sign in with': 'robin', Password: GOOD })
  await robin.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expectSignedIn(robin, 'Robin')
  await expect
    .poll(async () => JSON.stringify(await (await lead.request.get(`/api/jobs/${id}`)).json()))
    .toContain('at-ground-line')
  await robin.context().close()
})

test('signing out while something waits is asked twice, and keeps it', async ({ browser }) => {
  const { robin } = await robinUnsent(browser, 'Waits')
  await robin.getByRole('link', { name: 'Vindex: all jobs' }).click()
  await goElsewhere(robin, 'Robin')
  await robin.getByRole('button', { name: 'Sign out' }).click()
  await expect(robin.getByText('1 entry has not been sent.', { exact: false })).toBeVisible()
  await robin.getByRole('button', { name: 'Sign out all the same' }).click()
  await expect(robin.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await expect(robin.getByText('1 entry by Robin has not been sent.', { exact: false })).toBeVisible()
  await robin.context().close()
})

test('where the browser keeps nothing, signing out does not throw away what is not sent', async ({ browser }) => {
  const { robin, id } = await robinUnsent(browser, 'In memory alone', async (page) => {
    await page.addInitScript(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('denied', 'SecurityError')
      }
    })
  })
  await robin.getByRole('link', { name: 'Vindex: all jobs' }).click()
  await goElsewhere(robin, 'Robin')
  await robin.getByRole('button', { name: 'Sign out' }).click()
  await expect(robin.getByText('1 entry of this account is not sent, and this browser keeps nothing')).toBeVisible()
  // Still signed in, it goes out as soon as it gets through.
  await robin.unroute('**/commands')
  await expect
    .poll(async () => JSON.stringify(await (await lead.request.get(`/api/jobs/${id}`)).json()), { timeout: 30_000 })
    .toContain('at-ground-line')
  await robin.context().close()
})

test('what was done is written down, by whom', async () => {
  await lead.goto('/people?part=audit')
  for (const words of [
    'Robin made a passkey',
    'Wren signed a device out',
    'Wren called a device lost',
    'Robin came here',
    'Wren made the first account',
  ])
    await expect(lead.getByRole('listitem').filter({ hasText: words }).first()).toBeVisible()
  await expectUsable(lead, 'who did what')
})

test('another workspace’s identities answer as those that do not exist', async ({ playwright }) => {
  // A second firm on the same server.
  const theirs = await lead.request.post('/api/jobs/import', { data: trialJob('Theirs') })
  const { id: foreign } = (await theirs.json()) as { id: string }
  await rows('workspace').insert({ id: 'elsewhere', name: 'Elsewhere', made_at: new Date() })
  const [person] = await rows('person').where({ sign_in_name: 'wren' })
  await rows('person').insert({ ...person, id: 'spy', workspace: 'elsewhere', sign_in_name: 'spy', name: 'Spy' })
  const spy: APIRequestContext = await playwright.request.newContext({ baseURL: running.server.address })
  const entered = await spy.post('/api/session', { data: { signInName: 'spy', password: GOOD } })
  const cookie = entered.headers()['set-cookie']!.split(';')[0]!
  expect(entered.headers()['set-cookie']).toMatch(/^__Host-vindex=.*HttpOnly; Secure; SameSite=Strict/)
  const ask = async (method: string, path: string) => {
    const answered = await spy.fetch(path, { method, headers: { cookie }, data: BODIES[path.split('/').at(-1)!] ?? {} })
    return { status: answered.status(), body: await answered.text() }
  }
  const list = JSON.parse((await ask('GET', '/api/jobs')).body) as { jobs: unknown[] }
  expect(list.jobs).toEqual([])
  const picture = 'picture-of-theirs'
  const device = (await rows('sign_in').where({ person_id: person.id }).first('id'))!.id as string
  const IDS: Record<string, [theirs: string, none: string]> = {
    ':id': [foreign, 'nobody-nobody-nobody-nobody-nobody12'],
    ':person': [person.id, 'nobody-nobody-nobody-nobody-nobody12'],
    ':device': [device, 'nobody-nobody-nobody-nobody-nobody12'],
  }
  let compared = 0
  for (const [pattern, methods] of ROUTES) {
    const named = Object.keys(IDS).find((key) => pattern.split('/').includes(key))
    if (!named) continue
    for (const method of Object.keys(methods)) {
      const [there, none] = IDS[named]!.map((id) =>
        pattern.replace(named, id).replace(':photograph', picture).replace(':offer', 'offer-of-theirs'),
      )
      const [one, other] = [await ask(method, there!), await ask(method, none!)]
      const same = (text: string, id: string) => text.replaceAll(id, 'ID')
      expect({ status: one.status, body: same(one.body, IDS[named]![0]) }, `${method} ${pattern}`).toEqual({
        status: other.status,
        body: same(other.body, IDS[named]![1]),
      })
      expect(one.status, `${method} ${pattern}`).toBeGreaterThanOrEqual(400)
      compared++
    }
  }
  expect(compared).toBeGreaterThan(16)
  await spy.dispose()
})
/** What a route asks for before it looks for the job. */
const BODIES: Record<string, unknown> = {
  commands: { id: 'batch-of-a-spy', version: 1, commands: [{ name: 'setJob', key: 'name', value: 'Spied' }] },
  answer: { isAccepted: false, name: 'Spy', checksum: 'a'.repeat(64), way: 'device', at: '2026-11-01T10:00:00Z' },
}
