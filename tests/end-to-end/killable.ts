import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { chromium, type Page } from '@playwright/test'
import { liveAtRun } from './test'

export type Killable = { page: Page; kill: () => Promise<void> }

/** A browser whose process can be killed, with what it keeps in a folder; one that hangs at its start is killed too. */
export async function launchOn(profile: string, tries = 3): Promise<Killable> {
  try {
    return await launchOnce(profile)
  } catch (error) {
    if (tries <= 1) throw error
    return launchOn(profile, tries - 1)
  }
}
export async function launchOnce(profile: string): Promise<Killable> {
  const words = ['--headless=new', '--no-sandbox', '--remote-debugging-port=0', `--user-data-dir=${profile}`]
  const child = spawn('/usr/bin/chromium', words, { stdio: ['ignore', 'ignore', 'pipe'], detached: true })
  const address = await new Promise<string>((resolve) => {
    let said = ''
    child.stderr.on('data', (part: Buffer) => {
      said += part.toString()
      const found = /DevTools listening on (ws:\S+)/.exec(said)
      if (found) resolve(found[1]!)
    })
  })
  const ended = once(child, 'exit')
  const browser = await chromium.connectOverCDP(address, { timeout: 15_000 }).catch(async (error: unknown) => {
    process.kill(-child.pid!, 'SIGKILL')
    await ended
    throw error
  })
  const context = await liveAtRun(browser.contexts()[0]!)
  return {
    page: context.pages()[0] ?? (await context.newPage()),
    async kill() {
      process.kill(-child.pid!, 'SIGKILL')
      await ended
    },
  }
}
