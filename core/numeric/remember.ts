/** What a Map and a WeakMap have in common here. */
interface Memory<K, V> {
  get: (key: K) => V | undefined
  set: (key: K, value: V) => unknown
}

/** The value of a key, worked out the first time that it is asked for. */
export function remembered<K, V>(memory: Memory<K, V>, key: K, make: () => V): V {
  const known = memory.get(key)
  if (known !== undefined) return known
  const made = make()
  memory.set(key, made)
  return made
}
