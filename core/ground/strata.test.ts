import { describe, expect, it } from 'vitest'
import { soilNamed } from '../../tests/support/builders'
import { depthThatHolds, type DepthQuestion } from './depthRules'
import { groundCapacity, groundResponse, type BuriedPost } from './postInGround'
import { overDepth, strata, type Layer } from './strata'

const clay = soilNamed('firm-clay')
const fill = soilNamed('made-ground')
const sand = soilNamed('medium-sand')
const post = (layers?: Layer[], of: Partial<BuriedPost> = {}): BuriedPost => ({
  soil: clay,
  saturated: false,
  ignoredTop: 0.15,
  segments: [
    { top: 0, bottom: 0.05, width: 0.1 },
    { top: 0.05, bottom: 0.7, width: 0.3 },
  ],
  height: 0.94,
  ...(layers ? { layers } : {}),
  ...of,
})
const layer = (soil: Layer['soil'], bottom: number, saturated = false): Layer => ({ soil, bottom, saturated })

describe('layered ground', () => {
  it.each(['firm-clay', 'medium-sand', 'made-ground', 'gravel'])('of one layer is %s all through', (key) => {
    const soil = soilNamed(key)
    const [plain, layered] = [post(undefined, { soil }), post([layer(soil, 0.4)], { soil })]
    expect(groundCapacity(layered)).toEqual(groundCapacity(plain))
    expect(groundResponse(layered, 300)).toEqual(groundResponse(plain, 300))
    // Cut in two, the same soil is the same ground but for where the integrals are cut.
    const cut = groundCapacity(post([layer(soil, 0.37), layer(soil, 2)], { soil }))
    expect(cut.over).toBeCloseTo(groundCapacity(plain).over, 9)
    expect(Math.abs(cut.lean / groundCapacity(plain).lean - 1)).toBeLessThan(1e-4)
  })

  it('of two layers gives the sum of the parts, worked by hand', () => {
    /*
     * 0.3 m wide, 0 to 0.7 deep, nothing ignored; made ground (15 kN/m³, 26°) to 0.4, firm clay (18, 40 kPa, J 0.25)
     * below. Per metre of depth:
     * fill: 3 · K_p · 15 · z · 0.3, K_p = tan²(58°) = 2.5611: 34.575 z kN/m
     * clay: 0.72 · (3 · 40 + σ + 0.25 · 40 z/0.3) · 0.3, σ = 15 · 0.4 + 18 (z − 0.4) = 18 z − 1.2:
     *   0.216 · (120 − 1.2 + (18 + 33.333) z) = 25.661 + 11.088 z, under its cap of 0.72 · 9 · 40 · 0.3 = 77.76
     * Moments about the load, 0.94 up: M(z) = ∫ p (z + 0.94) dz.
     *   fill 0 to 0.4: 34.575 (0.4³/3 + 0.94 · 0.4²/2) = 3.3376
     *   clay to z: G = 25.661 (z²/2 + 0.94 z) + 11.088 (z³/3 + 0.47 z²): 12.7718 at 0.4, 26.9932 at 0.7: 14.2214
     * Half of 17.5590 is 8.7795: 5.4419 into the clay, where G = 18.2137: z = 0.5259.
     * over = 2 ∫0→0.5259 p − ∫0→0.7 p: fill 34.575 · 0.08 = 2.7660; clay 0.4→0.5259 25.661 · 0.1259 + 11.088 ·
     *   (0.5259² − 0.16)/2 = 3.2312 + 0.6463 = 3.8775; 0.4→0.7 7.6983 + 1.8295 = 9.5278
     *   2 · 6.6435 − 12.2938 = 0.993 kN
     */
    const whole = [{ top: 0, bottom: 0.7, width: 0.3 }]
    const two = post([layer(fill, 0.4), layer(clay, 2)], { segments: whole, ignoredTop: 0, soil: fill })
    const { over, pivot } = groundCapacity(two)
    expect(pivot).toBeCloseTo(0.5259, 3)
    expect(over / 993).toBeCloseTo(1, 2)
  })

  it('presses each layer by what lies over it', () => {
    const [, below] = strata(post([layer(fill, 0.4), layer(clay, 2)]))
    const [alone] = strata(post())
    // 15 · 0.4 against 18 · 0.4 kPa: 1.2 kPa less all the way down, × 0.72.
    expect(below!.state.limitAtTop - alone!.state.limitAtTop).toBeCloseTo(-0.72 * 1_200, 6)
    const wet = strata(post([layer(fill, 0.4, true), layer(clay, 2, true)]))[1]!.state
    expect(wet.cap).toBeCloseTo(0.75 * below!.state.cap, 6)
  })

  it('holds between its layers, and wants a depth between theirs', () => {
    const between = groundCapacity(post([layer(fill, 0.4), layer(clay, 2)]))
    const [soft, firm] = [groundCapacity(post(undefined, { soil: fill })), groundCapacity(post())]
    expect(between.over).toBeGreaterThan(soft.over)
    expect(between.over).toBeLessThan(firm.over)
    const question: DepthQuestion = {
      ...post(),
      width: 0.3,
      force: 1_200,
      postLength: 2.4,
      frostDepth: 0.3,
      minimumDepth: 0.6,
    }
    const depths = [clay, fill].map((soil) => depthThatHolds({ ...question, soil })!)
    const mixed = depthThatHolds({ ...question, layers: [layer(fill, 0.4), layer(clay, 2)] })!
    expect(mixed).toBeGreaterThan(depths[0]!)
    expect(mixed).toBeLessThan(depths[1]!)
  })

  it('has the code figure of the weakest layer that is reached, and none where one has none', () => {
    // Clay 100 and sand 150 psf/ft: the clay rules wherever it lies within the depth.
    const code = (...layers: Layer[]) => groundCapacity(post(layers)).code
    expect(code(layer(sand, 0.4), layer(clay, 2))).toBe(groundCapacity(post()).code)
    expect(code(layer(sand, 0.8), layer(clay, 2))).toBe(groundCapacity(post(undefined, { soil: sand })).code)
    expect(code(layer(clay, 0.4), layer(fill, 2))).toBeNull()
  })

  it('measured stronger is stronger in all but the code', () => {
    const [weak, strong] = [groundCapacity(post()), groundCapacity(post(undefined, { strength: 1.5 }))]
    expect(strong.over / weak.over).toBeCloseTo(1.5, 9)
    expect(strong.lean / weak.lean).toBeCloseTo(1.5, 4)
    expect(strong.code).toBe(weak.code)
  })

  it('is dug at the mean of its layers by their thickness', () => {
    const ground = { soil: fill, saturated: false, layers: [layer(fill, 0.4), layer(clay, 2)] }
    expect(overDepth(ground, 0.8, ({ unitWeight }) => unitWeight)).toBeCloseTo(16_500, 6)
    expect(overDepth(ground, 0.3, ({ unitWeight }) => unitWeight)).toBeCloseTo(15_000, 6)
  })
})
