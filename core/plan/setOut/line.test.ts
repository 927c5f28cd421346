import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts, tables } from '~~/tests/support/builders'
import type { Line, Post } from '../../document/job'
import { resolveJob } from '../../resolve/resolve'
import { plan } from '../plan'
import { gapByLevel, setOutLine, type SetOutPost } from './line'

const rotted: Partial<Post> = { observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 }, pointedAt: true }
const sound: Partial<Post> = { observations: { pushPivot: 'nothing-moves', probeAtGround: 0 } }

/** A line of five, 2.4 m apart, whose third post is rotted. */
function setOut(facts: Partial<Line> = {}, posts: Record<string, Partial<Post>> = {}) {
  const line = runOfPosts(5, 2.4, (i) => (i === 2 ? rotted : sound))
  const job = jobOf({
    ...line,
    height: 1.8,
    gap: 0.05,
    ...facts,
    posts: line.posts.map((post) => ({ ...post, ...posts[post.id] })),
  })
  const resolved = resolveJob(job, tables)
  const found = setOutLine(resolved.lines[0]!, plan(job, tables).posts, tables)
  return { ...found, of: (id: string): SetOutPost => found.posts.find(({ post }) => post === id)! }
}
const leaning = (offset: number, more: Partial<Post> = {}): Partial<Post> => ({
  ...sound,
  ...more,
  observations: { pushPivot: 'nothing-moves', lean: { offset, over: 1.2 } },
})

describe('a line set out', () => {
  it('is read from strings over the posts that carry them', () => {
    const { of } = setOut()
    expect(of('A3')).toMatchObject({ isSet: true, carries: false, station: 4.8, bay: 2.4 })
    expect(of('A3').upper).toBeCloseTo(1.8, 12)
    expect(of('A3').lower).toBeCloseTo(0.3, 12)
    expect(of('A3').gapLow).toBeCloseTo(0.012, 12)
    expect(of('A1')).toMatchObject({ isSet: false, carries: true })
    expect(of('A3').weighed).toBeUndefined()
  })
  it('reads a hole from the lower string, and answers with a word', () => {
    const { depth } = setOut().of('A3').hole!
    const { hole, found } = setOut({}, { A3: { found: { hole: 0.3 + depth - 0.04 } } }).of('A3')
    expect(hole!.reading).toBeCloseTo(0.3 + depth, 9)
    expect(found.hole).toMatchObject({ action: 'dig', move: expect.closeTo(0.04, 9) })
    // Lower ground at the post: the string is higher over it, the hole as deep as before.
    const lower = setOut({}, { A3: { groundLevel: -0.1 } }).of('A3')
    expect(lower.lower).toBeCloseTo(0.4, 9)
    expect(lower.hole!.reading).toBeCloseTo(0.4 + depth, 9)
  })
  it('leaves more room at a thinner post, where middles agree', () => {
    const thin: Partial<Post> = { section: { shape: 'rectangle', along: 0.1, across: 0.075 } }
    expect(setOut({}, { A3: thin }).of('A3').gapLow).toBeCloseTo(0.0245, 9)
    expect(setOut({ setOut: { agree: 'faces', spacer: 0.02 } }, { A3: thin }).of('A3').gapLow).toBeCloseTo(0.02, 9)
  })
  it('sets a plumb post off a string that leans with the posts that carry it', () => {
    // Both ends lean 20 mm in a metre away: their tops are 36 mm over, at the lower string 6.
    const ends = { A1: leaning(0.024), A5: leaning(0.024) }
    const { gapLow, gapHigh } = setOut({ setOut: { side: 'far' } }, ends).of('A3')
    expect(gapLow).toBeCloseTo(0.012 + 0.006, 9)
    expect(gapHigh).toBeCloseTo(0.012 + 0.036, 9)
    // On the near face the usual spacer would have it in the post: a thicker one keeps it clear, unless one was asked.
    const asked = setOut({ setOut: { spacer: 0.012 } }, ends)
    expect(asked.of('A3').gapHigh).toBeCloseTo(0.012 - 0.036, 9)
    expect(asked.thickerSpacer).toBeCloseTo(0.04, 9)
    const near = setOut({}, ends)
    expect(near.spacer).toBeCloseTo(0.04, 9)
    expect(near.of('A3').gapHigh).toBeCloseTo(0.04 - 0.036, 9)
    expect(near.thickerSpacer).toBeUndefined()
    // Whoever matches them has the spacer all the way up.
    const matched = setOut({ setOut: { side: 'far' } }, { ...ends, A3: { stands: 'match' } }).of('A3')
    expect(matched.gapHigh).toBeCloseTo(0.012, 9)
    expect(matched.target).toBeCloseTo(0.036, 9)
  })
  it('turns a level’s reading into the gap that the upper string shows', () => {
    const line = setOut()
    const post = line.of('A3')
    // 10 mm in a metre away over the 1.5 m between the strings.
    expect(gapByLevel(post, {}, 0.01)).toBeCloseTo(0.012 + 0.015, 9)
    expect(gapByLevel(post, { setOut: { side: 'far' } }, 0.01)).toBeCloseTo(0.012 - 0.015, 9)
    expect(gapByLevel(setOut({}, { A3: { found: { gapLow: 0.02 } } }).of('A3'), {}, 0)).toBeCloseTo(0.02, 9)
  })
  it('weighs plumb against the nearest measured posts that stay', () => {
    // A2 leans 20 mm in a metre, A4 stands plumb: at A3 10 × 1.8 = 18 mm at the top.
    const { weighed, target } = setOut({}, { A2: leaning(0.024), A4: leaning(0) }).of('A3')
    expect(weighed).toMatchObject({ match: expect.closeTo(0.018, 9), advice: 'ask' })
    expect(target).toBe(0)
  })
  it('says which post of those that stay is itself out', () => {
    const read = (gapLow: number): Partial<Post> => ({ ...sound, found: { gapLow } })
    const posts = { A1: { carriesString: true }, A2: read(0.042), A4: read(0.012), A5: { carriesString: true } }
    const { straight } = setOut({}, posts)
    expect(straight!.posts).toEqual(['A1', 'A2', 'A4', 'A5'])
    expect(straight!.out).toBe('A2')
    expect(setOut({}, { A3: { found: { gapLow: 0.05 } } }).straight).toBeUndefined()
    expect(setOut({}, { A3: { found: { gapLow: 0.05 } } }).of('A3').found.gapLow).toMatchObject({ action: 'in' })
  })
  it('cuts a new post to the string, its top detail and its slope', () => {
    const repair = { repair: { method: 'new-post-concrete' } }
    const { cut, hole } = setOut({}, { A3: repair }).of('A3')
    expect(cut!.length).toBeGreaterThan(1.8 + hole!.depth - 0.2)
    expect(cut!.buy).toBeGreaterThanOrEqual(cut!.length)
    const capped = setOut({ setOut: { topDetail: 0.03, topAngle: Math.PI / 6 } }, { A3: repair }).of('A3').cut!
    expect(capped.length).toBeCloseTo(cut!.length - 0.03, 9)
    expect(capped.weathered).toBeCloseTo(capped.length + 0.1 / Math.sqrt(3), 9)
  })
})

