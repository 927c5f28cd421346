import { join } from 'node:path'
import { expect, test } from './test'
import { freePort, startDatabase } from '../../scripts/lib/database.mjs'
import { state } from '../../scripts/lib/paths.mjs'
import { recreate } from '../../scripts/lib/schemas.mjs'
import { startServer } from '../../scripts/lib/server.mjs'
import type { HistoryPage } from '../../shared/contract'
import { answer, expectSaved, importJob, open, saveSign, trialJob } from './steps'

// A server and a database of this test's own, to be killed in the middle of edits.
test('nothing that the screen called saved is lost when server and database are killed', async ({
  playwright,
  browser,
}) => {
  test.setTimeout(120_000)
  const folder = join(state, `durability-${process.pid}`)
  const port = await freePort()
  const start = async (fresh: boolean) => {
    const database = await startDatabase(folder)
    const databaseUrl = database.url('vindex')
    if (fresh) await recreate(databaseUrl)
    const server = await startServer({ build: process.env.VINDEX_BUILD!, databaseUrl, port })
    return { database, server }
  }
  let running = await start(true)
  const { address } = running.server
  const request = await playwright.request.newContext({ baseURL: address })
  const id = await importJob(request, trialJob('Killed'))
  const page = await (await browser.newContext({ baseURL: address })).newPage()
  await open(page, `/jobs/${id}/look?post=T3`)
  const saved = async () => (await (await request.get(`/api/jobs/${id}`)).json()).job.lines[0].posts[2].observations

  for (const [round, first, second] of [
    [1, 'at the ground line', 'easily'],
    [2, 'down in the soil', 'will not'],
    [3, 'footing and all', 'with force'],
  ] as const) {
    await answer(page, first).click()
    await expectSaved(page)
    // The kill falls between the edit and its answer.
    await Promise.all([answer(page, second).click(), running.server.kill(), running.database.kill()])
    await expect(saveSign(page)).toHaveText(/waiting to send|all saved/)
    running = await start(false)
    const after = await saved()
    expect(after.pushPivot, `round ${round}`).toBe(
      { 'at the ground line': 'at-ground-line', 'down in the soil': 'in-the-soil', 'footing and all': 'footing-moves' }[
        first
      ],
    )
    // What still waited arrives too, once.
    await expectSaved(page)
    expect((await saved()).comesUpright).toBe(
      { easily: 'easily', 'will not': 'will-not', 'with force': 'with-force' }[second],
    )
  }
  const { entries: history } = (await (await request.get(`/api/jobs/${id}/history`)).json()) as HistoryPage
  expect(new Set(history.map((entry) => entry.batchId)).size).toBe(history.length)
  expect(history).toHaveLength(6)
  await page.context().close()
  await running.server.stop()
  await running.database.stop()
})
