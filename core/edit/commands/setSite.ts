import type { Site } from '../../document/job'
import { siteSchema } from '../../document/siteSchema'
import { withKey } from '../changes'
import { keyWords, oneKeyOf, type CommandKind, type KeyValue } from '../command'

/** A fact of the place. */
export type SetSite = { name: 'setSite' } & KeyValue<Site>

export const setSite: CommandKind<SetSite> = {
  name: 'setSite',
  fields: oneKeyOf(siteSchema),
  target: ({ key }) => ['site', key],
  apply: (job, { key, value }) => ({ ...job, site: withKey(job.site ?? {}, key, value) }),
  inverse: (job, command) => ({ ...command, value: job.site?.[command.key] ?? null }) as SetSite,
  says: (command, words) => keyWords(siteSchema, command, words),
}
