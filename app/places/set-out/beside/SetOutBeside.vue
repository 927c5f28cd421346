<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import BesideBox from './BesideBox.vue'
import BesideJack from './BesideJack.vue'
import BesideMesh from './BesideMesh.vue'
import BesidePaving from './BesidePaving.vue'
import BesidePlate from './BesidePlate.vue'
import BesideProps from './BesideProps.vue'

/** What stands, lies and is drilled round the chosen post; first what this post has. */
const view = useJobView()
const parts = computed(() => {
  const { duties = [], box, carries } = view.post.value ?? {}
  const all = [
    { title: 'Plate on a slab', of: BesidePlate, here: duties.includes('plate-mounted') },
    { title: 'Box by the road', of: BesideBox, here: box !== undefined || duties.includes('roadside-box') },
    {
      title: 'Jack and props under a beam',
      of: BesideJack,
      here: carries !== undefined || duties.includes('load-bearing'),
    },
    { title: 'Mesh to this post', of: BesideMesh, here: view.line.value?.kind === 'mesh' },
    { title: 'Paving round it', of: BesidePaving, here: view.post.value?.hardAgainst === 'paving' },
    { title: 'Props while it is loose', of: BesideProps, here: false },
  ]
  return [...all.filter(({ here }) => here), ...all.filter(({ here }) => !here)]
})
</script>

<template>
  <div>
    <template v-for="each in parts" :key="each.title">
      <section v-if="each.here" class="panel-section" :aria-label="each.title">
        <h3>{{ each.title }}</h3>
        <component :is="each.of" />
      </section>
      <FoldOut v-else :title="each.title"><component :is="each.of" /></FoldOut>
    </template>
  </div>
</template>
