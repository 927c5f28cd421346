// The vindex command: `npm run --silent vindex -- plan JOB.json`.
import { runTypeScript } from '../scripts/run.mjs'

const { main } = await runTypeScript('cli/vindex.ts')
process.exitCode = await main(process.argv.slice(2), process)
