import { InputError } from '../errors'
import { put, withKey, withPart } from './changes'
import { inverseOfReading, withReading, type SetReading } from './setReading'
import type { Hole, Job, Judgement, Line, Mark, Photograph, Post, RepairChoice, Site } from '../document/job'

/*
 * Every edit is a small named command: it can be undone, replayed and merged key by key.
 * A value of null takes the key away.
 */

export type Command =
  | { name: 'renameJob'; value: string }
  | { name: 'setSite'; key: keyof Site; value: unknown }
  | { name: 'setLine'; line: string; key: Exclude<keyof Line, 'id' | 'posts' | 'marks'>; value: unknown }
  | {
      name: 'setPost'
      line: string
      post: string
      key: Exclude<keyof Post, 'id' | 'observations' | 'readings' | 'photographs' | 'judgement'>
      value: unknown
    }
  | SetReading
  | { name: 'putPost'; line: string; post: string; value: Post | null }
  | { name: 'putMark'; line: string; mark: string; value: Mark | null }
  | { name: 'putPhotograph'; line: string; post: string; photograph: string; value: Photograph | null }
  | { name: 'putLine'; line: string; value: Line | null; at?: number }
  | { name: 'chooseRepair'; line: string; post: string; value: string | null }
  | {
      name: 'setRepair'
      line: string
      post: string
      key: Exclude<keyof RepairChoice, 'method' | 'hole'>
      value: unknown
    }
  | { name: 'setJudgement'; line: string; post: string; key: keyof Judgement; value: unknown }
  | { name: 'setHole'; line: string; post: string; key: keyof Hole; value: unknown }

export const COMMAND_NAMES = [
  'renameJob',
  'setSite',
  'setLine',
  'setPost',
  'setReading',
  'putPost',
  'putMark',
  'putPhotograph',
  'putLine',
  'chooseRepair',
  'setRepair',
  'setJudgement',
  'setHole',
] as const

/** Commands of one moment, sent and undone together. */
export interface CommandBatch {
  /** Given by whoever made it: a batch that arrives twice is applied once. */
  id: string
  commands: Command[]
}

/**
 * The job after a command; the job given stays as it is.
 *
 * @throws InputError when the line or post is not in the job
 */
export function applyCommand(job: Job, command: Command): Job {
  switch (command.name) {
    case 'renameJob':
      return { ...job, name: command.value }
    case 'setSite':
      return { ...job, site: withKey(job.site ?? {}, command.key, command.value) }
    case 'setLine':
      return mapLine(job, command.line, (line) => withKey(line, command.key, command.value))
    case 'setPost':
      return command.key === 'station'
        ? mapLine(job, command.line, (line) =>
            withPost(line, command.post, withKey(findPost(job, command), 'station', command.value)),
          )
        : mapPost(job, command, (post) => withKey(post, command.key, command.value))
    case 'setReading':
      return mapPost(job, command, (post) => withReading(post, command))
    case 'putPost':
      return mapLine(job, command.line, (line) => withPost(line, command.post, command.value))
    case 'putMark':
      return mapLine(job, command.line, (line) => withKey(line, 'marks', put(line.marks, command.mark, command.value)))
    case 'putPhotograph':
      return mapPost(job, command, (post) =>
        withKey(post, 'photographs', put(post.photographs, command.photograph, command.value)),
      )
    case 'putLine':
      return withLine(job, command.line, command.value, command.at)
    case 'chooseRepair':
      return mapPost(job, command, (post) => withKey(post, 'repair', chosen(post.repair, command.value)))
    case 'setRepair':
      return mapPost(job, command, (post) => withPart(post, 'repair', command.key, command.value))
    case 'setJudgement':
      return mapPost(job, command, (post) => withPart(post, 'judgement', command.key, command.value))
    case 'setHole':
      return mapPost(job, command, (post) =>
        withKey(post, 'repair', { ...post.repair, hole: withKey(post.repair?.hole ?? {}, command.key, command.value) }),
      )
  }
}

export function applyCommands(job: Job, commands: readonly Command[]): Job {
  return commands.reduce(applyCommand, job)
}

