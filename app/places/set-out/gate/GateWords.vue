<script setup lang="ts">
import { computed } from 'vue'
import type { GateSetOut } from '~~/core/plan/setOut/gate'
import { usePreferencesStore } from '~/session/preferences'

/** What the gate's figures ask of whoever hangs it. */
const props = defineProps<{ gate: GateSetOut }>()
const preferences = usePreferencesStore()
const small = (length: number) => preferences.showSmall(length)

const fit = computed(() => {
  const { hungBy, there, band, order, wanted } = props.gate
  if (hungBy === 'leaf') {
    const said = `It still hangs from ${preferences.show(band.least)} to ${preferences.show(band.most)}; middles of the posts ${preferences.show(props.gate.centres)} apart.`
    const worst = [there.bottom, there.top].find((each) => each < band.least || each > band.most)
    if (worst === undefined) return said
    const off = Math.abs(worst - wanted)
    return `${said} ${there.measured ? 'The tape says' : 'The stations say'} ${preferences.show(worst)}: ${small(off)} too ${worst < wanted ? 'narrow' : 'wide'}.`
  }
  if (!order) return 'The gaps alone take the whole opening: measure it again.'
  if (order.most < order.least)
    return `The opening is ${small(Math.abs(there.top - there.bottom))} wider at its ${there.top > there.bottom ? 'top' : 'foot'}. A leaf of ${preferences.show(order.most)} passes, but shows that gap and its latch hardly reaches: set a post plumb before you order.`
  return `Order it ${preferences.show(order.least)} to ${preferences.show(order.most)} wide: over that it binds, under that the latch does not reach.`
})
const swing = computed(() => {
  const { clearance, under } = props.gate
  if (under >= clearance - 1e-6)
    return `It clears the ground all through its swing: ${small(under)} under it, ${small(clearance)} asked.`
  return `It would scrape: ${small(under)} under it, ${small(clearance)} asked. Hang it ${small(clearance - under)} higher, give it rising hinges, cut its foot to the ground, or let it swing the other way.`
})
const scrapes = computed(() => props.gate.under < props.gate.clearance - 1e-6)
const [low, high] = [computed(() => props.gate.hinges[0]), computed(() => props.gate.hinges[1])]
</script>

<template>
  <div class="words">
    <p>{{ fit }}</p>
    <p :class="{ caution: scrapes }">{{ swing }}</p>
    <p>
      Hinges {{ preferences.show(low) }} and {{ preferences.show(high) }} over its foot, or on the rails nearest to
      that; pins opposed, so that nobody lifts it off; {{ small(gate.upperPlay) }} of play at the upper one, so that the
      lower one carries.
    </p>
    <p v-if="gate.screw.pilot > 0">
      Hinge screws of {{ small(gate.screw.diameter) }}: bore {{ small(gate.screw.pilot) }} first.
    </p>
    <p>
      Brace {{ preferences.show(gate.diagonal) }}: of wood from the foot of the hinge side up to the latch; of wire with
      a turnbuckle the other way.
    </p>
    <p v-if="gate.packing !== undefined">
      Pack the lower hinge out by <strong>{{ small(gate.packing) }}</strong
      >: the latch side comes up level.
    </p>
    <p v-if="gate.outOfSquare !== undefined && Math.abs(gate.outOfSquare) > 0.003">
      The leaf is {{ small(Math.abs(gate.outOfSquare)) }} wider at its {{ gate.outOfSquare > 0 ? 'top' : 'foot' }}: the
      opening goes by the wider end.
    </p>
    <p v-if="gate.leaves === 2">
      Drop bolt: {{ small(gate.dropBolt.depth) }} into its hole, and the hole {{ small(gate.dropBolt.drain) }} deeper on
      to stone, so that water and grit leave it.
    </p>
    <p class="caution">Nothing is hung before the concrete carries a gate: see Filling in Hole for the hours.</p>
  </div>
</template>

<style scoped>
.words {
  display: grid;
  gap: 8px;
}
</style>
