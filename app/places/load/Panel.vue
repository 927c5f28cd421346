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
  { value: 'load', words: 'Load', panel: LoadList },
  { value: 'bill', words: 'Bill', panel: LoadBill },
  { value: 'options', words: 'Post', panel: LoadOptions },
  { value: 'offer', words: 'Offer', panel: LoadOffer },
  { value: 'after', words: 'After', panel: LoadAfter },
] as const
const part = ref<(typeof PARTS)[number]['value']>('load')
</script>

<template>
  <section aria-labelledby="load-title">
    <h2 id="load-title" class="visually-hidden">What is taken along, and what it costs</h2>
    <PartTabs v-model="part" label="Parts of load and cost" :tabs="PARTS" />
  </section>
</template>
