import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { clockEnvironment } from './scripts/lib/testClock.mjs'

// The processes that run the tests live at one date, as under `npm test`.
if (!process.env.VINDEX_CLOCK_AHEAD) Object.assign(process.env, clockEnvironment(process.env.VINDEX_DATE))

/** A generous limit for loaded machines: at rest every test ends within a fifth of it, ms. */
const PATIENCE = 120_000
const root = fileURLToPath(new URL('.', import.meta.url))

export default defineConfig({
  resolve: { alias: { '~~': root, '~': `${root}app` } },
  test: {
    setupFiles: ['tests/support/setup.ts'],
    // Nothing else runs beside the tests: every core is theirs.
    maxWorkers: availableParallelism(),
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          // What keeps nothing between two questions needs no room of its own for each file: half the time is saved.
          isolate: false,
          testTimeout: PATIENCE,
          include: ['core', 'data', 'evaluation', 'tests/properties'].map((room) => `${room}/**/*.test.ts`),
        },
      },
      {
        extends: true,
        test: {
          name: 'unit',
          testTimeout: PATIENCE,
          include: ['app', 'cli', 'scripts'].map((room) => `${room}/**/*.test.ts`),
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts', 'tests/device/**/*.test.ts'],
          testTimeout: PATIENCE,
          hookTimeout: 60_000,
          globalSetup: ['tests/server/database.setup.ts'],
        },
      },
    ],
  },
})
