import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '../../../tests/support/builders'
import type { Line, Post, Site } from '../../document/job'
import { plan } from '../../plan/plan'
import { groundCapacity } from '../../ground/postInGround'
import { row } from '../../tables/tables'

/*
 * The links of each method worked a second time, by hand or in closed form: newtons that a part holds at the height
 * of the wind, turned into a gust by v = v0 √(capacity / (share · force at v0)).
 */

const site: Site = { exposure: 'sheltered', shelter: 0.7, gust50: 38, frostDepth: 0.3, minimumDepth: 0.6 }
const line: Partial<Line> = { kind: 'close-boarded', height: 1.8, gap: 0.05 }
const fair = { kind: 'concrete', diameter: 0.3, top: 0.05, bottom: 0.6 } as const
const rotted: Partial<Post> = {
  soil: 'firm-clay',
  section: { shape: 'rectangle', along: 0.1, across: 0.1 },
  footing: fair,
  observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03, comesUpright: 'easily' },
}
interface Asked {
  method: string
  post?: Partial<Post>
  line?: Partial<Line>
  others?: Partial<Post>
  which?: number
}

function planned({ method, post, line: of = {}, others = {}, which = 2 }: Asked) {
  const chosen = { ...rotted, ...post, repair: { method, ...post?.repair } }
  const job = jobOf({ ...runOfPosts(5, 2.4, (i) => (i === which ? chosen : others)), ...line, ...of }, site)
  const found = plan(job, tables).posts[which]!
  const of1 = found.methods.find((each) => each.method === method)!
  const { force, height, gust } = found.wind
  const { part, ground } = tables.experience
  /** Gust at which so many newtons are felt. */
  const at = (capacity: number, share: number = part) => gust * Math.sqrt(capacity / (share * force))
  const link = (key: string) => of1.links.find((each) => each.link === key)!
  const check = (name: string) => of1.checks.find((each) => each.check === name)!
  return { method: of1, link, check, at, height, force, ground, part }
}
/** Within half a per cent. */
function same(found: number | undefined, worked: number): void {
  expect(Math.abs(found! / worked - 1)).toBeLessThan(0.005)
}

