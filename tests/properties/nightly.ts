import { tables } from '../../data/tables'
import { truths } from './truths'

// npm run properties: the same truths as in the tests, on a hundred thousand cases each.
const CASES = Number(process.argv[2] ?? 100_000)

for (const { name, check } of truths(tables)) {
  const began = performance.now()
  check(CASES)
  console.log(
    `${String(CASES).padStart(8)} cases in ${((performance.now() - began) / 1000).toFixed(1).padStart(6)} s: ${name}`,
  )
}
