import { checkJob } from './check'
import { readFileSync } from 'node:fs'
import { Ajv2020 } from 'ajv/dist/2020'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { jobOf, runOfPosts, tables } from '../../tests/support/builders'
import { jobJsonSchema } from './jsonSchema'

const validate = new Ajv2020({ strict: false }).compile(jobJsonSchema())
const withPost = (post: object) => jobOf(runOfPosts(2, 2.4, (i) => (i === 1 ? post : {})))

describe('the JSON Schema', () => {
  it('that ships is the one that the program makes', () => {
    expect(JSON.parse(readFileSync('docs/schema/vindex-job.schema.json', 'utf8'))).toEqual(jobJsonSchema())
  })

  it.each<[string, unknown]>([
    ...demoJobs().map((job): [string, unknown] => [job.name, job]),
    ['a tube', withPost({ section: { shape: 'tube', diameter: 0.06, wall: 0.003 } })],
    [
      'two leans',
      withPost({
        observations: {
          lean: [
            { offset: 0.1, over: 1 },
            { offset: 0, over: 1, direction: 90 },
          ],
        },
      }),
    ],
    ['nothing', {}],
    ['a tube without a wall', withPost({ section: { shape: 'tube', diameter: 0.06 } })],
    ['an unknown shape', withPost({ section: { shape: 'star' } })],
    ['a lean without a length', withPost({ observations: { lean: { offset: 0.1 } } })],
    ['three leans', withPost({ observations: { lean: [1, 2, 3].map(() => ({ offset: 0, over: 1 })) } })],
    ['a deep probe', withPost({ observations: { probeAtGround: 0.5 } })],
    ['an unknown duty', withPost({ duty: 'hero' })],
    ['a post without a station', { ...withPost({}), lines: [{ id: 'A', posts: [{ id: 'A1' }] }] }],
    ['no lines', { ...withPost({}), lines: [] }],
    ['another version', { ...withPost({}), version: 3 }],
    ['text for a flag', withPost({ saturated: 'yes' })],
  ])('and the program say the same of %s', (_name, document) => {
    expect(validate(document)).toBe(checkJob(document, tables).length === 0)
  })
})
