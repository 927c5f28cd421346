import { computed } from 'vue'
import type { JobSession } from '~/job/session'
import type { JobView } from '~/job/jobView'
import type { InputError } from '~~/core/errors'
import type { Hole } from '~~/core/document/job'
import type { Command } from '~~/core/edit/commands'
import { holeEdit, postEdit } from '~~/core/edit/keyed'
import type { HoleChange } from '~~/core/hole/bench'
import { chosenHole } from '~~/core/repair/hole'

/** The hole of the method in hand: each method keeps its own, so that comparing stays true. */
export function useHole(session: Pick<JobSession, 'edit'>, view: JobView) {
  const key = computed(() => view.methodInHand.value?.method ?? '')
  const changed = computed(() => {
    const post = view.post.value
    return post !== undefined && Object.keys(chosenHole(post, key.value)).length > 0
  })

  /** The first change of a hole takes the method with it. */
  function commands(change: HoleChange, method = key.value): Command[] {
    const first: Command[] =
      view.taken.value === method ? [] : [{ name: 'chooseRepair', ...view.address.value, value: method }]
    const measures = Object.entries(change) as [keyof Hole, Hole[keyof Hole] | null][]
    return [
      ...first,
      ...ownHole(method),
      ...measures.map(([measure, value]) => holeEdit(view.address.value, method, measure, value ?? null)),
    ]
  }
  function put(change: HoleChange, method?: string): Promise<InputError | undefined> {
    return session.edit(commands(change, method))
  }
  const set = (measure: keyof Hole, value: Hole[keyof Hole] | null) => put({ [measure]: value })

  /** What an older file says of the hole in hand becomes the hole of its method before anything of it is changed. */
  function ownHole(method: string): Command[] {
    const { hole, holes } = view.post.value?.repair ?? {}
    if (!hole || holes?.[method]) return []
    return (Object.keys(hole) as (keyof Hole)[]).map((measure) =>
      holeEdit(view.address.value, method, measure, hole[measure] ?? null),
    )
  }

  function reset(): Promise<InputError | undefined> {
    const { repair } = view.post.value!
    const { hole: _hole, holes = {}, ...rest } = repair ?? {}
    const { [key.value]: _mine, ...others } = holes
    return session.edit([postEdit(view.address.value, 'repair', { ...rest, holes: others })])
  }
  return { changed, commands, put, set, reset }
}
