import { mkdirSync, writeFileSync } from 'node:fs'
import { jobJsonSchema } from '../core/job/jsonSchema'

// npm run schema: the JSON Schema that ships in docs/schema.
mkdirSync('docs/schema', { recursive: true })
writeFileSync('docs/schema/vindex-job.schema.json', `${JSON.stringify(jobJsonSchema(), null, 2)}\n`)
