import { anyDaySetup, anyLoad, anyPour } from './anyPour'
import { anyEntries, anyVisits } from './anyRecord'
import { anyGate, setOutOfLine, setOutOfPost } from './anySetOut'
import { DIGGING_TOOLS } from '../../core/concrete/overdig'
import { SEASONS } from '../../core/ground/soil'
import { MATERIALS } from '../../core/timber/materials'
import { EXPOSURES, LINE_KINDS } from '../../core/wind/fence'
import { TARGETS } from '../../core/wind/target'
import {
  CARRIED,
  CLEAR_FACES,
  COATINGS,
  DUTIES,
  FOOTING_KINDS,
  HARD_THINGS,
  JOB_FORMAT,
  JOB_VERSION,
  MARK_KINDS,
  HOLE_SHAPES,
  MET_DECISIONS,
  MET_KINDS,
  MET_SIDES,
  SERVICES,
  SET_ORDERS,
  UPGRADES,
} from '../../core/document/vocabulary'
import fc from 'fast-check'
import type { Job } from '../../core/document/job'
import { PICKED, SEEN_TOGETHER, type Observations } from '../../core/cause/observations'
import { between } from './between'
import type { Tables } from '../../core/tables/tables'

/** Posts as a job file may hold them, with facts missing at random. */
export function anyJob(tables: Tables): fc.Arbitrary<Job> {
  const key = (rows: readonly { key: string }[]) => fc.constantFrom(...rows.map((row) => row.key))
  const wood = between(0, 0.2)
  const size = between(0.02, 1)
  const section = fc.oneof(
    fc.record({ shape: fc.constant('rectangle' as const), along: size, across: size }),
    fc.record({ shape: fc.constant('round' as const), diameter: size }),
    fc.record({ shape: fc.constant('tube' as const), diameter: size, wall: between(0.0005, 0.2) }),
    fc.record({ shape: fc.constant('hollow' as const), along: size, across: size, wall: between(0.0005, 0.2) }),
  )
  const reading = fc.record(
    { offset: between(-2, 2), over: between(0.1, 4), direction: fc.integer({ min: 0, max: 360 }) },
    { requiredKeys: ['offset', 'over'] },
  )
  const observations = fc.record(
    {
      ...Object.fromEntries(Object.entries(PICKED).map(([name, values]) => [name, fc.constantFrom(...values)])),
      groundAround: fc.subarray([...SEEN_TOGETHER.groundAround]),
      lean: fc.oneof(reading, fc.tuple(reading, reading)),
      moisturePercent: between(0, 200),
      probeAtGround: wood,
      probeBelow: wood,
      probeAbove: wood,
    },
    { requiredKeys: [] },
  ) as fc.Arbitrary<Observations>
  const marks = fc
    .array(
      fc.record(
        {
          kind: fc.constantFrom(...MARK_KINDS),
          station: between(0, 30),
          to: between(0, 30),
          above: fc.boolean(),
          keep: fc.boolean(),
          inHand: fc.constant({ at: '2026-03-14T09:30:00Z' }),
          offset: between(-3, 3),
          size: between(0.005, 2),
          service: fc.constantFrom(...SERVICES),
        },
        { requiredKeys: ['kind', 'station'] },
      ),
      { maxLength: 3 },
    )
    .map((list) => list.map((mark, i) => ({ ...mark, id: `mark-${i}` })))
  const hole = fc.record(
    {
      shape: fc.constantFrom(...HOLE_SHAPES),
      diameter: between(0.1, 2),
      depth: between(0.2, 4),
      stoneBed: between(0, 1),
      fillTop: between(-0.2, 1),
      bottomDiameter: between(0.1, 2),
      bellDiameter: between(0.1, 2),
      bellHeight: between(0.05, 1),
      crown: fc.boolean(),
      shift: between(-0.5, 0.5),
      stones: between(0, 0.4),
      key: fc.boolean(),
    },
    { requiredKeys: [] },
  )
  const repair = fc.record(
    {
      method: key(tables.parts.methods),
      mix: key(tables.mixes),
      filling: key(tables.fillings),
      spur: key(tables.parts.lists.spur.rows),
      fixing: key(tables.parts.lists.fixing.rows),
      pin: key(tables.parts.lists.pin.rows),
      post: fc.record(
        { section, length: between(0.3, 12), material: fc.constantFrom(...MATERIALS) },
        { requiredKeys: [] },
      ),
      sleeve: fc.record(
        { clearance: between(0, 0.05), insertion: between(0.1, 2), drains: fc.boolean() },
        { requiredKeys: [] },
      ),
      setOrder: fc.constantFrom(...SET_ORDERS),
      coating: fc.constantFrom(...COATINGS),
      tool: fc.constantFrom(...DIGGING_TOOLS),
      poured: fc.record({ bags: between(0, 60), water: between(0, 0.5), face: between(-0.2, 1) }, { requiredKeys: [] }),
      licensed: fc.constant({ name: 'Ada Brandt' }),
      hole,
      holes: fc.dictionary(key(tables.parts.methods), hole, { maxKeys: 2 }),
    },
    { requiredKeys: [] },
  )
  const footing = fc.record(
    {
      kind: fc.constantFrom(...FOOTING_KINDS),
      diameter: between(0.05, 3),
      top: between(0, 3),
      bottom: between(0.05, 5),
    },
    { requiredKeys: ['kind'] },
  )
  const layers = fc
    .array(fc.record({ soil: key(tables.soils), saturated: fc.boolean(), thickness: between(0.06, 0.8) }), {
      minLength: 1,
      maxLength: 4,
    })
    .map((list) =>
      list.map(({ thickness: _own, ...each }, i) => ({
        ...each,
        bottom: list.slice(0, i + 1).reduce((sum, { thickness }) => sum + thickness, 0),
      })),
    )
  const pull = fc.record(
    {
      force: between(20, 400),
      height: between(0.3, 2),
      at: between(0, 2),
      movement: between(0, 0.03),
      residual: between(0, 0.01),
      held: fc.boolean(),
      saturated: fc.boolean(),
    },
    { requiredKeys: ['force', 'height', 'at', 'movement'] },
  )
  const met = fc.record(
    {
      kind: fc.constantFrom(...MET_KINDS),
      depth: between(0, 2),
      side: fc.constantFrom(...MET_SIDES),
      size: between(0.005, 1),
      decision: fc.constantFrom(...MET_DECISIONS),
    },
    { requiredKeys: ['kind', 'depth'] },
  )
  const post = fc.record(
    {
      layers,
      pulls: fc.array(pull, { maxLength: 2 }),
      met: fc.array(met, { maxLength: 2 }),
      duty: fc.constantFrom(...DUTIES),
      material: fc.constantFrom(...MATERIALS),
      section,
      length: between(0.3, 12),
      ageYears: between(0, 200),
      soil: key(tables.soils),
      saturated: fc.boolean(),
      footing,
      gate: anyGate,
      ...setOutOfPost,
      steadyLoad: fc.record({ pressure: between(0, 20_000), height: between(0.05, 4) }),
      cladding: fc.record({ railEnds: fc.nat(12), torn: between(0, 3), mend: fc.constantFrom('splice', 'new') }),
      observations,
      groundLevel: between(-5, 5),
      conditions: fc.subarray(tables.conditions.map((row) => row.key)),
      box: fc.record({ width: between(0.05, 3), height: between(0.05, 3) }),
      pointedAt: fc.boolean(),
      carriesString: fc.boolean(),
      duties: fc.subarray([...DUTIES], { minLength: 1, maxLength: 2 }),
      removable: fc.boolean(),
      upgrade: fc.constantFrom(...UPGRADES),
      clearFaces: fc.constantFrom(...CLEAR_FACES),
      hardAgainst: fc.constantFrom(...HARD_THINGS),
      roomToDig: fc.boolean(),
      corrosive: fc.boolean(),
      slab: fc.record(
        { thickness: between(0.02, 1), sound: fc.boolean(), edge: between(0.01, 10), strength: between(5e6, 100e6) },
        { requiredKeys: ['thickness'] },
      ),
      carries: fc.record(
        {
          area: between(0.1, 200),
          from: fc.constantFrom(...CARRIED),
          dead: between(0, 20_000),
          live: between(0, 20_000),
        },
        { requiredKeys: ['area', 'from'] },
      ),
      make: fc.constantFrom('the brothers', 'nobody knows'),
      repair,
    },
    { requiredKeys: [] },
  )
  const line = fc.record(
    {
      kind: fc.constantFrom(...LINE_KINDS),
      height: between(0.3, 4),
      gap: between(0, 1),
      solidity: between(0.02, 1),
      remainingYears: between(0, 200),
      cornerAtStart: fc.boolean(),
      marks,
      setOut: setOutOfLine,
      history: fc
        .record({
          posts: fc.integer({ min: 1, max: 60 }),
          ageYears: between(0.5, 40),
          gone: fc.integer({ min: 0, max: 60 }),
        })
        .map((each) => ({ ...each, gone: Math.min(each.gone, each.posts) })),
    },
    { requiredKeys: [] },
  )
  const site = fc.record(
    {
      exposure: fc.constantFrom(...EXPOSURES),
      shelter: between(0.1, 1),
      gust50: between(10, 100),
      rules: fc.constantFrom(...tables.localRules.map(({ key }) => key)),
      frostDepth: between(0, 3),
      minimumDepth: between(0, 3),
      target: fc.record({ by: fc.constantFrom(...TARGETS), chance: between(0.01, 0.9) }, { requiredKeys: ['by'] }),
      van: fc.record(
        {
          mix: key(tables.mixes),
          bags: fc.integer({ min: 0, max: 40 }),
          counted: fc.array(fc.record({ mix: key(tables.mixes), bags: fc.integer({ min: 0, max: 40 }) }), {
            maxLength: 3,
          }),
        },
        { requiredKeys: [] },
      ),
      targetReturnYears: between(2, 1000),
      leanReturnYears: between(1.1, 1000),
      season: fc.constantFrom(...SEASONS),
      place: fc.constantFrom(...tables.stations.map(({ key: station }) => station)),
      timeZone: fc.constantFrom('UTC', 'Europe/Lisbon'),
    },
    { requiredKeys: [] },
  )
  const further = fc.record(
    {
      pours: fc.array(anyPour(tables, 'A', fc.constantFrom('A0', 'A1')), { maxLength: 2 }),
      day: anyDaySetup,
      load: anyLoad,
      entries: anyEntries('A', fc.constantFrom('A0', 'A1')),
      visits: anyVisits(fc.constantFrom('A0', 'A1')),
    },
    { requiredKeys: [] },
  )
  return fc
    .record({ site, line, posts: fc.array(post, { minLength: 1, maxLength: 3 }), bay: between(0.1, 10), further })
    .map(({ site: of, line: facts, posts: all, bay, further: more }) => ({
      ...more,
      format: JOB_FORMAT,
      version: JOB_VERSION,
      name: 'Any',
      site: of,
      lines: [{ id: 'A', ...facts, posts: all.map((each, i) => ({ id: `A${i}`, station: i * bay, ...each })) }],
    }))
}
