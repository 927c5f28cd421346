import { defineConfig } from '@playwright/test'

/** Tried as it is installed on a phone: in the others no fresh browser makes its copy of 150 files first. */
const INSTALLED = /@installed/

/* Run by `npm test`, which starts a server and a database of its own and passes the address. */
export default defineConfig({
  testDir: 'tests/end-to-end',
  outputDir: '.vindex/end-to-end',
  fullyParallel: true,
  workers: 2,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['json', { outputFile: process.env.VINDEX_E2E_REPORT ?? '.vindex/end-to-end.json' }]],
  use: {
    baseURL: process.env.VINDEX_ADDRESS ?? 'http://localhost:3000',
    viewport: { width: 1280, height: 800 },
    // Units are guessed from the language of the device.
    locale: 'en-GB',
    launchOptions: { executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-background-networking'] },
  },
  projects: [
    { name: 'installed', grep: INSTALLED, use: { serviceWorkers: 'allow' } },
    { name: 'in the browser', grepInvert: INSTALLED, use: { serviceWorkers: 'block' } },
  ],
})
