<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Command } from '~~/core/edit/commands'
import { useJobSession, useJobView } from '~/job/openJob'
import { upgradeSentence } from '~/job/stateWords'
import { usePreferencesStore } from '~/session/preferences'

/** Nothing has failed, and it shall carry a leaf, or hold more than it does. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const post = computed(() => view.post.value!)
const isLeafGuessed = computed(() => view.assumed.value.some(({ key }) => key.startsWith('gate.')))
const words = computed(() =>
  upgradeSentence(
    post.value.upgrade,
    !isLeafGuessed.value,
    view.postPlan.value!,
    view.target.value,
    preferences.measures.gust,
  ),
)
const wantsLeaf = computed(() => post.value.upgrade === 'gate' && isLeafGuessed.value)
const failure = ref('')

async function become(upgrade: 'gate' | 'stronger' | null): Promise<void> {
  const address = { name: 'setPost' as const, ...view.address.value }
  const commands: Command[] = [{ ...address, key: 'upgrade', value: upgrade }]
  if (upgrade === 'gate' && post.value.duty !== 'gate-hinge')
    commands.push({ ...address, key: 'duty', value: 'gate-hinge' })
  const refused = await session.edit(commands)
  failure.value = refused?.message ?? ''
  if (upgrade === 'gate' && !refused && isLeafGuessed.value) view.askFact('gate.leafWidth')
}
</script>

<template>
  <div class="panel-section">
    <template v-if="post.upgrade">
      <p>{{ words }}</p>
      <div class="row">
        <v-btn v-if="wantsLeaf" variant="flat" color="primary" @click="view.askFact('gate.leafWidth')"
          >Say what hangs on it</v-btn
        >
        <v-btn variant="text" @click="become(null)">Leave it as it is</v-btn>
      </div>
    </template>
    <div v-else class="row">
      <v-btn @click="become('gate')">Make it a gate post</v-btn>
      <v-btn @click="become('stronger')">Make it hold more</v-btn>
    </div>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
  </div>
</template>
