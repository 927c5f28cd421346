<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import { usePreferencesStore } from '~/session/preferences'
import type { InputError } from '~~/core/errors'
import { sharedOut } from '~~/core/plan/setOut/bays'

/** What moving one post does to the bays: shared out anew between the two posts that stay. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { line } = useSetOut()
const found = computed(() => {
  const set = new Set(line.value?.posts.filter(({ isSet }) => isSet).map(({ post }) => post))
  try {
    return { shared: sharedOut(view.line.value!, (id) => set.has(id), view.postId.value!) }
  } catch (error) {
    return { wrong: (error as InputError).message }
  }
})
const moving = computed(() => found.value.shared?.moves.filter(({ from, to }) => Math.abs(to - from) > 5e-4) ?? [])
const bays = ([least, most]: readonly [number, number]) =>
  most - least < 5e-4 ? `all ${preferences.show(most)}` : `${preferences.show(least)} to ${preferences.show(most)}`
/** As a tape is read. */
const marked = (station: number) => Math.round(station * 1e3) / 1e3
const take = () =>
  session.edit(
    moving.value.map(
      ({ post, to }) =>
        ({ name: 'setPost', line: view.address.value.line, post, key: 'station', value: marked(to) }) as const,
    ),
  )
</script>

<template>
  <div>
    <p v-if="found.wrong" class="caution">{{ found.wrong }}</p>
    <p v-else-if="!found.shared">{{ view.postId.value }} stays where it is, and so do the bays on both sides.</p>
    <template v-else>
      <p>
        Between {{ found.shared.from }} and {{ found.shared.to }}: bays {{ bays(found.shared.before) }} now,
        {{ bays(found.shared.after) }} shared out, clear of what is marked.
      </p>
      <ul v-if="moving.length > 0">
        <li v-for="each in moving" :key="each.post">
          <strong>{{ each.post }}</strong> {{ preferences.show(each.from) }} → {{ preferences.show(each.to) }}:
          {{ preferences.showSmall(Math.abs(each.to - each.from)) }} to the {{ each.to < each.from ? 'left' : 'right' }}
        </li>
      </ul>
      <v-btn v-if="moving.length > 0" @click="take">Move them</v-btn>
      <p v-else>They are shared out already.</p>
    </template>
  </div>
</template>
