<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import LengthStepper from '~/controls/LengthStepper.vue'
import { CLEAR_FACES_ITEMS, HARD_ITEMS } from '~/job/words'
import type { Command } from '~~/core/edit/commands'
import type { InputError } from '~~/core/errors'
import type { Post } from '~~/core/document/job'
import { postEdit, type PostValue } from '~~/core/edit/keyed'

/** What lies in the way of mending it, and what the owner asks of it: facts that open and close repairs. */
const session = useJobSession()
const view = useJobView()
const post = computed(() => view.post.value!)
type PostKey = Extract<Command, { name: 'setPost' }>['key']
const set = <K extends PostKey>(key: K, value: PostValue<K>): Promise<InputError | undefined> =>
  session.edit([postEdit(view.address.value, key, value)])

const FLAGS = [
  { key: 'removable', on: '✓ has to come out again', off: 'stays where it is set' },
  { key: 'corrosive', on: '✓ salt, cinders or manure', off: 'nothing that eats steel' },
] as const
const isOnPlate = computed(() => post.value.footing?.kind === 'plate' || post.value.duties.includes('plate-mounted'))
const setSlab = (change: Partial<NonNullable<Post['slab']>>) => set('slab', { ...post.value.slab, ...change })
</script>

<template>
  <FoldOut title="Room, faces, what it has to do" class="panel-section">
    <div class="field-grid">
      <v-btn
        v-for="flag in FLAGS"
        :key="flag.key"
        class="flag"
        :aria-pressed="post[flag.key] === true"
        @click="set(flag.key, post[flag.key] ? null : true)"
        >{{ post[flag.key] ? flag.on : flag.off }}</v-btn
      >
      <v-btn
        class="flag"
        :aria-pressed="post.roomToDig === false"
        @click="set('roomToDig', post.roomToDig === false ? null : false)"
        >{{ post.roomToDig === false ? '✓ no room to dig round it' : 'room to dig round it' }}</v-btn
      >
      <v-select
        label="Faces that must stay clear"
        :items="CLEAR_FACES_ITEMS"
        :model-value="post.clearFaces ?? 'none'"
        @update:model-value="set('clearFaces', $event === 'none' ? null : $event)"
      />
      <v-select
        label="Hard against it"
        :items="HARD_ITEMS"
        :model-value="post.hardAgainst ?? null"
        @update:model-value="set('hardAgainst', $event)"
      />
    </div>
    <template v-if="isOnPlate">
      <h3>The slab</h3>
      <div class="field-grid">
        <LengthStepper
          label="Slab's thickness"
          :value="post.slab?.thickness"
          :start="0.1"
          :step="0.01"
          :smallest="0.02"
          :save="(value) => setSlab({ thickness: value ?? undefined })"
        />
        <LengthStepper
          label="From the anchors to its edge"
          :value="post.slab?.edge"
          :start="0.12"
          :step="0.01"
          :smallest="0.01"
          :save="(value) => setSlab({ edge: value ?? undefined })"
        />
        <v-btn
          class="flag"
          :aria-pressed="post.slab?.sound === false"
          @click="setSlab({ sound: post.slab?.sound === false ? true : false })"
          >{{ post.slab?.sound === false ? '✓ cracked or hollow' : 'rings sound' }}</v-btn
        >
      </div>
    </template>
  </FoldOut>
</template>

<style scoped>
.flag {
  height: 52px;
}
</style>
