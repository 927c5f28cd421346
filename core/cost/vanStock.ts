import type { Site } from '../document/job'
import type { CatalogueRow } from './catalogue'

/** What lies on the van: catalogue key → count in the row's own unit. What is not listed is not there. */
export type VanStock = ReadonlyMap<string, number>

/** The catalogue key of a mix. */
export const mixKey = (mix: string): string => `mix/${mix}`

/** Bags that were counted for a job, by mix; of an older file that names no mix they are of `usualMix`. */
function countedBags(van: Site['van'], usualMix?: string): Map<string, number> {
  const mix = van?.mix ?? usualMix
  const before = van?.bags !== undefined && mix !== undefined ? [[mix, van.bags] as const] : []
  return new Map([...before, ...(van?.counted ?? []).map((each) => [each.mix, each.bags] as const)])
}

/**
 * What is on the van for a job: what the yard keeps on it, with the bags that were counted for this job in the place of
 * the yard's figure.
 *
 * @param usualMix the mix of the hole at hand
 * @example vanStock({ counted: [{ mix: 'post-mix-20', bags: 3 }] }, [{ key: 'mix/post-mix-20', onVan: 8 }]).get('mix/post-mix-20') // 3
 */
export function vanStock(
  van: Site['van'],
  catalogue: readonly Pick<CatalogueRow, 'key' | 'onVan'>[],
  usualMix?: string,
): VanStock {
  const stock = new Map(catalogue.flatMap(({ key, onVan }) => (onVan === undefined ? [] : [[key, onVan] as const])))
  for (const [mix, bags] of countedBags(van, usualMix)) stock.set(mixKey(mix), bags)
  return stock
}

/**
 * The count of one mix set for a job, or taken back; those of other mixes stay.
 *
 * @returns null where nothing is counted any more
 */
export function withBags(van: Site['van'], mix: string, bags: number | null): NonNullable<Site['van']> | null {
  const counts = countedBags(van, mix)
  if (bags === null) counts.delete(mix)
  else counts.set(mix, bags)
  return counts.size > 0 ? { counted: [...counts].map(([key, count]) => ({ mix: key, bags: count })) } : null
}
