import type { Workspace } from '../workspace/workspace'

/** @returns true for the one caller that sets the mark first */
export async function markOnce(workspace: Workspace, name: string): Promise<boolean> {
  const [result] = await workspace.database.raw('insert ignore into setting (name, value) values (?, ?)', [
    name,
    'true',
  ])
  return result.affectedRows === 1
}
