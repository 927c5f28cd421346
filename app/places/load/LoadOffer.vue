<script setup lang="ts">
import { ref } from 'vue'
import OfferKept from './OfferKept.vue'
import OfferMaking from './OfferMaking.vue'
import { useOffers } from './useOffers'

/** What was offered, and what became of it; a new offer takes the place of the one before. */
const offers = useOffers()
const isMaking = ref(false)
</script>

<template>
  <div>
    <p v-if="offers.failure.value" class="caution" role="alert">{{ offers.failure.value }}</p>
    <p v-if="!Object.keys(offers.asChosen.value).length" class="says">
      Choose a repair for a post first: what it takes is offered here.
    </p>
    <template v-else>
      <v-btn v-if="!isMaking" variant="flat" color="primary" @click="isMaking = true">{{
        offers.all.value.length ? 'Make a new offer' : 'Make an offer'
      }}</v-btn>
      <OfferMaking v-else @made="isMaking = false" @leave="isMaking = false" />
    </template>
    <OfferKept
      v-for="(each, i) in offers.all.value"
      :key="each.id"
      :kept="each"
      :before="offers.all.value[i + 1]?.offer"
    />
  </div>
</template>
