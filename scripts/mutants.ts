import { fork, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { once } from 'node:events'
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { mutantsOf, mutated, type Mutant } from './lib/mutants'
import { root, state } from './lib/paths.mjs'
import wings from './lib/rooms.cjs'
import { clockEnvironment } from './lib/testClock.mjs'

/*
 * npm run mutants [-- ROOM… | --sample=N]: small wrong changes, one at a time, and whether unit and server tests notice. A
 * fixed sample of each room, chosen by their own digest, so that two runs try the same ones. The report is
 * docs/mutants.md; a word on a survivor that stands there is kept.
 */

const AT_ONCE = 2
const CAUGHT_SHARE = 0.8
const SAMPLE = Number(process.argv.find((word) => word.startsWith('--sample='))?.slice('--sample='.length) ?? 20)

/** Tests that speak of a room beside its own, the quick ones first: they are tried on what its own let pass. */
const ALSO: Record<string, string[][]> = {
  'core/repair': [['core/plan/plan.test', 'core/plan/diagnosis', 'core/calc'], ['core/plan/composition']],
  'core/plan': [['core/items'], ['core/repair']],
  'core/setout': [['core/calc', 'core/plan/setOut']],
  'core/edit': [['core/document', 'core/repair/adding', 'app/job']],
  'app/sync': [['app/job', 'tests/device']],
  'app/job': [['app/sync', 'tests/device']],
  'core/ground': [['core/calc'], ['core/repair', 'core/plan/plan.test']],
  'core/concrete': [['core/calc'], ['core/plan/plan.test', 'core/items']],
  'core/wind': [['core/calc'], ['core/plan/plan.test']],
  'core/timber': [['core/calc'], ['core/repair']],
  'core/pour': [['core/storm'], ['core/concrete', 'core/day/done']],
  'core/day': [['core/calc', 'core/cost']],
  'core/storm': [['core/weather'], ['core/pour']],
  'core/record': [['core/exchange', 'app/job']],
  'core/report': [['core/record', 'core/offer', 'tests/server/sheets']],
  'core/survive': [['core/record']],
  'core/calc': [['core/units', 'app/bench']],
  'core/resolve': [['core/plan/plan.test', 'core/plan/diagnosis']],
  'core/tables': [['core/plan/plan.test'], ['core/yard']],
  'core/schema': [['core/document', 'core/edit']],
  'core/units': [['core/calc', 'app/bench']],
  'core/money': [['core/cost', 'core/offer']],
  'core/numeric': [['core/setout', 'core/choose', 'core/survive']],
  'core/instruments': [['app/instruments']],
  'core/items': [['core/cost']],
  'core/document': [['core/edit', 'core/plan/plan.test']],
  'app/session': [['app/sync']],
  'app/exchange': [['core/exchange']],
}
const SERVER_TESTS = [['tests/server']]
/** Tests of a room: its own, and what speaks of it besides. */
const testsOf = (room: string): string[][] =>
  room.startsWith('server') ? SERVER_TESTS : [...(hasTests(room) ? [[`${room}/`]] : []), ...(ALSO[room] ?? [])]
const hasTests = (room: string): boolean =>
  readdirSync(join(root, room), { recursive: true, encoding: 'utf8' }).some((name) => name.endsWith('.test.ts'))

/** Every room that has something to change; `app/places` is one for each place. */
const ROOMS = Object.entries(wings as Record<string, string[][]>)
  .flatMap(([wing, levels]) => levels.flat().map((room) => `${wing}/${room}`))
  .flatMap((room) => (room === 'app/places' ? foldersIn(room) : [room]))
  .filter((room) => sampleOf(room).length > 0)
function foldersIn(room: string): string[] {
  return readdirSync(join(root, room), { withFileTypes: true }).flatMap((each) =>
    each.isDirectory() ? [`${room}/${each.name}`] : [],
  )
}
const REPORT = join(root, 'docs', 'mutants.md')
const COPIED = [
  'app',
  'core',
  'data',
  'shared',
  'server',
  'paper',
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
function digest({ file, was, is, start }: Mutant): string {
  return createHash('sha256').update(`${file} ${start} ${was} ${is}`).digest('hex')
}

function sourcesOf(room: string): string[] {
  return readdirSync(join(root, room), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.endsWith('types.ts'))
    .map((name) => join(room, name))
}
function sampleOf(room: string): Mutant[] {
  return sourcesOf(room)
    .flatMap((file) => mutantsOf(file, readFileSync(join(root, file), 'utf8')))
    .map((mutant) => ({ mutant, order: digest(mutant) }))
    .sort((a, b) => a.order.localeCompare(b.order))
    .slice(0, SAMPLE)
    .map(({ mutant }) => mutant)
}

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

interface Change {
  file?: string
  text?: string
  tests?: string[][]
}
/** A copy with its tests loaded. */
interface Bench {
  passes: (change: Change) => Promise<boolean>
  stop: () => void
}

async function benchOn(copy: string): Promise<Bench> {
  const start = async () => {
    const child = fork(join(root, 'scripts', 'lib', 'mutantRunner.mjs'), {
      cwd: copy,
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      env: { ...process.env, ...clockEnvironment() },
    })
    await once(child, 'message')
    return child
  }
  let child = await start()
  return {
    async passes(change) {
      child.send(change)
      let said: { passed?: boolean; error?: string }
      try {
        ;[said] = (await once(child, 'message', { signal: AbortSignal.timeout(TOO_LONG) })) as [typeof said]
      } catch {
        // One that never ends is noticed too.
        child.kill('SIGKILL')
        child = await start()
        return false
      }
      if (said.error !== undefined) throw new Error(said.error)
      return said.passed!
    },
    stop: () => child.kill('SIGKILL'),
  }
}

async function tryAll(bench: Bench, queue: [string, Mutant][], tried: Tried[]): Promise<void> {
  const sound = new Set<string>()
  for (let next = queue.shift(); next; next = queue.shift()) {
    const [room, mutant] = next
    const { file } = mutant
    const tests = testsOf(room)
    // What fails without a mutant would catch every one.
    if (!sound.has(room) && !(await bench.passes({ tests }))) throw new Error(`the tests of ${room} fail as they stand`)
    sound.add(room)
    const text = readFileSync(join(root, file), 'utf8')
    const caught = !(await bench.passes({ file, text: mutated(text, mutant), tests }))
    await bench.passes({ file, text })
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

const wanted = process.argv.slice(2).filter((word) => !word.startsWith('--'))
const rooms = ROOMS.filter((room) => wanted.length === 0 || wanted.some((word) => `${room}/`.startsWith(`${word}/`)))
const queue = rooms.flatMap((room) => sampleOf(room).map((mutant): [string, Mutant] => [room, mutant]))
const tried: Tried[] = []
const benches = await Promise.all(Array.from({ length: AT_ONCE }, (_, i) => benchOn(copyOfTree(i))))
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
const sections = ROOMS.flatMap((room) =>
  rooms.includes(room) ? [sectionOf(room)] : known.filter((section) => section.startsWith(`## ${room}:`)),
)
const head =
  '# Small wrong changes, and whether the tests notice\n\nWritten by `npm run mutants`: a fixed sample of each room, one change at a time, tried by the unit and server tests that speak of the room. Listed are those that no test notices, with a word on each.\n'
writeFileSync(REPORT, [head, ...sections.map((section) => `${section.trimEnd()}\n`)].join('\n'))
spawnSync('npx', ['--no-install', 'prettier', '--write', REPORT], { cwd: root })
