<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import { usePreferencesStore } from '~/session/preferences'
import { useYard } from '~/yard/useYard'
import { moneyWords } from '~~/core/money/money'
import { comeAgain } from '~~/core/record/comeAgain'
import { chanceWords } from '~~/core/weather/dates'
import NextLine from './NextLine.vue'
import { useNextToGo } from './useNextToGo'

/** The posts of the line that stand, in the order in which they go. */
const session = useJobSession()
const view = useJobView()
const preferences = usePreferencesStore()
const { catalogue, reckoning, currency } = useYard()

const { posts, failure } = useNextToGo()
const first = computed(() => posts.value?.[0])
const shown = computed(() => (posts.value ?? []).slice(0, 12))
/** Less likely than this in all the years that are left, nobody mends what stands. Working value. */
const WORTH_IT = 0.1
/** What a second visit costs beside the work itself. */
const saves = computed(() => {
  const net = comeAgain(catalogue.value, reckoning.value, currency.value, session.job?.day?.hires ?? [])
  return net > 0n ? moneyWords(net, currency.value) : undefined
})
</script>

<template>
  <section class="next" aria-labelledby="next-title">
    <h2 id="next-title">{{ view.line.value?.name ?? view.line.value?.id }}: the next post to go</h2>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-else-if="!posts" role="status">Reckoning …</p>
    <p v-else-if="!first" class="soft">No post of this line is known to stand: look at them first.</p>
    <template v-else>
      <p class="answer">
        {{ first.post }}: {{ chanceWords(first.year) }} within the year, {{ chanceWords(first.life) }} within
        {{ first.years }} years.
      </p>
      <p v-if="first.life < WORTH_IT">None of them is worth a repair on this visit for its own sake.</p>
      <p v-else-if="saves">
        To mend it on this visit saves {{ saves }} before tax against coming again: a call-out{{
          session.job?.day?.hires?.length ? ' and the hire' : ''
        }}.
      </p>
      <NextLine :posts="posts ?? []" />
      <ol class="order">
        <li v-for="each in shown" :key="each.post">
          <button type="button" class="pick" @click="view.choose(each.post)">{{ each.post }}</button>
          goes over at {{ preferences.measures.gust(each.over) }}: {{ chanceWords(each.year) }} within the year,
          {{ chanceWords(each.life) }} within {{ each.years }} years
        </li>
      </ol>
      <p class="soft">
        Wind from every side, soil as it scatters from post to post, what stands counted as it stands, and its wood
        rotting as such wood does.
      </p>
    </template>
  </section>
</template>

<style scoped>
.next {
  padding: 16px 20px;
  max-width: 1100px;
  margin: 0 auto;
  font-size: 17px;
}
.answer {
  font-size: 24px;
  font-weight: 600;
}
.order {
  padding-left: 28px;
}
.order li {
  padding: 4px 0;
}
.pick {
  display: inline-block;
  min-width: 64px;
}
</style>
