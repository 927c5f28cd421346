/**
 * Keeps what was made by its key, the last used the longest; what is being made is waited for by everybody who asks.
 *
 * @param most bytes in all
 * @returns gives what is kept under a key, or makes it; what fails is made anew for the next asker
 * @example const papers = keptPapers(48e6); await papers('job-1 3 B4', () => draw())
 */
export function keptPapers(most: number) {
  const kept = new Map<string, { making: Promise<Buffer | undefined>; size: number }>()
  let total = 0

  function forget(key: string): void {
    total -= kept.get(key)?.size ?? 0
    kept.delete(key)
  }
  function keep(key: string, size: number): void {
    const made = kept.get(key)
    if (!made) return
    made.size = size
    total += size
    for (const oldest of kept.keys()) if (total > most) forget(oldest)
  }
  return function paper(key: string, make: () => Promise<Uint8Array | undefined>): Promise<Buffer | undefined> {
    const before = kept.get(key)
    if (before) {
      kept.delete(key)
      kept.set(key, before)
      return before.making
    }
    const making = make().then((bytes) => bytes && Buffer.from(bytes))
    kept.set(key, { making, size: 0 })
    making.then(
      (bytes) => keep(key, bytes?.length ?? 0),
      () => forget(key),
    )
    return making
  }
}
