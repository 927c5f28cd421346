import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../data/demo/jobs'
import { pdfText } from '../tests/support/pdfText'

const folder = mkdtempSync(join(tmpdir(), 'vindex-'))
const jobFile = join(folder, 'job.json')
writeFileSync(jobFile, JSON.stringify(demoJobs().at(-1)))

function vindex(words: string[], input = '') {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['cli/start.mjs', ...words], {
    input,
    encoding: 'utf8',
    maxBuffer: 16e6,
  })
  return { status, stdout, stderr }
}

describe('the vindex command', () => {
  it('calculates from a word or from standard input', () => {
    const input = '{"depth":0.76,"height":0.94,"width":0.25,"lateral":23563}'
    const said = vindex(['calc', 'code-force', input])
    expect(said.status).toBe(0)
    expect(JSON.parse(said.stdout).force).toBeCloseTo(412.8, 1)
    expect(vindex(['calc', 'code-force', '-'], input).stdout).toBe(said.stdout)
  })

  it('plans and checks a job file', () => {
    const plan = JSON.parse(vindex(['plan', jobFile]).stdout)
    expect(plan).toMatchObject({ format: 'vindex-plan', version: 1 })
    expect(plan.posts).toHaveLength(20)
    const inFeet = JSON.parse(vindex(['plan', jobFile, '--units', 'feet-inches']).stdout)
    expect(JSON.stringify(inFeet.posts[3].depthRules)).toContain('Always 2 ft')
    expect(vindex(['check', jobFile])).toMatchObject({
      status: 0,
      stdout: 'Bank side after the March storm: a valid job file\n',
    })
  })

  it('converts a job to a table of posts and to lines on the earth', () => {
    const csv = vindex(['convert', jobFile, '--to', 'csv']).stdout.split('\n')
    expect(csv[0]).toMatch(/^line,id,station \(m\),/)
    expect(csv).toHaveLength(22)
    const placed = join(folder, 'placed.json')
    writeFileSync(placed, JSON.stringify(demoJobs().find(({ lines }) => lines[0]!.course)))
    const out = join(folder, 'line.geojson')
    expect(vindex(['convert', placed, '--to', 'geojson', '--out', out])).toMatchObject({ status: 0, stdout: '' })
    expect(JSON.parse(readFileSync(out, 'utf8')).features).toHaveLength(13)
    expect(vindex(['convert', jobFile, '--to', 'geojson'])).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/^vindex: course is missing/),
    })
    expect(vindex(['convert', jobFile, '--to', 'stone'])).toMatchObject({
      status: 2,
      stderr: 'vindex: --to is "stone"; it must be one of csv, geojson, ics, svg, pdf\n',
    })
  })

  it('lists every calculation', () => {
    expect(vindex(['calc']).stdout).toContain('post-in-ground: what the ground holds of a rigid post')
  })

  it.each([
    [
      ['calc', 'code-force', '{"depth":-1,"height":1,"width":0.3,"lateral":20000}'],
      'vindex: depth is -1; it must be a number from 0.05 to 20 m\n',
    ],
    [['calc', 'code-force', '{'], /^vindex: input is "\{"; it must be JSON \(.*\)\n$/],
    [['plan', '/nowhere.json'], 'vindex: file is "/nowhere.json"; it must be a file that can be read\n'],
    [['plan', jobFile, '--units', 'ells'], 'vindex: --units is "ells"; it must be one of metric, feet-inches\n'],
    [['dig'], /^vindex: command is "dig"; it must be vindex plan/],
  ])('answers bad input by one line and exit code 2: %j', (words, line) => {
    const said = vindex(words)
    expect(said.status).toBe(2)
    expect(said.stdout).toBe('')
    expect(said.stderr.trimEnd().split('\n')).toHaveLength(1)
    expect(said.stderr).toEqual(typeof line === 'string' ? line : expect.stringMatching(line))
  })
})

describe('a job in every form', () => {
  const orchard = join(folder, 'orchard.json')
  writeFileSync(orchard, JSON.stringify(demoJobs().find(({ name }) => name.startsWith('Orchard'))))
  it.each([
    [['--to', 'csv', '--table', 'readings'], /O3,2026-03-10T09:05:00Z,Wren,eye,pushPivot,at-ground-line/],
    [['--to', 'csv', '--table', 'hours'], /O3,2026-03-10T12:00:00Z,Wren,dig,35/],
    [['--to', 'csv', '--table', 'bill'], /mix\/post-mix-20,.*,bag,\d+\.\d\d/],
    [['--to', 'ics'], /SUMMARY:Orchard side.*look again/],
    [['--to', 'svg'], /^<svg .*O3/s],
  ] as const)('%s', (words, said) => {
    const { status, stdout, stderr } = vindex(['convert', orchard, ...words])
    expect([status, stderr]).toEqual([0, ''])
    expect(stdout).toMatch(said)
  })
  it('is a PDF of the customer’s page in a file, and says what it cannot print', () => {
    const out = join(folder, 'orchard.pdf')
    expect(vindex(['convert', orchard, '--to', 'pdf', '--paper', 'letter', '--out', out]).status).toBe(0)
    const bytes = readFileSync(out)
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    expect(pdfText(bytes)).toContain('Post O3: new post, concrete')
    for (const [wrong, says] of [
      [['--to', 'pdf', '--post', 'O9'], '--post is "O9"'],
      [['--to', 'pdf', '--paper', 'A3'], '--paper is "A3"'],
      [['--to', 'csv', '--table', 'wages'], '--table is "wages"'],
      [['--to', 'docx'], '--to is "docx"'],
    ] as const) {
      const { status, stderr } = vindex(['convert', orchard, ...wrong])
      expect(status).toBe(2)
      expect(stderr).toContain(says)
    }
  })
})
