import type { Workspace } from '../workspace/workspace'

export interface PlacedJob {
  id: string
  name: string
  version: number
  place: string
}

/** Jobs that say for which station their weather is forecast, those written last first. */
export async function placedJobs(workspace: Workspace, limit: number): Promise<PlacedJob[]> {
  return workspace
    .database('job')
    .where({ workspace: workspace.id })
    .whereNotNull('place')
    .whereNull('deleted_at')
    .orderBy([
      { column: 'updated_at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(limit)
    .select('id', 'name', 'version', 'place')
}
