import type { Task } from '../day/question'
import { reachOf, USUAL_TOOL } from '../concrete/overdig'
import type { Job } from '../document/job'
import type { Measures } from '../units/quantity'
import type { Metres, Minutes } from '../units/types'
import type { PostBill } from './jobBills'
import { readPostKey } from '../document/postKey'

/** A tool that the yard owns. */
export interface OwnedTool {
  key: string
  name: string
  /** The work that it does: digging by a kind of tool, breaking, mixing, sawing. */
  does: string
  count: number
  reach?: Metres
  /** Of one battery, and how many there are. */
  battery?: Minutes
  batteries?: number
  kept?: string
}

/** Something about the tools that is better known before anybody drives off. */
export interface ToolNote {
  tool: string
  says: string
}

/**
 * Holes that no tool reaches the bottom of, batteries that do not last, tools that nobody owns.
 *
 * @param bills of what is done, with its holes
 * @param tasks of the same posts
 */
export function toolNotes(
  bills: readonly PostBill[],
  tasks: readonly Task[],
  { job, owned, says }: { job: Job; owned: readonly OwnedTool[]; says: Measures },
): ToolNote[] {
  return [...reachNotes(bills, job, owned, says), ...batteryNotes(tasks, owned)]
}

function reachNotes(bills: readonly PostBill[], job: Job, owned: readonly OwnedTool[], says: Measures): ToolNote[] {
  return bills.flatMap(({ address, method: { hole } }): ToolNote[] => {
    if (!hole) return []
    const { line, post: id } = readPostKey(address)
    const post = job.lines.find((each) => each.id === line)?.posts.find((each) => each.id === id)
    const kind = post?.repair?.tool ?? USUAL_TOOL
    const mine = owned.filter(({ does }) => does === kind)
    const reach = Math.max(reachOf(kind), ...mine.flatMap((each) => each.reach ?? []))
    const furthest = mine.length > 0 ? Math.max(...mine.map((each) => each.reach ?? reachOf(kind))) : reach
    if (hole.depth <= furthest + 1e-9) return []
    const longer = owned.find((each) => (each.reach ?? 0) >= hole.depth)
    return [
      {
        tool: kind,
        says: `${id}: ${says.length(hole.depth)} deep, and the ${kind.replaceAll('-', ' ')} reaches ${says.length(furthest)}. ${longer ? `The ${longer.name} reaches it.` : 'Take a bar and a scoop, or hire a longer one.'}`,
      },
    ]
  })
}

/** What a task is at with a tool that runs on a battery. */
const RUNS = ['breaker', 'auger', 'mixer'] as const

function batteryNotes(tasks: readonly Task[], owned: readonly OwnedTool[]): ToolNote[] {
  return RUNS.flatMap((tool): ToolNote[] => {
    const minutes = tasks.reduce((sum, task) => sum + (task.tools[tool] ? task.minutes : 0), 0)
    const mine = owned.filter(({ does, battery }) => does === tool && battery !== undefined)
    if (minutes === 0 || mine.length === 0) return []
    const last = mine.reduce((sum, { battery = 0, batteries = 1 }) => sum + battery * batteries, 0)
    if (minutes <= last) return []
    return [
      {
        tool,
        says: `${mine[0]!.name}: about ${Math.round(minutes)} minutes of it, and its batteries last ${last}. Charge between, or hire one with a cable.`,
      },
    ]
  })
}