/** The command that takes `command` back, made on the job before it. */
export function inverseOf(job: Job, command: Command): Command {
  switch (command.name) {
    case 'renameJob':
      return { ...command, value: job.name }
    case 'setSite':
      return { ...command, value: job.site?.[command.key] ?? null }
    case 'setLine':
      return { ...command, value: findLine(job, command.line)[command.key] ?? null }
    case 'setPost':
      return { ...command, value: findPost(job, command)[command.key] ?? null }
    case 'setReading':
      return inverseOfReading(findPost(job, command), command)
    case 'putPost':
      return { ...command, value: findLine(job, command.line).posts.find(({ id }) => id === command.post) ?? null }
    case 'putMark':
      return { ...command, value: findLine(job, command.line).marks?.find(({ id }) => id === command.mark) ?? null }
    case 'putPhotograph':
      return {
        ...command,
        value: findPost(job, command).photographs?.find(({ id }) => id === command.photograph) ?? null,
      }
    case 'putLine': {
      const at = job.lines.findIndex(({ id }) => id === command.line)
      return { ...command, value: job.lines[at] ?? null, ...(at < 0 ? {} : { at }) }
    }
    case 'chooseRepair':
      // A change of method clears the hole, so the whole choice is put back.
      return {
        name: 'setPost',
        line: command.line,
        post: command.post,
        key: 'repair',
        value: findPost(job, command).repair ?? null,
      }
    case 'setRepair':
      return { ...command, value: findPost(job, command).repair?.[command.key] ?? null }
    case 'setJudgement':
      return { ...command, value: findPost(job, command).judgement?.[command.key] ?? null }
    case 'setHole':
      return { ...command, value: findPost(job, command).repair?.hole?.[command.key] ?? null }
  }
}

/** Inverse of a batch: last edit first. */
export function inverseOfAll(job: Job, commands: readonly Command[]): Command[] {
  const inverses: Command[] = []
  let at = job
  for (const command of commands) {
    inverses.unshift(inverseOf(at, command))
    at = applyCommand(at, command)
  }
  return inverses
}

/**
 * What a command writes to, from the outside in.
 *
 * @example targetOf({ name: 'setHole', line: 'A', post: 'A3', key: 'depth', value: 0.8 })
 *   // ['line', 'A', 'post', 'A3', 'repair', 'hole', 'depth']
 */
export function targetOf(command: Command): string[] {
  switch (command.name) {
    case 'renameJob':
      return ['name']
    case 'setSite':
      return ['site', command.key]
    case 'setLine':
      return ['line', command.line, command.key]
    case 'setPost':
      return [...postTarget(command), command.key]
    case 'setReading':
      return [...postTarget(command), 'observations', command.key]
    case 'putPost':
      return postTarget(command)
    case 'putMark':
      return ['line', command.line, 'mark', command.mark]
    case 'putPhotograph':
      return [...postTarget(command), 'photograph', command.photograph]
    case 'putLine':
      return ['line', command.line]
    case 'chooseRepair':
      return [...postTarget(command), 'repair']
    case 'setRepair':
      return [...postTarget(command), 'repair', command.key]
    case 'setJudgement':
      return [...postTarget(command), 'judgement', command.key]
    case 'setHole':
      return [...postTarget(command), 'repair', 'hole', command.key]
  }
}

interface PostAddress {
  line: string
  post: string
}

const postTarget = ({ line, post }: PostAddress) => ['line', line, 'post', post]

/** Posts stand in the order of their stations, however they came. */
function withPost(line: Line, id: string, value: Post | null): Line {
  const posts = put(line.posts, id, value) ?? []
  return { ...line, posts: [...posts].sort((a, b) => a.station - b.station) }
}

function withLine(job: Job, id: string, value: Line | null, at = job.lines.length): Job {
  if (job.lines.some((line) => line.id === id)) return { ...job, lines: put(job.lines, id, value) ?? [] }
  return value ? { ...job, lines: job.lines.toSpliced(at, 0, value) } : job
}

/** A new method keeps mix and filling; the hole of the old one is gone. */
function chosen(repair: RepairChoice | undefined, method: string | null): RepairChoice | null {
  const { mix, filling } = repair ?? {}
  const kept = { ...(mix === undefined ? {} : { mix }), ...(filling === undefined ? {} : { filling }) }
  if (method !== null) return { ...kept, method }
  return Object.keys(kept).length > 0 ? kept : null
}

export function findLine(job: Job, id: string): Line {
  const line = job.lines.find((each) => each.id === id)
  if (!line) throw new InputError('line', id, `one of ${job.lines.map((each) => each.id).join(', ')}`)
  return line
}

export function findPost(job: Job, { line, post }: PostAddress): Post {
  const found = findLine(job, line).posts.find((each) => each.id === post)
  if (!found) throw new InputError('post', post, `a post of line ${line}`)
  return found
}

function mapLine(job: Job, id: string, change: (line: Line) => Line): Job {
  const line = findLine(job, id)
  return { ...job, lines: job.lines.map((each) => (each === line ? change(each) : each)) }
}

function mapPost(job: Job, address: PostAddress, change: (post: Post) => Post): Job {
  const post = findPost(job, address)
  return mapLine(job, address.line, (line) => ({
    ...line,
    posts: line.posts.map((each) => (each === post ? change(each) : each)),
  }))
}
