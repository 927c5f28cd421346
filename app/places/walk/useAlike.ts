import { computed, ref, shallowRef, watch } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useReadingNote } from '~/job/useReadings'
import { usePreferencesStore } from '~/session/preferences'
import { alikeSets } from '~~/core/choose/alikeSets'
import { postsNamed } from '~~/core/document/postRange'
import { commandWords } from '~~/core/edit/apply'
import { share, sharedThings } from '~~/core/edit/share'
import type { InputError } from '~~/core/errors'
import { changeWords, givenWords, thingName } from './alikeWords'

/** Giving what the chosen post has to many others: which posts, what of it, and what that comes to. */
export function useAlike() {
  const session = useJobSession()
  const view = useJobView()
  const preferences = usePreferencesStore()
  const note = useReadingNote()

  const from = computed(() => view.address.value)
  const given = computed(() =>
    session.job!.lines.find(({ id }) => id === from.value.line)?.posts.find(({ id }) => id === from.value.post),
  )

  /** All posts of the job in order; the one that gives is not asked. */
  const others = computed(() => view.posts.value.filter(({ post }) => post.id !== from.value.post))
  const chosen = shallowRef<ReadonlySet<string>>(new Set())
  const typed = ref('')
  const wrong = ref('')
  const keys = ref<string[]>([])
  const isOver = ref(false)
  const said = ref('')
  watch(
    () => from.value.post,
    () => {
      keys.value = []
      said.value = ''
    },
  )

  const things = computed(() =>
    sharedThings(given.value ?? { id: '', station: 0 }).map((thing) => ({
      key: thing.key,
      words: `${thingName(thing.key)}: ${thing
        .commandsFor(from.value, note)
        .map((command) => commandWords(command, { length: preferences.show }))
        .join(', ')}`,
    })),
  )

  function toggle(id: string): void {
    const next = new Set(chosen.value)
    if (!next.delete(id)) next.add(id)
    chosen.value = next
  }
  const choose = (posts: ReadonlySet<string>) => void (chosen.value = posts)
  function chooseNamed(): void {
    wrong.value = ''
    try {
      chosen.value = new Set(
        postsNamed(
          typed.value,
          view.posts.value.map(({ post }) => post.id),
        ),
      )
    } catch (error) {
      wrong.value = (error as InputError).message
    }
  }

  const sets = computed(() => alikeSets(view.plan.value!.posts, from.value))

  const sharing = computed(() => {
    const to = others.value
      .filter(({ post }) => chosen.value.has(post.id))
      .map(({ line, post }) => ({ line: line.id, post: post.id }))
    return share(session.job!, from.value, keys.value, to, isOver.value, note)
  })
  /** What will change, post by post, before it does. */
  const changes = computed(() =>
    sharing.value.posts.map(({ post, ...change }) => ({ post, words: changeWords(change) })),
  )
  const count = computed(() => sharing.value.posts.filter(({ gets }) => gets.length > 0).length)

  async function give(): Promise<void> {
    const words = givenWords(count.value)
    const refused = await session.edit(sharing.value.commands)
    said.value = refused ? refused.message : words
  }
  return {
    from,
    things,
    others,
    chosen,
    keys,
    isOver,
    typed,
    wrong,
    said,
    sets,
    changes,
    count,
    toggle,
    choose,
    chooseNamed,
    give,
  }
}
