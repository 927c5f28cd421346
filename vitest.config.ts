import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const root = fileURLToPath(new URL('.', import.meta.url))

export default defineConfig({
  resolve: { alias: { '~~': root, '~': `${root}app` } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          // A machine under load is slow, not wrong.
          testTimeout: 60_000,
          include: [
            'core/**/*.test.ts',
            'data/**/*.test.ts',
            'cli/**/*.test.ts',
            'evaluation/**/*.test.ts',
            'scripts/**/*.test.ts',
            'app/**/*.test.ts',
            'tests/properties/**/*.test.ts',
          ],
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts', 'tests/device/**/*.test.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
          globalSetup: ['tests/server/database.setup.ts'],
        },
      },
    ],
  },
})
