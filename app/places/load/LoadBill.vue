<script setup lang="ts">
import { computed } from 'vue'
import FoldOut from '~/controls/FoldOut.vue'
import { sharedBags } from '~~/core/cost/buying'
import { figureOf, quantityWords } from './model/afterWords'
import { useCost } from './useCost'
import { csvOf, saveFile } from '~/exchange/files'
import { useYard } from '~/yard/useYard'
import { billTable } from '~~/core/exchange/recordTables'
import { toDecimal } from '~~/core/money/money'

/** Every line of the bill: how much by measure, how many packs, what it comes to; tax by its rate; deposits apart. */
const cost = useCost()
const { currency } = useYard()
const settings = computed(() => cost.settings.value)
const total = computed(() => cost.bill.value.total)
const merged = computed(() => new Map(cost.bill.value.merged.map((line) => [line.key, line])))
const rows = computed(() =>
  total.value.lines.map(({ key, name, quantity, row, amount }) => {
    const line = merged.value.get(key)
    const more = line ? line.spares.valueOf() : 0
    return {
      key,
      name,
      how: quantityWords(quantity.valueOf(), row.unit),
      why:
        line && line.exact.valueOf() !== quantity.valueOf()
          ? `${figureOf(line.exact.valueOf())} by measure${more > 0 ? `, ${figureOf(more)} to spare` : ''}`
          : '',
      amount: cost.words(amount),
    }
  }),
)
const save = () =>
  saveFile(
    'bill.csv',
    csvOf(
      billTable(
        total.value.lines.map(({ key, name, quantity, row, amount }) => ({
          key,
          name,
          quantity: String(quantity.valueOf()),
          unit: row.unit,
          amount: toDecimal(Number(amount), currency.value),
        })),
        currency.value.code,
      ),
    ),
    'text/csv',
  )
const shared = computed(() => sharedBags(cost.bills.value))
const visits = computed(() => `${cost.visits.value} ${cost.visits.value === 1 ? 'visit' : 'visits'}`)
</script>

<template>
  <div v-if="rows.length">
    <p class="figure">
      {{ cost.words(total.gross) }}<small>with tax, {{ visits }}</small>
      <v-btn variant="text" @click="save">Bill as CSV</v-btn>
    </p>
    <p v-if="cost.isProposed.value" class="caution">
      Nothing is chosen yet: this is what the proposed repairs would cost.
    </p>
    <p v-if="cost.isShipped.value" class="soft">
      The prices are invented: put your own in their place in <NuxtLink to="/yard">the yard</NuxtLink>.
    </p>
    <v-table density="compact" class="bill">
      <thead>
        <tr>
          <th>What</th>
          <th class="number">How much</th>
          <th class="number">Before tax</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in rows" :key="each.key">
          <td>
            {{ each.name }}<small v-if="each.why">{{ each.why }}</small>
          </td>
          <td class="number">{{ each.how }}</td>
          <td class="number">{{ each.amount }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th colspan="2">Before tax</th>
          <td class="number">{{ cost.words(total.net) }}</td>
        </tr>
        <tr v-for="each in total.taxes" :key="each.tax">
          <th colspan="2">{{ each.percent }} % on {{ cost.words(each.net) }}</th>
          <td class="number">{{ cost.words(each.amount) }}</td>
        </tr>
        <tr v-if="total.deposits > 0n">
          <th colspan="2">Deposits, handed back</th>
          <td class="number">{{ cost.words(total.deposits) }}</td>
        </tr>
      </tfoot>
    </v-table>
    <p v-if="cost.bill.value.unpriced.length" class="caution">
      Without a price, and in no sum: {{ cost.bill.value.unpriced.join(', ').replaceAll(/[/-]/g, ' ') }}.
    </p>
    <FoldOut title="What is reckoned on top">
      <p v-if="shared.apart > shared.together">
        Filled one after the other the holes share their bags: {{ shared.together }} by measure in all, where each by
        itself would open {{ shared.apart }}. What is left of one goes into the next.
      </p>
      <p>
        Three allowances on one loss, none of them twice: the hole’s over-dig stands in its litres; bags have a tenth or
        one to spare; what this ground was learnt to take stands in the place of the spares once it is known.
      </p>
      <p>
        {{ settings.waste }} in 100 for what is cut or poured, {{ settings.overhead }} overhead,
        {{ settings.markUp }} mark-up, in each line, rounded once.
      </p>
    </FoldOut>
  </div>
  <p v-else class="says">Choose a repair for a post first: what it takes is priced here.</p>
</template>

<style scoped>
.bill {
  margin-top: 8px;
  background: none;
}
.bill :is(th, td) {
  padding: 6px 4px;
  text-align: start;
  vertical-align: baseline;
  font-weight: 400;
}
.bill thead th,
.bill tfoot tr:first-child > * {
  font-weight: 600;
  border-bottom-color: var(--ink);
}
.bill .number {
  text-align: end;
  white-space: nowrap;
  font-family: var(--measure);
}
td small {
  display: block;
  font-size: 14px;
  color: var(--soft-ink);
}
</style>
