import type { Visit } from '../../document/job'
import { visitSchema } from '../../document/recordSchema'
import { LONGEST } from '../../limits'
import { name } from '../../schema/fields'
import { withItem, withKey } from '../changes'
import { put, type CommandKind } from '../command'

/** A visit that is due or was made, or one that nobody makes after all. */
export interface PutVisit {
  name: 'putVisit'
  visit: string
  value: Visit | null
}

export const putVisit: CommandKind<PutVisit> = {
  name: 'putVisit',
  fields: { visit: name(LONGEST.identity), ...put(visitSchema, 'visit') },
  target: ({ visit }) => ['visit', visit],
  apply: (job, { visit, value }) => withKey(job, 'visits', withItem(job.visits, visit, value)),
  inverse: (job, command) => ({ ...command, value: job.visits?.find(({ id }) => id === command.visit) ?? null }),
  says: ({ value }) => (value ? (value.doneAt ? 'made' : `due ${value.due.slice(0, 10)}`) : 'taken out'),
}
