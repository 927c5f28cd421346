import { targetOf, type Command } from '~~/core/edit/commands'

/**
 * What two edits both wrote to, and a value, in words.
 *
 * @example conflictSubject({ name: 'setReading', line: 'B', post: 'B7', key: 'probeAtGround', value: 0.02 })
 *   // 'B7 › observations › probe at ground'
 */
export function conflictSubject(command: Command): string {
  const path = targetOf(command).filter((step, i, all) => step !== 'line' && step !== 'post' && all[i - 1] !== 'line')
  return path
    .map((step) => step.replace(/([a-z])([A-Z])/g, (_all, a: string, b: string) => `${a} ${b.toLowerCase()}`))
    .join(' › ')
}

export function conflictValue(command: Command, show: (length: number) => string): string {
  switch (command.name) {
    case 'putPost':
      return command.value ? `a post at ${show(command.value.station)}` : 'taken out'
    case 'putLine':
      return command.value ? `a line of ${command.value.posts.length} posts` : 'taken out'
    case 'putMark':
      return command.value ? `${command.value.kind} at ${show(command.value.station)}` : 'taken away'
    case 'putPhotograph':
      return command.value ? 'kept' : 'taken away'
    default:
      return valueWords(command.value, show)
  }
}

function valueWords(value: unknown, show: (length: number) => string): string {
  if (value === null || value === undefined) return 'taken back'
  if (typeof value === 'number') return show(value)
  if (typeof value === 'string') return value.replaceAll('-', ' ')
  if (Array.isArray(value)) return value.map((each) => valueWords(each, show)).join('; ')
  return Object.entries(value as Record<string, unknown>)
    .map(([key, part]) => `${key} ${typeof part === 'number' ? show(part) : String(part)}`)
    .join(', ')
}
