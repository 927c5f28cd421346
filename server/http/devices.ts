const DEVICES: readonly (readonly [RegExp, string])[] = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android.*Mobile/, 'Android phone'],
  [/Android/, 'Android tablet'],
  [/Windows/, 'Windows'],
  [/Macintosh/, 'Mac'],
  [/Linux|X11/, 'Linux'],
]
const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chromium'],
  [/Safari\//, 'Safari'],
]

/**
 * A device in words that its owner knows it by.
 *
 * @example deviceWords('Mozilla/5.0 (X11; Linux x86_64) … Chrome/131.0 Safari/537.36') // 'Linux, Chromium'
 */
export function deviceWords(agent: string): string {
  const of = (all: readonly (readonly [RegExp, string])[]) => all.find(([pattern]) => pattern.test(agent))?.[1]
  return [of(DEVICES) ?? 'Another device', of(BROWSERS)].filter(Boolean).join(', ')
}
