import { spawnSync } from 'node:child_process'
import { closeSync, mkdtempSync, openSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { fence } from '../data/demo/days'
import { demoJobs } from '../data/demo/jobs'
import { pdfText } from '../tests/support/pdfText'
import { main } from './vindex'

const folder = mkdtempSync(join(tmpdir(), 'vindex-'))
const jobFile = join(folder, 'job.json')
writeFileSync(jobFile, JSON.stringify(demoJobs().at(-1)))

/** The command in this process: what a process of its own adds is tried once, below. */
async function vindex(words: readonly string[], input = '') {
  const said: [(string | Uint8Array)[], string[]] = [[], []]
  const typed = join(folder, 'typed')
  writeFileSync(typed, input)
  const fd = openSync(typed, 'r')
  try {
    const status = await main(words, {
      stdin: { fd },
      stdout: { write: (text) => said[0].push(text) },
      stderr: { write: (text) => said[1].push(text) },
    })
    return { status, stdout: said[0].join(''), stderr: said[1].join('') }
  } finally {
    closeSync(fd)
  }
}

describe('the vindex command', () => {
  it('is a process with an exit code, that reads standard input', () => {
    const run = (words: string[], input = '') =>
      spawnSync(process.execPath, ['cli/start.mjs', ...words], { input, encoding: 'utf8' })
    const input = '{"depth":0.76,"height":0.94,"width":0.25,"lateral":23563}'
    expect(JSON.parse(run(['calc', 'code-force', '-'], input).stdout).force).toBeCloseTo(412.8, 1)
    expect(run(['dig'])).toMatchObject({ status: 2, stdout: '', stderr: expect.stringContaining('command is "dig"') })
  })

  it('calculates from a word or from standard input', async () => {
    const input = '{"depth":0.76,"height":0.94,"width":0.25,"lateral":23563}'
    const said = await vindex(['calc', 'code-force', input])
    expect(said.status).toBe(0)
    expect(JSON.parse(said.stdout).force).toBeCloseTo(412.8, 1)
    expect((await vindex(['calc', 'code-force', '-'], input)).stdout).toBe(said.stdout)
  })

  it('plans and checks a job file', async () => {
    const plan = JSON.parse((await vindex(['plan', jobFile])).stdout)
    expect(plan).toMatchObject({ format: 'vindex-plan', version: 1 })
    expect(plan.posts).toHaveLength(20)
    const inFeet = JSON.parse((await vindex(['plan', jobFile, '--units', 'feet-inches'])).stdout)
    expect(JSON.stringify(inFeet.posts[3].depthRules)).toContain('Always 2 ft')
    expect(await vindex(['check', jobFile])).toMatchObject({
      status: 0,
      stdout: 'Bank side after the March storm: a valid job file\n',
    })
  })

  it('converts a job to a table of posts and to lines on the earth', async () => {
    const csv = (await vindex(['convert', jobFile, '--to', 'csv'])).stdout.split('\n')
    expect(csv[0]).toMatch(/^line,id,station \(m\),/)
    expect(csv).toHaveLength(22)
    const placed = join(folder, 'placed.json')
    writeFileSync(placed, JSON.stringify(demoJobs().find(({ lines }) => lines[0]!.course)))
    const out = join(folder, 'line.geojson')
    expect(await vindex(['convert', placed, '--to', 'geojson', '--out', out])).toMatchObject({ status: 0, stdout: '' })
    expect(JSON.parse(readFileSync(out, 'utf8')).features).toHaveLength(13)
    expect(await vindex(['convert', jobFile, '--to', 'geojson'])).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/^vindex: course is missing/),
    })
    expect(await vindex(['convert', jobFile, '--to', 'stone'])).toMatchObject({
      status: 2,
      stderr: 'vindex: --to is "stone"; it must be one of csv, geojson, ics, svg, pdf\n',
    })
  })

  it('lists every calculation', async () => {
    expect((await vindex(['calc'])).stdout).toContain('post-in-ground: what the ground holds of a rigid post')
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
  ])('answers bad input by one line and exit code 2: %j', async (words, line) => {
    const said = await vindex(words)
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
  ] as const)('%s', async (words, said) => {
    const { status, stdout, stderr } = await vindex(['convert', orchard, ...words])
    expect([status, stderr]).toEqual([0, ''])
    expect(stdout).toMatch(said)
  })
  it('has a line in the bill for what nobody has a price of', async () => {
    const odd = join(folder, 'odd.json')
    const job = fence({ posts: 2 })
    for (const post of job.lines[0]!.posts) post.section = { shape: 'rectangle', along: 0.137, across: 0.137 }
    writeFileSync(odd, JSON.stringify(job))
    const { status, stdout } = await vindex(['convert', odd, '--to', 'csv', '--table', 'bill'])
    expect(status).toBe(0)
    expect(stdout).toMatch(/^post\/as-it-was,no price in the catalogue,2,,$/m)
  })
  it('is a PDF of the customer’s page in a file, and says what it cannot print', async () => {
    const out = join(folder, 'orchard.pdf')
    expect((await vindex(['convert', orchard, '--to', 'pdf', '--paper', 'letter', '--out', out])).status).toBe(0)
    const bytes = readFileSync(out)
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    expect(pdfText(bytes)).toContain('Post O3: new post, concrete')
    for (const [wrong, says] of [
      [['--to', 'pdf', '--post', 'O9'], '--post is "O9"'],
      [['--to', 'pdf', '--paper', 'A3'], '--paper is "A3"'],
      [['--to', 'csv', '--table', 'wages'], '--table is "wages"'],
      [['--to', 'docx'], '--to is "docx"'],
    ] as const) {
      const { status, stderr } = await vindex(['convert', orchard, ...wrong])
      expect(status).toBe(2)
      expect(stderr).toContain(says)
    }
  })
})
