import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import type { LineSetOut, Post } from '~~/core/document/job'
import type { InputError } from '~~/core/errors'
import { setOutLine, type SetOutPost } from '~~/core/plan/setOut/line'
import { lineEdit, postEdit, type PostValue } from '~~/core/edit/keyed'

/** The line of the chosen post as it is set out, and what is said about it. */
export function useSetOut() {
  const session = useJobSession()
  const view = useJobView()
  const line = computed(() => {
    const of = view.line.value
    if (!of) return undefined
    const plans = view.plan.value?.posts.filter((each) => each.line === of.id) ?? []
    return plans.length === of.posts.length ? setOutLine(of, plans, view.tables.value) : undefined
  })
  const post = computed<SetOutPost | undefined>(() =>
    line.value?.posts.find(({ post: id }) => id === view.postId.value),
  )
  const asked = computed<LineSetOut>(() => view.line.value?.setOut ?? {})

  /** A fact of the chosen post that is an object of measures, one of them changed. */
  function setIn<K extends 'found' | 'gate' | 'plate' | 'roadside' | 'paving' | 'mesh' | 'propped' | 'jack'>(
    key: K,
    change: { [M in keyof NonNullable<Post[K]>]?: NonNullable<Post[K]>[M] | null },
  ): Promise<InputError | undefined> {
    const value = withChange(keptPost()?.[key] ?? {}, change)
    return session.edit([postEdit(view.address.value, key, value as PostValue<K>)])
  }
  const set = <K extends 'stands' | 'carriesString'>(key: K, value: PostValue<K>): Promise<InputError | undefined> =>
    session.edit([postEdit(view.address.value, key, value)])
  const ask = (change: { [K in keyof LineSetOut]?: LineSetOut[K] | null }): Promise<InputError | undefined> =>
    session.edit([lineEdit(view.address.value, 'setOut', withChange(asked.value, change))])

  /** As it is kept: what was only assumed is not written down by the way. */
  const keptPost = () =>
    session.job?.lines
      .find(({ id }) => id === view.address.value.line)
      ?.posts.find(({ id }) => id === view.postId.value)
  return { line, post, asked, ask, set, setIn }
}

/** Null takes a measure out; an object without any is none. */
function withChange(before: object, change: object): object | null {
  const after = Object.entries({ ...before, ...change }).filter(([, value]) => value !== null && value !== undefined)
  return after.length > 0 ? Object.fromEntries(after) : null
}
