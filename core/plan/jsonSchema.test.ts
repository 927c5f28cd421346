import { checkJob } from '../document/check'
import { readFileSync } from 'node:fs'
import { Ajv2020 } from 'ajv/dist/2020'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../data/demo/jobs'
import { anyJob } from '../../tests/properties/anyJob'
import { tables } from '../../tests/support/builders'
import { plan } from './plan'
import { planJsonSchema } from './jsonSchema'
import type { Job } from '../document/job'

const validate = new Ajv2020({ strict: false }).compile(planJsonSchema)
const written = (job: Job) => JSON.parse(JSON.stringify(plan(job, tables)))
const errors = (document: unknown) =>
  validate(document) ? [] : validate.errors!.map(({ instancePath }) => instancePath)

describe('the JSON Schema of the plan', () => {
  it('that ships is the one that the program has', () => {
    expect(JSON.parse(readFileSync('docs/schema/vindex-plan.schema.json', 'utf8'))).toEqual(planJsonSchema)
  })

  it.each(demoJobs().map((job) => [job.name, job] as const))('holds for %s', (_name, job) => {
    expect(errors(written(job))).toEqual([])
  })

  it('holds for any valid job', () => {
    fc.assert(
      fc.property(anyJob(tables), (job) => {
        if (checkJob(job, tables).length === 0) expect(errors(written(job))).toEqual([])
      }),
      { numRuns: 150 },
    )
  })

  it.each<[string, (made: ReturnType<typeof written>) => unknown, string]>([
    ['another format', (made) => (made.format = 'plan'), '/format'],
    [
      'a probability over one',
      (made) => (made.posts[0].diagnosis.causes[0].probability = 1.2),
      '/posts/0/diagnosis/causes/0/probability',
    ],
    ['a link without a name', (made) => delete made.posts[0].methods[0].links[0].name, '/posts/0/methods/0/links/0'],
    ['a gust in words', (made) => (made.posts[0].wind.gust = 'strong'), '/posts/0/wind/gust'],
    ['an unknown cause', (made) => (made.posts[0].diagnosis.leading = ['bad luck']), '/posts/0/diagnosis/leading/0'],
  ])('refuses %s', (_name, spoil, place) => {
    const made = written(demoJobs().at(-1)!)
    spoil(made)
    expect(errors(made)).toEqual([place])
  })
})