describe('worked a second time', () => {
  it('a mender: 1.2 kN m and six tenths over it at the ground; bolts as a couple', () => {
    const { link, at, height } = planned({
      method: 'metal-mender',
      post: { repair: { parts: { mender: 'mender-light' } } },
    })
    same(link('mender').over, at((1.6 * 1_200) / height))
    same(link('mender').code, at(1_200 / height, 1))
    // F_e⊥ = 6100 · 0.42^1.45 / √(12/25.4) = 2523 psi = 17.39 MPa; × 12 mm × 100 mm × 0.7 wet = 14.61 kN at its yield.
    const perNewton = (height - 0.2) / 0.2 + 0.5
    same(link('bolts').over, at(14_610 / perNewton))
    same(link('bolts').code, at(((14_610 / 0.7) * 0.2 * 1.6 * 0.7) / perNewton, 1))
    // 100 × 100 less a 12 mm bolt: 0.088 · 0.1²/6 = 146.7 cm³ at 26 MPa, its arm from the upper bolt.
    same(link('post').over, at((26e6 * 146.67e-6) / (height - 0.3)))
  })

  it('a sleeve: a hollow of 110 mm and 3 mm at its rim, and its play', () => {
    const post = { removable: true, repair: { parts: { sleeve: 'sleeve-450' } } }
    const { link, check, at, height } = planned({ method: 'lift-out-sleeve', post, line: { height: 1.2 } })
    // Plastic modulus of a hollow: (110³ − 104³)/4 = 51 534 mm³; × 235 MPa = 12.11 kN m.
    same(link('sleeve').over, at(12_110 / height))
    // θ = 2 · 2 mm / 450 mm, over 1.2 m.
    same(check('play at the top').demand, (0.004 / 0.45) * 1.2)
  })

  it('stone bears with 0.85 of its hole', () => {
    const { method, link, at, height, ground } = planned({ method: 'new-post-stone' })
    const { diameter, footingBottom, fillTop } = method.hole!
    expect(diameter).toBe(0.3)
    const capacity = groundCapacity({
      soil: row(tables.soils, 'firm-clay') as never,
      saturated: false,
      ignoredTop: 0.15,
      segments: [
        { top: 0, bottom: fillTop, width: 0.1 },
        { top: fillTop, bottom: footingBottom, width: 0.255 },
      ],
      height,
    })
    same(link('footing').over, at(capacity.over, ground))
    same(link('footing').lean, at(capacity.lean, ground))
    // π/4 · 0.3² less 0.1² over the fill, and a tenth of the hole: in layers of at most 125 mm at 1.8 t/m³.
    const fill = footingBottom - fillTop
    same(method.packed!.volume, fill * (0.070686 - 0.01) + 0.1 * 0.070686 * footingBottom)
    expect(method.packed!.fill.layers).toBe(Math.ceil(fill / 0.125 - 1e-9))
    same(method.packed!.fill.mass, 1_800 * method.packed!.volume)
  })

  it('a key is a metre of bearing between 0.15 and 0.30 m', () => {
    const { method, link, at, height, ground } = planned({
      method: 'new-post-keyed',
      post: { footing: { kind: 'soil' } },
    })
    const capacity = groundCapacity({
      soil: row(tables.soils, 'firm-clay') as never,
      saturated: false,
      ignoredTop: 0.15,
      segments: [
        { top: 0, bottom: 0.15, width: 0.1 },
        { top: 0.15, bottom: 0.3, width: 1 },
        { top: 0.3, bottom: method.hole!.footingBottom, width: 0.1 },
      ],
      height,
    })
    same(link('footing').over, at(capacity.over, ground))
  })

  it('beside the old: rails over a bay that is longer by half of both blocks and 50 mm', () => {
    const { method, link, at } = planned({ method: 'beside-the-old' })
    const bay = 2.4 + 0.15 + 0.05 + method.hole!.diameter / 2
    // 3 rails of 38 × 88 flat: 3 · 88 · 38²/6 = 63 536 mm³ at 9 MPa; w = P/2.4.
    const code = (9e6 * 63.536e-6) / (bay ** 2 / 8 / 2.4)
    same(link('rails').code, at(code, 1))
    same(link('rails').over, at(1.6 * code))
  })

  it('an end tied in: two rails past the post beside it, four long screws, and that post under half as much again', () => {
    const firm: Partial<Post> = { ...rotted, observations: { pushPivot: 'nothing-moves', probeAtGround: 0 } }
    const tied = planned({ method: 'tie-in', which: 4, others: firm })
    // 2 · 88 · 38²/6 = 42 357 mm³ · 14.4 MPa over a bay of 2.4 m.
    same(tied.link('rails').over, tied.at((14.4e6 * 42.357e-6) / 2.4))
    // 10 mm in 100 mm: 6100 · 0.42^1.45 / √(10/25.4) psi = 19.05 MPa, × 10 × 100 × 0.7 = 13.33 kN; four, under 2 P.
    same(tied.link('tie-fixings').over, tied.at((4 * 13_330) / 2))
    const job = jobOf({ ...runOfPosts(5, 2.4, () => firm), ...line }, site)
    const beside = plan(job, tables).posts[3]!
    const [own] = beside.standing.links.filter(({ link }) => link === 'footing')
    // Half a bay on the end, a whole one on its neighbour: what it holds is shared by 1.5 times its own.
    same(tied.link('neighbour-footing').over, own!.over! / Math.sqrt(1.5))
  })

  it('made safe: a prop at 45° by Euler, and a bar in the ground, without experience', () => {
    const { link, at, height } = planned({
      method: 'make-safe',
      post: { repair: { parts: {} } },
      line: { height: 1.2 },
    })
    // Head at 0.8 m, 1.131 m long, 38 mm thin: l/d 29.8, F_cE 0.822 · 2.8/29.8² GPa = 2.599 MPa, a 0.433,
    // C_P 0.896 − √(0.896² − 0.541) = 0.384; 6 MPa · 3344 mm² · 0.384 = 7.70 kN, /√2 level, at 0.8 m.
    same(link('prop').over, at(((7_700 / Math.SQRT2) * 0.8) / height, 1))
    const capacity = groundCapacity({
      soil: row(tables.soils, 'firm-clay') as never,
      saturated: false,
      ignoredTop: 0.15,
      segments: [{ top: 0, bottom: 0.6, width: 0.025 }],
      height: 0.1,
    })
    same(link('stake').over, at((capacity.over * 0.8) / height, 1))
  })

  it('a pier: load over its base, dowels in shear, props with half as much again', () => {
    const post: Partial<Post> = {
      duty: 'load-bearing',
      carries: { area: 4, from: 'deck' },
      footing: { kind: 'concrete', diameter: 0.4, top: 0.1, bottom: 0.8 },
      repair: { licensed: { name: 'Ada Brandt' }, parts: {} },
    }
    const porch: Partial<Line> = { kind: 'post-and-rail', height: 2.2, gap: 0.8 }
    const raised = planned({ method: 'raise-pier', post, line: porch })
    // 4 m² · (500 + 1900) Pa = 9.6 kN on π/4 · 0.4² = 0.12566 m².
    same(raised.check('pressure under the old pier').demand, 76_394)
    expect(raised.check('pressure under the old pier').capacity).toBe(100_000)
    same(raised.check('load on each prop').demand, 7_200)
    // 88 × 88 (38 × 88 is more slender than 50): l/d 25, F_cE 3.683 MPa, a 0.614, C_P 1.0087 − √(1.0175 − 0.7674) = 0.5086.
    same(raised.check('load on each prop').capacity, 6e6 * 0.088 ** 2 * 0.5086)
    // Four bars of 12 mm: 4 · 0.6/√3 · 500 MPa · 113.1 mm² = 78.4 kN.
    same(raised.check('shear in the dowels').capacity, 78_360)
    const fresh = planned({ method: 'new-pier', post, line: porch })
    // 100 kPa bears 9.6 kN on 0.096 m²: 0.350 m, and so the next tool.
    expect(fresh.method.hole!.diameter).toBe(0.35)
    same(fresh.check('pressure under the pier').demand, 9_600 / ((Math.PI * 0.35 ** 2) / 4))
  })

  it('a plate: four anchors, two of them pulled, at nine tenths of 130 mm', () => {
    const post: Partial<Post> = {
      footing: { kind: 'plate' },
      duties: ['line', 'plate-mounted'],
      observations: { pushPivot: 'at-plate', probeAtGround: 0 },
      slab: { thickness: 0.15, sound: true, edge: 0.3, strength: 20e6 },
      repair: { parts: { anchor: 'anchor-10x70' } },
    }
    const { link, at, height } = planned({ method: 'plate-on-slab', post, line: { height: 1.2 } })
    // N_cb = 7 √20 · 70^1.5 · 110/210 = 9.604 kN; T = M/(2 · 0.9 · 0.13).
    same(link('anchors').over, at((9_604 * 2 * 0.9 * 0.13) / height))
  })

  it('rails fixed anew: half the wind on twelve screws of each side', () => {
    const { link, at } = planned({
      method: 'refix-panels',
      post: { repair: { parts: { 'rail-fixing': 'screw-6x100' } } },
    })
    // 1800 · 0.42^1.5 · (6/25.4)^0.75 = 166.0 lb an inch; 55 mm of thread 1.599 kN, × 1.6 × 0.7, × 3 when it draws.
    same(link('rail-fixings').over, at((166 * 4.448_22 * (55 / 25.4) * 1.6 * 0.7 * 3 * 6) / 0.5))
  })
  it('a pair of spurs: twice the steel and the fixings, 1.2 times the ground, twice the concrete', () => {
    const post: Partial<Post> = { footing: undefined }
    const [one, two] = ['spur-100', 'spur-100-pair'].map((spur) =>
      planned({ method: 'repair-spur', post: { ...post, repair: { parts: { spur } } } }),
    )
    // 2 kN m, and six tenths over it, of each.
    same(two!.link('spur').over, two!.at((2 * 1.6 * 2_000) / two!.height))
    same(two!.link('upper-fixing').over, one!.link('upper-fixing').over! * Math.SQRT2)
    same(two!.link('footing').code, one!.link('footing').code! * Math.sqrt(1.2))
    expect(two!.method.concrete!.concrete).toBeCloseTo(2 * one!.method.concrete!.concrete, 12)
    expect(two!.method.concrete!.holes).toBe(2)
    expect(two!.method.minutes).toBeGreaterThan(one!.method.minutes)
    expect(one!.method.cautions.join()).toContain('on each face')
    const clear = planned({
      method: 'repair-spur',
      post: { ...post, clearFaces: 'one', repair: { parts: { spur: 'spur-100-pair' } } },
    })
    expect(clear.method.reasons.join()).toContain('stands on both')
  })
})
