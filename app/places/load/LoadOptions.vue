<script setup lang="ts">
import { computed } from 'vue'
import { useJobView } from '~/job/openJob'
import FoldOut from '~/controls/FoldOut.vue'
import TargetChoice from '~/gust/TargetChoice.vue'
import HowLong from '~/survive/HowLong.vue'
import QuantityField from '~/controls/QuantityField.vue'
import { InputError } from '~~/core/errors'
import { crossesAt } from '~~/core/cost/years'
import { YEARS_DRAWN } from '~~/core/survive/years'
import CostSwings from './CostSwings.vue'
import { optionMark } from './model/marks'
import { useCost } from './useCost'

/** What the ways to mend this post cost, now and for each year that it is expected to stand plumb. */
const cost = useCost()
const view = useJobView()
const options = computed(() => cost.options.value)
const saveYears = async (value: number | null) => {
  if (value === null || !Number.isInteger(value) || value < 1 || value > YEARS_DRAWN)
    return new InputError('years', value, `a whole number of years from 1 to ${YEARS_DRAWN}`)
  cost.years.value = value
  return undefined
}
/** Propped up again and again, or mended for good: when the one has cost more than the other. */
const crossing = computed(() => {
  const temporary = options.value.find(({ isTemporary }) => isTemporary)
  const lasting =
    options.value.find(({ isTemporary, isChosen }) => isChosen && !isTemporary) ??
    options.value.find(({ isTemporary }) => !isTemporary)
  if (!temporary || !lasting) return ''
  const year = crossesAt(temporary.spent, lasting.spent)
  if (year === undefined)
    return `Propped for now costs less than ${lasting.name.toLowerCase()} over all ${cost.years.value} years, and it stands in the way all that time.`
  return `Propped again and again costs more than ${lasting.name.toLowerCase()} from year ${year} on.`
})
</script>

<template>
  <div v-if="options.length">
    <QuantityField label="Years that the fence is still wanted" :value="cost.years.value" :save="saveYears" />
    <p v-if="crossing" role="status" class="says">{{ crossing }}</p>
    <ul>
      <li v-for="(each, i) in options" :key="each.method" :class="{ chosen: each.isChosen }">
        <span class="mark">{{ optionMark(i) }}</span>
        <span class="name"
          >{{ each.name
          }}<small
            >{{ each.isChosen ? 'chosen; ' : ''
            }}{{ each.leaves.length ? `leaves as it is: ${each.leaves.join(', ').toLowerCase()}; ` : ''
            }}{{ each.restsOn }}</small
          ></span
        >
        <span class="measure">{{ cost.words(each.net) }}<small>now, before tax</small></span>
        <span class="measure">{{ cost.words(each.perYear) }}<small>a plumb year</small></span>
      </li>
    </ul>
    <FoldOut title="What these figures hang on"><CostSwings /></FoldOut>
    <FoldOut title="How long each stands"><HowLong /></FoldOut>
    <FoldOut title="What they have to hold"><TargetChoice /></FoldOut>
    <p class="soft">
      Each by its share of packs, without hire and travel. Years go by thousands of lives in the wind, with the wood
      rotting as such wood does.
      <template v-if="cost.isReckoning.value">They are being reckoned; until then by the gusts alone.</template>
    </p>
  </div>
  <p v-else class="says">
    {{ view.post.value ? 'Nothing is allowed at this post yet: look at it first.' : 'Choose a post first.' }}
  </p>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 26px 1fr auto auto;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.mark {
  font-family: var(--measure);
  font-weight: 600;
  font-size: 18px;
}
.name {
  font-size: 18px;
}
.measure {
  font-size: 20px;
  text-align: end;
}
.chosen .name {
  font-weight: 600;
}
small {
  display: block;
  font-size: 14px;
  font-weight: 400;
  color: var(--soft-ink);
}
.says {
  font-size: 18px;
  margin: 8px 0;
}
</style>
