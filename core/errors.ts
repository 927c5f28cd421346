/**
 * The one error that the core throws for bad input. The shell prints its message,
 * the server makes a 422 problem document of it, the screen shows it at the field.
 */
export class InputError extends Error {
  override name = 'InputError'

  /**
   * @param key   dotted path of what was wrong, as in the document or the call
   * @param value what was given
   * @param range what would be accepted, in words
   */
  constructor(
    readonly key: string,
    readonly value: unknown,
    readonly range: string,
  ) {
    super(`${key} is ${describe(value)}; it must be ${range}`)
  }
}

function describe(value: unknown): string {
  if (value === undefined) return 'missing'
  // No line break of what was given gets into a message.
  const text = typeof value === 'string' ? `"${value.replace(/\s+/g, ' ')}"` : (JSON.stringify(value) ?? String(value))
  return text.length > 60 ? `${text.slice(0, 57)}…` : text
}

/**
 * @param minimum least value accepted
 * @param maximum greatest value accepted
 * @param unit    printed behind the range
 * @throws InputError when `value` is no finite number within the range
 * @example requireNumber('height', 1.8, 0.3, 4, 'm') // 1.8
 */
export function requireNumber(key: string, value: unknown, minimum: number, maximum: number, unit = ''): number {
  // The range is put into words only when it is needed: searches come here thousands of times.
  if (typeof value === 'number' && value >= minimum && value <= maximum) return value
  throw new InputError(key, value, `a number from ${minimum} to ${maximum}${unit ? ` ${unit}` : ''}`)
}

/** @throws InputError when `value` is none of `choices` */
export function requireChoice<T extends string>(key: string, value: unknown, choices: readonly T[]): T {
  if (choices.includes(value as T)) return value as T
  throw new InputError(key, value, `one of ${choices.join(', ')}`)
}
