import type { Materials } from '../core/timber/materials'

const MPA = 1e6
const GPA = 1e9

/**
 * Working values: allowable in wet service under gusts, mean strength, stiffness, mass.
 * `gravity` is the specific gravity of withdrawal tables (NDS 2018 Table 12.3.3A, softened to groups).
 */
export const materials: Materials = {
  'treated-softwood': { name: 'Treated softwood', wood: true, allowable: 9 * MPA, strength: 26 * MPA, stiffness: 8 * GPA, density: 520, washerBearing: 2 * MPA, gravity: 0.42 },
  'untreated-softwood': { name: 'Untreated softwood', wood: true, allowable: 8 * MPA, strength: 24 * MPA, stiffness: 7.5 * GPA, density: 480, washerBearing: 2 * MPA, gravity: 0.42 },
  cedar: { name: 'Cedar', wood: true, allowable: 7 * MPA, strength: 21 * MPA, stiffness: 6.5 * GPA, density: 380, washerBearing: 2 * MPA, gravity: 0.35 },
  oak: { name: 'Oak', wood: true, allowable: 13 * MPA, strength: 38 * MPA, stiffness: 9.5 * GPA, density: 720, washerBearing: 3.5 * MPA, gravity: 0.68 },
  steel: { name: 'Steel', wood: false, yields: true, allowable: 140 * MPA, strength: 235 * MPA, stiffness: 200 * GPA, density: 7850 },
  vinyl: { name: 'Vinyl', wood: false, allowable: 12 * MPA, strength: 35 * MPA, stiffness: 2.6 * GPA, density: 1400 },
  // A reinforced concrete post is given by its moment: 100 × 85, 2.2 kN m.
  concrete: { name: 'Concrete', wood: false, momentCapacity: 2_200, density: 2400 },
}
