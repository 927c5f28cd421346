<script setup lang="ts">
import { computed } from 'vue'
import { ESTIMATES } from '~/job/words'
import { usePreferencesStore } from '~/session/preferences'
import type { SetOutPost } from '~~/core/plan/setOut/line'

/** Everything to hold to at one post, in figures that are read at arm's length. */
const props = defineProps<{ post: SetOutPost }>()
const preferences = usePreferencesStore()
const rows = computed(() => {
  const { station, gapLow, gapHigh, upper, hole, cut, isSet, target } = props.post
  const small = preferences.showSmall
  return [
    { says: 'along the tape', value: preferences.show(station) },
    { says: 'gap, lower string', value: small(gapLow) },
    { says: 'gap, upper string', value: small(gapHigh) },
    { says: 'top over the ground', value: preferences.show(upper) },
    ...(hole
      ? [
          { says: 'lower string to hole', value: small(hole.reading) },
          { says: 'hole, deep', value: small(hole.depth) },
          { says: 'hole, wide', value: small(hole.width) },
        ]
      : []),
    ...(cut ? [{ says: 'post, cut to', value: small(cut.length) }] : []),
    ...(isSet
      ? [
          {
            says: target === 0 ? 'plumb, across the line' : `top ${target < 0 ? 'towards you' : 'away'}`,
            value: small(Math.abs(target)),
          },
          { says: 'plumb, along the line', value: small(0) },
        ]
      : []),
  ]
})
</script>

<template>
  <section class="hand-post" :aria-label="`${post.post}, to hold in the hand`">
    <h3>{{ post.post }}</h3>
    <dl>
      <div v-for="row in rows" :key="row.says">
        <dt>{{ row.says }}</dt>
        <dd>{{ row.value }}</dd>
      </div>
    </dl>
    <p class="soft">{{ ESTIMATES }}</p>
  </section>
</template>

<style scoped>
h3 {
  font-size: 40px;
}
dl {
  margin: 0;
}
dl div {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
  padding: 3px 0;
  border-bottom: 1.5px solid var(--rule);
}
dt {
  font-size: 17px;
}
dd {
  margin: 0;
  font-family: var(--measure);
  font-weight: 600;
  font-size: 34px;
  line-height: 1.15;
  white-space: nowrap;
}
</style>
