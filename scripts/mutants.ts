import { fork, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { once } from 'node:events'
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { mutantsOf, mutated, type Mutant } from './lib/mutants'
import { root, state } from './lib/paths.mjs'

/*
 * npm run mutants [-- ROOM…]: small wrong changes, one at a time, and whether the unit tests notice. A fixed sample of
 * each room where things are put together, chosen by their own digest, so that two runs try the same ones. The report
 * is docs/mutants.md; a word on a survivor that stands there is kept.
 */

const SAMPLE = 20
const AT_ONCE = 2
const CAUGHT_SHARE = 0.8
/** Room, and the tests that speak of it: the quick ones first, the others for what they let pass. */
const ROOMS: Record<string, string[][]> = {
  'core/repair': [
    ['core/repair'],
    ['core/plan/plan.test', 'core/plan/diagnosis', 'core/calc'],
    ['core/plan/composition'],
  ],
  'core/plan': [
    ['core/plan/plan.test', 'core/plan/diagnosis', 'core/items'],
    ['core/repair'],
    ['core/plan/composition', 'core/plan/jsonSchema'],
  ],
  'core/setout': [
    ['core/setout', 'core/calc'],
    ['core/plan/setOut', 'core/resolve'],
  ],
  'core/edit': [['core/edit'], ['core/document', 'core/repair/adding', 'app/job']],
  'app/sync': [['app/sync'], ['app/job']],
  'core/ground': [
    ['core/ground', 'core/calc'],
    ['core/repair', 'core/plan/plan.test'],
  ],
  'core/concrete': [['core/concrete', 'core/calc'], ['core/plan/plan.test', 'core/items'], ['core/plan/composition']],
  'core/pour': [
    ['core/pour', 'core/storm'],
    ['core/concrete', 'core/day/done'],
  ],
  'core/day': [
    ['core/day/nights', 'core/day/done', 'core/day/around'],
    ['core/day/day.test', 'core/calc', 'core/day/demoDays'],
  ],
  'core/storm': [['core/storm', 'core/weather'], ['core/pour']],
  'core/record': [['core/record'], ['core/exchange', 'app/job']],
  'core/survive': [['core/survive'], ['core/record']],
  'core/calc': [['core/calc'], ['core/units', 'app/bench']],
  'core/practice': [['core/practice/review', 'core/practice/drills'], ['core/practice/practice.test']],
}
const REPORT = join(root, 'docs', 'mutants.md')
const COPIED = [
  'app',
  'core',
  'data',
  'shared',
  'server',
  'cli',
  'database',
  'evaluation',
  'tests',
  'docs',
  'scripts',
  'package.json',
  'vitest.config.ts',
  'tsconfig.json',
  'tsconfig.core.json',
]

interface Tried extends Mutant {
  room: string
  caught: boolean
}

const nameOf = ({ file, line, was, is }: Mutant) => `${file}:${line} \`${short(was)}\` → \`${short(is)}\``
const short = (text: string) =>
  (text.length > 60 ? `${text.slice(0, 57)}…` : text).replaceAll('\n', ' ').replaceAll('|', '\\|')
const digest = ({ file, was, is, start }: Mutant) =>
  createHash('sha256').update(`${file} ${start} ${was} ${is}`).digest('hex')

function sourcesOf(room: string): string[] {
  return readdirSync(join(root, room), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('types.ts'))
    .map((name) => join(room, name))
}
const sampleOf = (room: string): Mutant[] =>
  sourcesOf(room)
    .flatMap((file) => mutantsOf(file, readFileSync(join(root, file), 'utf8')))
    .sort((a, b) => digest(a).localeCompare(digest(b)))
    .slice(0, SAMPLE)

/** A copy of the tree to spoil. */
function copyOfTree(index: number): string {
  const copy = join(state, `mutants-${index}`)
  rmSync(copy, { recursive: true, force: true })
  mkdirSync(copy, { recursive: true })
  for (const name of COPIED) cpSync(join(root, name), join(copy, name), { recursive: true })
  for (const name of ['node_modules', '.nuxt']) symlinkSync(join(root, name), join(copy, name))
  return copy
}

const TOO_LONG = 120_000

/** A copy with its tests loaded. */
interface Bench {
  passes: (change: { file?: string; text?: string; tests?: string[][] }) => Promise<boolean>
  /** In a process of its own: what is kept loaded may be of before the change. */
  passesAfresh: (change: { file: string; text: string; tests: string[][] }) => boolean
  stop: () => void
}

async function benchOn(copy: string): Promise<Bench> {
  const start = async () => {
    const child = fork(join(root, 'scripts', 'lib', 'mutantRunner.mjs'), {
      cwd: copy,
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    })
    await once(child, 'message')
    return child
  }
  let child = await start()
  return {
    async passes(change) {
      child.send(change)
      const timeout = AbortSignal.timeout(TOO_LONG)
      try {
        const [{ passed }] = (await once(child, 'message', { signal: timeout })) as [{ passed: boolean }]
        return passed
      } catch {
        // One that never ends is noticed too.
        child.kill('SIGKILL')
        child = await start()
        return false
      }
    },
    passesAfresh({ file, text, tests }) {
      const path = join(copy, file)
      const before = readFileSync(path, 'utf8')
      writeFileSync(path, text)
      const words = ['--no-install', 'vitest', 'run', '--project', 'core', '--project', 'unit', '--bail', '1']
      const { status } = spawnSync('npx', [...words, ...tests.flat()], {
        cwd: copy,
        stdio: 'ignore',
        timeout: TOO_LONG,
      })
      writeFileSync(path, before)
      return status === 0
    },
    stop: () => child.kill('SIGKILL'),
  }
}

/** What fails without a mutant would catch every one. */
async function requireSound(bench: Bench): Promise<void> {
  for (const room of rooms) {
    if (!(await bench.passes({ tests: ROOMS[room]! }))) throw new Error(`the tests of ${room} fail as they stand`)
  }
}

async function tryAll(bench: Bench, queue: [string, Mutant][], tried: Tried[]): Promise<void> {
  for (let next = queue.shift(); next; next = queue.shift()) {
    const [room, mutant] = next
    const { file } = mutant
    const text = readFileSync(join(root, file), 'utf8')
    const spoilt = { file, text: mutated(text, mutant), tests: ROOMS[room]! }
    let caught = !(await bench.passes(spoilt))
    await bench.passes({ file, text })
    caught ||= !bench.passesAfresh(spoilt)
    tried.push({ ...mutant, room, caught })
    console.log(`${tried.length}. ${caught ? 'caught' : 'survives'}: ${nameOf(mutant)}`)
  }
}

/** Words that somebody gave a survivor before. */
function wordsBefore(): Map<string, string> {
  if (!existsSync(REPORT)) return new Map()
  const lines = readFileSync(REPORT, 'utf8').split('\n')
  return new Map(
    lines.flatMap((line) => {
      const parts = /^- (.*` → `.*`): (.*)$/.exec(line)
      return parts ? [[parts[1]!.replace(/:\d+ /, ' '), parts[2]!] as const] : []
    }),
  )
}

const wanted = process.argv.slice(2)
const rooms = Object.keys(ROOMS).filter((room) => wanted.length === 0 || wanted.includes(room))
const queue = rooms.flatMap((room) => sampleOf(room).map((mutant): [string, Mutant] => [room, mutant]))
const tried: Tried[] = []
const benches = await Promise.all(Array.from({ length: AT_ONCE }, (_, i) => benchOn(copyOfTree(i))))
await requireSound(benches[0]!)
await Promise.all(benches.map((bench) => tryAll(bench, queue, tried)))
benches.forEach((bench) => bench.stop())

const before = wordsBefore()
const sectionOf = (room: string): string => {
  const of = tried.filter((each) => each.room === room)
  const survivors = of.filter(({ caught }) => !caught).sort((a, b) => nameOf(a).localeCompare(nameOf(b)))
  const caught = of.length - survivors.length
  const share = Math.round((100 * caught) / of.length)
  if (caught / of.length < CAUGHT_SHARE) process.exitCode = 1
  console.log(`${room}: ${caught} of ${of.length} caught, ${share} %`)
  const words = survivors.map(
    (each) => `- ${nameOf(each)}: ${before.get(nameOf(each).replace(/:\d+ /, ' ')) ?? 'not looked at yet'}`,
  )
  return `## ${room}: ${caught} of ${of.length} caught, ${share} %\n\n${words.join('\n') || 'None survives.'}\n`
}
/** A room that was not tried now stands as it was found the last time. */
const known = existsSync(REPORT) ? readFileSync(REPORT, 'utf8').split(/^(?=## )/m) : []
const sections = Object.keys(ROOMS).flatMap((room) =>
  rooms.includes(room) ? [sectionOf(room)] : known.filter((section) => section.startsWith(`## ${room}:`)),
)
const head =
  '# Small wrong changes, and whether the tests notice\n\nWritten by `npm run mutants`: a fixed sample of each room, one change at a time, tried by the unit tests that speak of the room. Listed are those that no test notices, with a word on each.\n'
writeFileSync(REPORT, [head, ...sections.map((section) => `${section.trimEnd()}\n`)].join('\n'))
spawnSync('npx', ['--no-install', 'prettier', '--write', REPORT], { cwd: root })
