import { writeFileSync } from 'node:fs'
import { jobJsonSchema } from '../core/document/jsonSchema'
import { planJsonSchema } from '../core/plan/jsonSchema'

// npm run schema: the JSON Schemas that ship, made from what the program itself goes by.
const write = (name: string, schema: unknown) =>
  writeFileSync(`docs/schema/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`)
write('vindex-job', jobJsonSchema())
write('vindex-plan', planJsonSchema)
