<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { useVanStock } from '~/job/useVanStock'
import { useYard } from '~/yard/useYard'
import { openWays } from '~~/core/cost/jobBills'
import { vanToday, type WaysOfPost } from '~~/core/cost/vanToday'
import { useCost } from './useCost'
import { useOffers } from './useOffers'
import { postKey, readPostKey, type PostKey } from '~~/core/document/postKey'

/** With what is on the van now: which posts can be mended and to which gust, and what little more would raise the weakest. */
const view = useJobView()
const cost = useCost()
const offers = useOffers()
const preferences = usePreferencesStore()
const { catalogue } = useYard()
const { stock } = useVanStock()
const gust = (value: number) => preferences.measures.gust(value)

const ways = computed<WaysOfPost[]>(() => {
  const planned = cost.planned.value
  if (!planned) return []
  return planned.plan.posts
    .filter(({ line, post }) => postKey({ line, post }) in offers.asChosen.value)
    .map((each) => ({
      address: postKey(each),
      standing: each.standing.holdingGust ?? 0,
      ways: openWays(planned, each, view.tables.value),
    }))
})
const today = computed(() => vanToday(ways.value, catalogue.value, stock.value))
const isEmpty = computed(() => ![...stock.value.values()].some((count) => count > 0))
const nameOf = (address: PostKey) => readPostKey(address).post
</script>

<template>
  <div>
    <p v-if="isEmpty" class="soft">
      Nothing is written down as being on the van: say so in
      <NuxtLink to="/yard?table=catalogue">the yard’s prices</NuxtLink>.
    </p>
    <ul>
      <li v-for="each in today.posts" :key="each.address">
        <strong class="measure">{{ nameOf(each.address) }}</strong>
        <template v-if="each.way"> {{ each.way.name.toLowerCase() }}, holds {{ gust(each.way.gust) }} </template>
        <template v-else>
          stays as it is<template v-if="each.standing">, {{ gust(each.standing) }}</template></template
        >
      </li>
    </ul>
    <p v-if="today.shopping" class="says">
      {{ nameOf(today.shopping.address) }} is then the weakest. With
      <template v-for="(item, i) in today.shopping.items" :key="item.row.key"
        >{{ i ? (i === today.shopping.items.length - 1 ? ' and ' : ', ') : '' }}{{ item.count }} ×
        {{ item.row.name }}</template
      >
      it gets {{ today.shopping.name.toLowerCase() }} and holds {{ gust(today.shopping.to) }}.
    </p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  font-size: 17px;
  padding: 6px 0;
}
.says {
  font-size: 17px;
}
</style>
