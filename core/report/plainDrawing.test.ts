import { describe, expect, it } from 'vitest'
import { linesDrawing } from './lineDrawing'
import { isPlainDrawing } from './plainDrawing'
import { demoJobs } from '~~/data/demo/jobs'
import { resolveJob } from '~~/core/resolve/resolve'
import { tables } from '~~/tests/support/builders'

const drawing = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inside}</svg>\n`

describe('a drawing from a device', () => {
  it('is taken as this program draws it, whatever posts are called', () => {
    for (const job of demoJobs()) {
      const { lines } = resolveJob(job, tables)
      const posts = lines.flatMap((line) => line.posts.map(({ id }) => id))
      expect(isPlainDrawing(linesDrawing(lines, new Set(posts))), job.name).toBe(true)
    }
    const job = demoJobs()[0]!
    const line = job.lines[0]
    const named = { ...line!, posts: line!.posts.map((post, i) => (i === 0 ? { ...post, id: '<A&"1>' } : post)) }
    const { lines } = resolveJob({ ...job, lines: [named] }, tables)
    expect(isPlainDrawing(linesDrawing(lines, new Set(['<A&"1>'])))).toBe(true)
  })
  it('names nothing that the server would read, and does nothing', () => {
    for (const inside of [
      '<image href="/etc/passwd.png"/>',
      '<image xlink:href="file:///x.png" x="0" y="0" width="9" height="9"/>',
      '<use href="#a"/>',
      '<style>@import url(/x)</style>',
      '<rect x="1" y="1" width="9" height="9" style="fill:url(/x)"/>',
      '<rect x="1" y="1" width="9" height="9" fill="url(/x)"/>',
      '<rect x="1" y="1" width="9" height="9" onload="x()"/>',
      '<script>x()</script>',
      '<foreignObject/>',
      '<g><rect x="1" y="1"/></g>',
      '<text x="1" y="1">a<image href="/x.png"/></text>',
      '<text x="1" y="1">&xxe;</text>',
      '<!-- --><image href="/x"/>',
      '<RECT x="1"/><IMAGE href="/x"/>',
      '<rect x="1e308" y="1"/>',
      '<rect x="99999999" y="1"/>',
    ])
      expect(isPlainDrawing(drawing(inside)), inside).toBe(false)
    expect(isPlainDrawing(`<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///x">]>${drawing('')}`)).toBe(false)
    expect(isPlainDrawing(drawing('</svg><svg>'))).toBe(false)
  })
  it('is looked at once, however it is written', () => {
    // Attributes that could be read in many ways would take minutes.
    const long = '<rect' + ' x="1"'.repeat(7_000) + '"'
    expect(isPlainDrawing(drawing(long))).toBe(false)
    expect(isPlainDrawing(drawing('<text x="1" y="1">a'.repeat(2_000)))).toBe(false)
  })
})
