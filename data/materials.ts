import type { Materials } from '../core/timber/materials'

const MPA = 1e6
const GPA = 1e9

/**
 * Working values: allowable in wet service under gusts, mean strength, stiffness, mass.
 * `serviceYears` are the median years until it begins to go at the ground, all working values of the trade.
 * `gravity` is the specific gravity of withdrawal tables (NDS 2018 Table 12.3.3A, softened to groups).
 */
export const materials: Materials = {
  'treated-softwood': { name: 'Treated softwood', wood: true, allowable: 9 * MPA, strength: 26 * MPA, stiffness: 8 * GPA, density: 520, washerBearing: 2 * MPA, gravity: 0.42, serviceYears: { crowned: 15, dished: 11, stone: 17, soil: 10 } },
  'untreated-softwood': { name: 'Untreated softwood', wood: true, allowable: 8 * MPA, strength: 24 * MPA, stiffness: 7.5 * GPA, density: 480, washerBearing: 2 * MPA, gravity: 0.42, serviceYears: { crowned: 5, dished: 4, stone: 6, soil: 4 } },
  cedar: { name: 'Cedar', wood: true, allowable: 7 * MPA, strength: 21 * MPA, stiffness: 6.5 * GPA, density: 380, washerBearing: 2 * MPA, gravity: 0.35, serviceYears: { crowned: 14, dished: 11, stone: 16, soil: 10 } },
  oak: { name: 'Oak', wood: true, allowable: 13 * MPA, strength: 38 * MPA, stiffness: 9.5 * GPA, density: 720, washerBearing: 3.5 * MPA, gravity: 0.68, serviceYears: { crowned: 15, dished: 12, stone: 17, soil: 12 } },
  steel: { name: 'Steel', wood: false, yields: true, allowable: 140 * MPA, strength: 235 * MPA, stiffness: 200 * GPA, density: 7850, serviceYears: { crowned: 25, dished: 20, stone: 25, soil: 20 } },
  vinyl: { name: 'Vinyl', wood: false, allowable: 12 * MPA, strength: 35 * MPA, stiffness: 2.6 * GPA, density: 1400, serviceYears: { crowned: 30, dished: 30, stone: 30, soil: 30 } },
  // A reinforced concrete post is given by its moment: 100 × 85, 2.2 kN m.
  concrete: { name: 'Concrete', wood: false, momentCapacity: 2_200, density: 2400, serviceYears: { crowned: 30, dished: 30, stone: 30, soil: 30 } },
}
