import { describe, expect, it } from 'vitest'
import { jobOf, runOfPosts } from '../../tests/support/builders'
import { tablesIn } from '../../data/tables'
import type { Post } from '../document/job'
import { methodDetail } from '../plan/detail'
import { plan } from '../plan/plan'
import { measuresIn } from '../units/quantity'
import { holeSheetSvg } from './holeSheet'
import { escaped, wrapped } from './svg'

function sheet(units: 'metric' | 'feet-inches' = 'metric', post: Partial<Post> = {}) {
  const tables = tablesIn[units]
  const job = jobOf(
    runOfPosts(3, 2.4, () => ({
      soil: 'firm-clay',
      observations: { pushPivot: 'at-ground-line', probeAtGround: 0.03 },
      ...post,
    })),
  )
  const { target, methods } = plan(job, tables).posts[1]!
  const method = methods.find((each) => each.method === 'new-post-concrete')!
  const { stands } = methodDetail(job, tables, 'A2', method.method)!
  const svg = holeSheetSvg({
    job: 'Beds & borders',
    line: 'Bank side',
    post: 'A2',
    method,
    target,
    stands,
    tables,
    says: measuresIn(units),
  })
  return { svg, method }
}

describe('the sheet of one hole', () => {
  it('has every figure of the plan, in the units of the reader', () => {
    const { svg, method } = sheet()
    const says = measuresIn('metric')
    expect(svg).toContain(`${says.length(method.hole!.depth)} deep`)
    expect(svg).toContain(`${method.concrete!.bags.count} bags`)
    expect(svg).toContain(says.volume(method.concrete!.bags.water))
    expect(svg).toContain('without going over')
    expect(svg).toContain('local codes and licensed practice decide')
    expect(sheet('feet-inches').svg).toMatch(/&quot; deep/)
  })
  it('is well-formed, and draws the hole in one scale both ways', () => {
    const { svg, method } = sheet()
    expect(svg.match(/<svg/g)).toHaveLength(1)
    expect(svg).toContain('Beds &amp; borders')
    const fills = [...svg.matchAll(/points="([^"]+)" fill="#c9c9c4"/g)].map(([, points]) =>
      points!.split(' ').map((point) => point.split(',').map(Number)),
    )
    const xs = fills[0]!.map(([x]) => x!)
    const ys = fills[0]!.map(([, y]) => y!)
    const { diameter, footingBottom, fillTop } = method.hole!
    const scale = (Math.max(...xs) - Math.min(...xs)) / diameter
    expect((Math.max(...ys) - Math.min(...ys)) / (footingBottom - fillTop)).toBeCloseTo(scale, 0)
  })
  it('breaks words where they fit', () => {
    expect(wrapped('one two three', 60, 12)).toEqual(['one two', 'three'])
    expect(escaped('a < b & "c"')).toBe('a &lt; b &amp; &quot;c&quot;')
  })
})
