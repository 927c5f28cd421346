import type { Site } from '../document/job'
import type { CatalogueRow } from './catalogue'

/** What lies on the van: catalogue key → count in the row's own unit. What is not listed is not there. */
export type VanStock = ReadonlyMap<string, number>

/** The catalogue key of a mix. */
export const mixKey = (mix: string): string => `mix/${mix}`

/**
 * What is on the van for a job: what the yard keeps on it, with the bags that were counted for this job in the place of
 * the yard's figure.
 *
 * @param van what the job says; without a mix its bags are of `usualMix`
 * @param usualMix the mix of the hole at hand
 * @example vanStock({ mix: 'post-mix-20', bags: 3 }, [{ key: 'mix/post-mix-20', onVan: 8, … }], 'post-mix-20').get('mix/post-mix-20') // 3
 */
export function vanStock(
  van: Site['van'],
  catalogue: readonly Pick<CatalogueRow, 'key' | 'onVan'>[],
  usualMix?: string,
): VanStock {
  const stock = new Map(catalogue.flatMap(({ key, onVan }) => (onVan === undefined ? [] : [[key, onVan] as const])))
  const mix = van?.mix ?? usualMix
  if (van?.bags !== undefined && mix !== undefined) stock.set(mixKey(mix), van.bags)
  return stock
}
