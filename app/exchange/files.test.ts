import { describe, expect, it } from 'vitest'
import { csvOf, readPostsFile } from './files'

const file = (name: string, text: string) => new File([text], name)
const tableOf = async (name: string, text: string) => {
  const picked = await readPostsFile(file(name, text))
  if (picked.kind !== 'table') throw new Error('no table')
  return picked.table
}

describe('a picked file', () => {
  it.each([
    ['commas', 'post,tape\nA1,0\nA2,2.4\n'],
    ['semicolons', 'post;tape\nA1;0\nA2;2.4'],
    ['tabs', 'post\ttape\r\nA1\t0\r\nA2\t2.4\r\n'],
    ['a mark of byte order and empty lines', '\uFEFFpost,tape\n\nA1,0\n,\nA2,2.4\n'],
  ])('with %s is a table', async (_name, text) => {
    expect(await tableOf('walk.csv', text)).toEqual({
      name: 'walk.csv',
      headings: ['post', 'tape'],
      rows: [
        ['A1', '0'],
        ['A2', '2.4'],
      ],
    })
  })

  it('keeps what is quoted', async () => {
    const { rows } = await tableOf('walk.csv', 'post,tape\n"A1, the ""old"" one","5\' 7 3/8"""\n')
    expect(rows).toEqual([['A1, the "old" one', `5' 7 3/8"`]])
  })

  it('with a LineString is a line, whatever it is called', async () => {
    const text = JSON.stringify({
      type: 'LineString',
      coordinates: [
        [2, 54],
        [2.001, 54],
      ],
    })
    for (const name of ['line.geojson', 'line.json', 'line.txt']) {
      const picked = await readPostsFile(file(name, text))
      expect(picked.kind).toBe('line')
      if (picked.kind === 'line') expect(picked.linesOf('K')[0]!.posts.map(({ id }) => id)).toEqual(['K1', 'K2'])
    }
  })

  it.each([
    ['empty.csv', '', 'empty.csv has no posts'],
    ['headings.csv', 'post,tape\n', 'headings.csv has no posts'],
    ['broken.geojson', '{"type":', 'broken.geojson is no JSON'],
    ['point.geojson', '{"type":"Point"}', 'point.geojson: type is "Point"'],
    ['twice.geojson', '{"type":"LineString","coordinates":[[2,54],[2,54]]}', 'twice.geojson: coordinates[1]'],
    ['large.csv', 'x'.repeat(5_000_001), 'large.csv has 5 MB; a table of posts has 5 MB at most.'],
  ])('%s is refused with its name', async (name, text, message) => {
    await expect(readPostsFile(file(name, text))).rejects.toThrow(message)
  })

  it('goes out so that it comes in again', async () => {
    const rows = [
      ['post', 'note'],
      ['A1', 'leans, "badly"'],
      ['A2', 'two\nlines'],
    ]
    const { headings, rows: back } = await tableOf('back.csv', csvOf(rows))
    expect([headings, ...back]).toEqual(rows)
  })
})
