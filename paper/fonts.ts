import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

/* The letters of every page: they travel in it, so that it looks the same wherever it is read. */

const loaded = new Map<Weight, Buffer>()

/** As the screen has it, and what stands out. */
export const WEIGHTS = { 'Barlow-Regular': 400, 'Barlow-SemiBold': 600 } as const
export type Weight = keyof typeof WEIGHTS

/** A font as bytes; read once. */
export function fontBytes(weight: Weight): Buffer {
  const known = loaded.get(weight)
  if (known) return known
  // Where a bundle lies is known when it has started, not yet while its parts are read.
  const { resolve } = createRequire(import.meta.url)
  const read = readFileSync(resolve(`@fontsource/barlow/files/barlow-latin-${WEIGHTS[weight]}-normal.woff`))
  loaded.set(weight, read)
  return read
}