describe('tops of a line', () => {
  const levels = [0, 0.06, 0.02, 0.1, 0.1]
  const posts = Object.fromEntries(levels.map((groundLevel, i) => [`A${i + 1}`, { groundLevel }]))
  it.each([
    ['level', [1.9, 1.84, 1.88, 1.8, 1.8]],
    ['straight', [1.8, 1.765, 1.83, 1.775, 1.8]],
  ] as const)('%s', (top, heights) => {
    const { posts: set } = setOut({ setOut: { top } }, posts)
    expect(set.map(({ upper }) => upper)).toEqual(heights.map((height) => expect.closeTo(height, 9)))
  })
  it('stepped: each post as tall as its higher side asks, panels level, no clearance under the gap', () => {
    const { posts: set, bays } = setOut({ setOut: { top: 'stepped' } }, posts)
    // Bottoms by hand: 0.11, then 0.11, 0.16 (two steps up), 0.16; tops 1.75 over them.
    expect(set.map(({ upper }, i) => upper + levels[i]!)).toEqual(
      [1.86, 1.86, 1.91, 1.91, 1.91].map((top) => expect.closeTo(top, 9)),
    )
    expect(bays.map(({ least }) => least)).toEqual([0.05, 0.05, 0.06, 0.06].map((each) => expect.closeTo(each, 9)))
    expect(bays.map(({ wide }) => wide)).toEqual([true, true, true, false])
  })
  it('follow: close to the ground, and no bend over what was asked', () => {
    const { posts: set } = setOut({ setOut: { top: 'follow', change: 0.01 } }, posts)
    const tops = set.map(({ upper }, i) => upper + levels[i]!)
    for (let i = 1; i < 4; i++)
      expect(Math.abs((tops[i + 1]! - 2 * tops[i]! + tops[i - 1]!) / 2.4)).toBeLessThanOrEqual(0.01 + 1e-6)
  })
  it('says where ground rises into the cladding', () => {
    const { bays } = setOut({}, { A3: { ...rotted, groundLevel: 0.06 } })
    expect(bays.map(({ tight }) => tight)).toEqual([false, true, true, false])
    expect(bays[1]!.least).toBeCloseTo(-0.01, 9)
  })
  it('holds a long string up at posts, a short one nowhere', () => {
    const short = jobOf(runOfPosts(4, 2.4, () => sound))
    expect(setOutLine(resolveJob(short, tables).lines[0]!, plan(short, tables).posts, tables).heldUpAt).toEqual([])
    // 9.6 m sags 2.3 mm.
    expect(setOut().heldUpAt).toEqual(['A3'])
    const long = runOfPosts(12, 2.4, () => sound)
    const job = jobOf(long)
    const { heldUpAt } = setOutLine(resolveJob(job, tables).lines[0]!, plan(job, tables).posts, tables)
    // 26.4 m sags 17 mm; two supports leave 1.9.
    expect(heldUpAt).toEqual(['A5', 'A8'])
  })
})
