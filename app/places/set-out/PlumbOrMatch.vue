<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import { usePreferencesStore } from '~/session/preferences'

/** True plumb, or as its neighbours lean: asked where anybody would see the difference. */
const view = useJobView()
const preferences = usePreferencesStore()
const { post, set } = useSetOut()
const weighed = computed(() => (post.value?.isSet ? post.value.weighed : undefined))
const stands = computed(() => view.post.value?.stands ?? 'plumb')
const small = (length: number) => preferences.measures.small(Math.abs(length))
const way = (length: number) => (length < 0 ? 'towards you' : 'away from you')
</script>

<template>
  <div v-if="weighed" class="panel-section">
    <h3>Plumb, or as its neighbours lean?</h3>
    <p v-if="weighed.advice === 'plumb'">
      Plumb. Its neighbours are {{ small(weighed.match) }} off at the top: nobody sees that.
    </p>
    <p v-else>
      Ask. Plumb, its top stands {{ small(weighed.difference) }} off its neighbours, who lean {{ way(weighed.match) }}:
      it shows, and a panel between them racks.
    </p>
    <div class="ways" role="group" aria-label="How it is set">
      <button type="button" class="pick" :aria-pressed="stands === 'plumb'" @click="set('stands', null)">
        <strong>Plumb</strong><span class="soft">0 at the top</span>
      </button>
      <button type="button" class="pick" :aria-pressed="stands === 'match'" @click="set('stands', 'match')">
        <strong>Match</strong><span class="soft">{{ small(weighed.match) }} {{ way(weighed.match) }} at the top</span>
      </button>
    </div>
  </div>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin-top: 8px;
}
</style>
