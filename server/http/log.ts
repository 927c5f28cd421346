/**
 * What went wrong, for whoever runs the server: where it happened, and nothing of what was sent. A database driver
 * writes the whole statement with its values into its message.
 */
export function logFault(error: unknown): void {
  const { name = 'Error', code, sqlMessage, message, stack } = (error ?? {}) as Partial<Error> & Record<string, string>
  const says = sqlMessage === undefined && code === undefined ? message : undefined
  const frames = stack?.split('\n').filter((line) => /^\s+at /.test(line)) ?? []
  console.error([[name, code, says?.slice(0, LONGEST)].filter(Boolean).join(' '), ...frames].join('\n'))
}
const LONGEST = 200
