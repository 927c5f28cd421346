import type { Site } from '../../document/job'
import { siteSchema } from '../../document/siteSchema'
import { withKey } from '../changes'
import { keyWords, oneKeyOf, type CommandKind } from '../command'

/** A fact of the place. */
export interface SetSite {
  name: 'setSite'
  key: keyof Site
  value: unknown
}

export const setSite: CommandKind<SetSite> = {
  name: 'setSite',
  fields: oneKeyOf(siteSchema),
  target: ({ key }) => ['site', key],
  apply: (job, { key, value }) => ({ ...job, site: withKey(job.site ?? {}, key, value) }),
  inverse: (job, command) => ({ ...command, value: job.site?.[command.key] ?? null }),
  says: (command, words) => keyWords(siteSchema, command, words),
}
