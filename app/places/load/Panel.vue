<script setup lang="ts">
import { ref } from 'vue'
import PartTabs from '~/controls/PartTabs.vue'
import LoadAfter from './LoadAfter.vue'
import LoadBill from './LoadBill.vue'
import LoadList from './LoadList.vue'
import LoadOffer from './LoadOffer.vue'
import LoadOptions from './LoadOptions.vue'

/** What goes into the van, what the line costs, and what this post could cost otherwise. */
const PARTS = [
  { value: 'load', words: 'Load' },
  { value: 'bill', words: 'Bill' },
  { value: 'options', words: 'Post' },
  { value: 'offer', words: 'Offer' },
  { value: 'after', words: 'After' },
] as const
const part = ref<(typeof PARTS)[number]['value']>('load')
const panels = { load: LoadList, bill: LoadBill, options: LoadOptions, offer: LoadOffer, after: LoadAfter }
</script>

<template>
  <section aria-labelledby="load-title">
    <h2 id="load-title" class="visually-hidden">What is taken along, and what it costs</h2>
    <PartTabs v-model="part" label="Parts of load and cost" :tabs="PARTS">
      <div class="part"><component :is="panels[part]" :key="part" /></div>
    </PartTabs>
  </section>
</template>

<style scoped>
.part {
  padding: 10px 0 24px;
}
</style>
