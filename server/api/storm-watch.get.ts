import { getQuery } from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'
import { object, string } from 'yup'
import { readBy } from '../../core/schema/violations'
import { answering } from '../http/answering'
import { readStormWatch } from '../storm/service'
import { workspaceOf } from '../workspace/workspaceOf'

const asked = object({ mood: string() })

/** Posts of every job that may go over within four days; `?mood=` where the demo jobs are, for trying. */
export default answering(async (event) => {
  const { mood } = readBy<{ mood?: string }>(asked, getQuery(event), 'query')
  return readStormWatch(workspaceOf(event), new Date(), mood, Boolean(useRuntimeConfig().seedDemo))
})
