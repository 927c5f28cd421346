import { readFileSync, writeFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { calculate, calculations } from '../core/calc/registry'
import { InputError, requireChoice } from '../core/errors'
import { plan } from '../core/plan/plan'
import type { Job } from '../core/document/job'
import { LENGTH_SYSTEMS } from '../core/units/length'
import { tables, tablesIn } from '../data/tables'

/** Where the command reads and writes; tests pass their own. */
export interface Terminal {
  stdin: { fd: number }
  stdout: { write: (text: string | Uint8Array) => unknown }
  stderr: { write: (text: string) => unknown }
}

const USAGE =
  'vindex plan JOB.json [--units metric|feet-inches] | check JOB.json | convert JOB.json --to csv|geojson|ics|svg|pdf [--table posts|readings|bill|hours] [--post ID] [--paper A4|letter] [--out FILE] | calc [NAME [JSON or -]]'
const BAD_INPUT = 2
const FAULT = 1

/** @returns the exit code: 0, 2 for bad input, 1 for a fault of the program */
export async function main(words: readonly string[], terminal: Terminal): Promise<number> {
  try {
    terminal.stdout.write(await answer(words, terminal))
    return 0
  } catch (error) {
    if (error instanceof InputError) {
      terminal.stderr.write(`vindex: ${error.message}\n`)
      return BAD_INPUT
    }
    terminal.stderr.write(`vindex: a fault of the program: ${error instanceof Error ? error.stack : String(error)}\n`)
    return FAULT
  }
}

async function answer([command, ...rest]: readonly string[], terminal: Terminal): Promise<string | Uint8Array> {
  switch (command) {
    case 'plan':
      return planned(rest, terminal)
    case 'check':
      return `${(await readJobFile(rest[0], terminal)).name}: a valid job file\n`
    case 'convert':
      return convert(rest, terminal)
    case 'calc':
      return rest.length === 0 ? listing() : json(calculate(rest[0]!, readInput(rest[1], terminal), tables))
    default:
      throw new InputError('command', command, USAGE)
  }
}

/** Every figure of a job, by the tools and the words of those units. */
async function planned(words: readonly string[], terminal: Terminal): Promise<string> {
  const { path, units = 'metric' } = wordsOf('plan', words, { units: { type: 'string' } })
  const here = tablesIn[requireChoice('--units', units, LENGTH_SYSTEMS)]
  return json(plan(await readJobFile(path, terminal), here))
}

const string = { type: 'string' } as const

/** A job in another form, on standard output or in a file. */
async function convert(words: readonly string[], terminal: Terminal): Promise<string | Uint8Array> {
  const options = { to: string, out: string, table: string, post: string, paper: string, units: string }
  const { path, out, ...asked } = wordsOf('convert', words, options)
  // Pages, prices and calendars are loaded only where they are made.
  const { converted } = await import('./convert')
  const made = await converted(await readJobFile(path, terminal), asked, new Date())
  if (out === undefined) return made
  try {
    writeFileSync(out, made)
  } catch {
    throw new InputError('--out', out, 'a file that can be written')
  }
  return ''
}

/** The path and the options of a command. */
function wordsOf<K extends string>(
  command: string,
  words: readonly string[],
  options: Record<K, { type: 'string' }>,
): { path?: string } & Partial<Record<K, string>> {
  try {
    const { values, positionals } = parseArgs({ args: [...words], options, allowPositionals: true })
    return { path: positionals[0], ...(values as Partial<Record<K, string>>) }
  } catch (error) {
    throw new InputError(command, words.join(' '), `${USAGE} (${(error as Error).message.split('\n')[0]})`)
  }
}

async function readJobFile(path: string | undefined, terminal: Terminal): Promise<Job> {
  if (path === undefined) throw new InputError('JOB.json', path, 'the path of a job file, or -')
  // The schema library is loaded only where a document is read: the shell answers sooner.
  const { readJob } = await import('../core/document/check')
  return readJob(parsed(path === '-' ? terminal.stdin.fd : path, path), tables)
}

function readInput(text: string | undefined, terminal: Terminal): unknown {
  if (text === '-') return parsed(terminal.stdin.fd, 'standard input')
  return parseJson(text ?? '{}', 'input')
}

function parsed(source: string | number, name: string): unknown {
  let text: string
  try {
    text = readFileSync(source, 'utf8')
  } catch {
    throw new InputError('file', name, 'a file that can be read')
  }
  return parseJson(text, name)
}

function parseJson(text: string, name: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new InputError(name, text, `JSON (${(error as Error).message})`)
  }
}

function listing(): string {
  const lines = calculations.flatMap(({ name, says, inputs, outputs, example }) => [
    `${name}: ${says}`,
    ...Object.entries(inputs).map(([key, range]) => `  in   ${key}: ${range}`),
    ...Object.entries(outputs).map(([key, unit]) => `  out  ${key}: ${unit}`),
    ...(example ? [`  e.g. ${JSON.stringify(example[0])}`, `       ${JSON.stringify(example[1])}`] : []),
    '',
  ])
  return `${lines.join('\n')}`
}

const json = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`
