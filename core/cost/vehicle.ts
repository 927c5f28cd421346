import type { Kilograms, Metres } from '../units/types'

/** A van or trailer of the yard. */
export interface Vehicle {
  key: string
  name: string
  payload: Kilograms
  /** Longest piece that lies flat in it. */
  bed: Metres
}

/** Something that is loaded as one: a bag, a post, a bundle. */
export interface Cargo {
  key: string
  mass: Kilograms
  /** So many of it. */
  count: number
  length?: Metres
}

export interface VanLoad {
  vehicle: Vehicle
  /** Of its cargo, by key. */
  items: { key: string; count: number }[]
  mass: Kilograms
  trips: number
}

export interface Loading {
  vans: VanLoad[]
  /** Longer than every bed: on the roof, or by another way. */
  tooLong: { key: string; length: Metres }[]
  mass: Kilograms
  /** Spoil and old concrete on the way home. */
  home: Kilograms
  homeTrips: number
}

/**
 * What goes into which van: heaviest first, each piece into the van that has most of its payload left and is long
 * enough; what is over all payloads makes further trips, said and not hidden.
 *
 * @param home mass of what is taken away, kg
 * @example 1 000 kg for vans of 600 and 900 kg: 400 and 600, one trip each
 */
export function loadVans(cargo: readonly Cargo[], vehicles: readonly Vehicle[], home: Kilograms = 0): Loading {
  const vans = vehicles.map((vehicle) => ({ vehicle, counts: new Map<string, number>(), mass: 0 }))
  const tooLong: Loading['tooLong'] = []
  for (const { key, mass, count, length = 0 } of [...cargo].sort((a, b) => b.mass - a.mass)) {
    const able = vans.filter(({ vehicle }) => vehicle.bed >= length)
    if (able.length === 0) {
      tooLong.push({ key, length })
      continue
    }
    for (let one = 0; one < count; one++) {
      const van = able.reduce((best, each) => (roomOf(each) > roomOf(best) ? each : best))
      van.counts.set(key, (van.counts.get(key) ?? 0) + 1)
      van.mass += mass
    }
  }
  const payload = vehicles.reduce((sum, each) => sum + each.payload, 0)
  return {
    vans: vans.map(({ vehicle, counts, mass }) => ({
      vehicle,
      items: [...counts].map(([key, count]) => ({ key, count })),
      mass,
      trips: mass > 0 ? Math.ceil(mass / vehicle.payload - 1e-9) : 0,
    })),
    tooLong,
    mass: vans.reduce((sum, { mass }) => sum + mass, 0),
    home,
    homeTrips: payload > 0 ? Math.ceil(home / payload - 1e-9) : 0,
  }
}
const roomOf = ({ vehicle, mass }: { vehicle: Vehicle; mass: number }) => vehicle.payload - mass
