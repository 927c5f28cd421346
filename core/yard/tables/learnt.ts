import { OBSERVATION_KEYS } from '../../cause/observations'
import { CAUSES } from '../../cause/tables'
import { DIGGING_TOOLS } from '../../concrete/overdig'
import { LEARNT_KINDS } from '../../tables/learnt'
import { column, NAMED, type YardTable } from '../column'

/** Figures of one's own that were looked at and put in use. */
export const learnt: YardTable = {
  key: 'learnt',
  name: 'Learnt figures',
  says: 'What your own records say in place of the working values: in use from when somebody took it over. Take a row out, and the working value counts again.',
  columns: [
    ...NAMED,
    column('kind', 'of', 'choice', { values: LEARNT_KINDS, isNeeded: true }),
    column('tool', 'tool', 'choice', { values: DIGGING_TOOLS }),
    column('soil', 'soil', 'text'),
    column('task', 'step or thing', 'text'),
    column('median', 'in the middle', 'number', { range: [0.2, 5], isNeeded: true, isMain: true, unit: 'times' }),
    column('ninety', 'nine in ten', 'number', { range: [0.2, 5], isNeeded: true, unit: 'times' }),
    column('records', 'from', 'number', { range: [1, 1e6], isNeeded: true, isMain: true, unit: 'records' }),
  ],
}

/** What was read before digging, by the cause that was found. */
export const counted: YardTable = {
  key: 'counted',
  name: 'Counted causes',
  says: 'How often each sign was seen before digging where a cause was then found: weighed with the shipped figures, which count for twenty. Only posts that were dug are counted.',
  columns: [
    ...NAMED,
    column('cause', 'cause found', 'choice', { values: CAUSES, isNeeded: true }),
    column('observation', 'what was read', 'choice', { values: OBSERVATION_KEYS, isNeeded: true }),
    column('value', 'and was', 'text', { isNeeded: true }),
    column('count', 'times', 'number', { range: [0, 1e6], isNeeded: true, isMain: true }),
    column('posts', 'of posts', 'number', { range: [0, 1e6], isNeeded: true, isMain: true }),
  ],
}
