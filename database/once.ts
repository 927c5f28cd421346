/**
 * What is made at the first call, and is there at every later one; a failure is tried again.
 *
 * @example const opened = once(() => connect()); await opened()
 */
export function once<T>(make: () => Promise<T>): () => Promise<T> {
  let made: Promise<T> | undefined
  return () =>
    (made ??= make().catch((error: unknown) => {
      made = undefined
      throw error
    }))
}
