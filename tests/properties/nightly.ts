import { spawnSync } from 'node:child_process'
import { tables } from '../../data/tables'
import { truths } from './truths'

/*
 * npm run properties [COUNT]: the same truths as in the tests, on a hundred thousand cases each; then the tests that try
 * many cases, with all of them.
 */
const CASES = Number(process.argv[2] ?? 100_000)

for (const { name, check } of truths(tables)) {
  const began = performance.now()
  check(CASES)
  console.log(
    `${String(CASES).padStart(8)} cases in ${((performance.now() - began) / 1000).toFixed(1).padStart(6)} s: ${name}`,
  )
}

/** Tests that ask `cases()` how many to try. */
const MANY = [
  'core/practice/practice',
  'core/survive/simulate',
  'core/hole/hole.test',
  'core/day/day.test',
  'core/choose/wholeLine',
  'core/cost/cutting',
  'core/exchange/roundTrip',
  'tests/device/threeDevices',
]
const { status } = spawnSync('npx', ['--no-install', 'vitest', 'run', '--testTimeout=1800000', ...MANY], {
  stdio: 'inherit',
  env: { ...process.env, VINDEX_MANY_CASES: 'yes' },
})
process.exitCode = status ?? 1
