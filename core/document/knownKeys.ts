import type { Tables } from '../tables/tables'
import type { KnownKeys } from './schema'

export function knownKeys({ soils, mixes, fillings, parts }: Tables): KnownKeys {
  const keys = (rows: readonly { key: string }[]) => rows.map((each) => each.key)
  return {
    soils: keys(soils),
    methods: keys(parts.methods),
    mixes: keys(mixes),
    fillings: keys(fillings),
    spurs: keys(parts.spurs),
    fixings: keys(parts.fixings),
    pins: keys(parts.pins),
  }
}
