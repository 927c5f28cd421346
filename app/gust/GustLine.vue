<script setup lang="ts">
import { computed } from 'vue'
import { usePreferencesStore } from '~/session/preferences'
import type { GustRow } from './gustRows'

/** One thing on the scale of gusts: where it starts to lean, where it gives way, or why it is refused. */
const props = defineProps<{ row: GustRow; place: (gust: number) => number; chosen?: boolean; pick?: boolean }>()
const emit = defineEmits<{ choose: [] }>()

const preferences = usePreferencesStore()
/** Words stand left of their mark when it is far to the right. */
const FLIP_BEYOND = 0.55

const at = (gust: number) => `${(props.place(gust) * 100).toFixed(2)}%`
const words = computed(() => {
  const { key, name, under, refused, lean, over, weakest } = props.row
  const parts = [name, under]
  if (refused) parts.push(props.pick && key !== 'standing' ? `refused: ${refused}` : refused)
  if (lean !== undefined) parts.push(`starts to lean at ${preferences.measures.gust(lean)}`)
  if (over !== undefined) parts.push(`gives way at ${preferences.measures.gust(over)}`)
  if (weakest) parts.push(`weakest link: ${weakest}`)
  return parts.filter(Boolean).join(', ')
})
const bar = computed(() => {
  const { lean, over } = props.row
  if (lean === undefined || over === undefined) return undefined
  return { left: at(lean), width: `${((props.place(over) - props.place(lean)) * 100).toFixed(2)}%` }
})
const isFlipped = computed(() => props.row.over !== undefined && props.place(props.row.over) > FLIP_BEYOND)
const marks = computed(() =>
  (['lean', 'over'] as const).flatMap((kind) => {
    const gust = props.row[kind]
    return gust === undefined ? [] : [{ kind, left: at(gust) }]
  }),
)
</script>

<template>
  <component
    :is="pick ? 'button' : 'div'"
    :type="pick ? 'button' : undefined"
    :role="pick ? undefined : 'group'"
    class="line"
    :class="{ chosen, refused: row.refused && row.key !== 'standing' }"
    :aria-pressed="pick ? chosen : undefined"
    :aria-label="words"
    @click="pick && emit('choose')"
  >
    <span class="names">
      <strong>{{ row.name }}</strong>
      <span v-if="row.under" class="soft">{{ row.under }}</span>
    </span>
    <span class="scale" aria-hidden="true">
      <span class="thread" />
      <span v-if="bar" class="bar" :style="bar" />
      <span v-for="mark in marks" :key="mark.kind" class="mark" :class="mark.kind" :style="{ left: mark.left }">
        <svg width="18" height="16"><path d="M9 1.5 L16.5 14.5 L1.5 14.5 Z" /></svg>
      </span>
      <span v-if="row.refused" class="reason"
        ><span>{{ row.refused }}</span></span
      >
      <span
        v-else-if="row.weakest && row.over !== undefined"
        class="weakest"
        :class="{ flip: isFlipped }"
        :style="{ left: at(row.over), maxWidth: isFlipped ? at(row.over) : `calc(100% - ${at(row.over)})` }"
      >
        {{ row.weakest }}
      </span>
    </span>
  </component>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: var(--names) 1fr;
  width: 100%;
  min-height: 52px;
  align-items: center;
  text-align: left;
  border: 2.4px solid transparent;
  padding: 0 14px 0 8px;
  font: inherit;
  color: inherit;
  background: none;
}
.scale {
  position: relative;
  height: 48px;
}
button.line {
  cursor: pointer;
}
.chosen {
  border-color: var(--string);
}
.names {
  display: flex;
  flex-direction: column;
  line-height: 1.2;
  padding-right: 8px;
}
.names strong {
  font-weight: 600;
  font-size: 16px;
}
.names .soft {
  font-size: 14px;
}
.refused strong {
  text-decoration: line-through;
  font-weight: 500;
  color: var(--soft-ink);
}
.line.refused {
  min-height: 62px;
}
.refused .scale {
  height: 58px;
}
.refused .mark {
  opacity: 0.55;
  top: 36px;
}
.refused .thread {
  top: 44px;
}
.thread {
  position: absolute;
  left: 0;
  right: 0;
  top: 30px;
  height: 1.5px;
  background: var(--rule);
}
.bar {
  position: absolute;
  top: 28px;
  height: 6px;
  background: var(--ink);
}
.refused .bar {
  opacity: 0.3;
  top: 42px;
}
.mark {
  position: absolute;
  top: 22px;
  margin-left: -9px;
}
.mark svg {
  display: block;
  stroke: var(--ink);
  stroke-width: 1.8;
}
.lean svg {
  fill: var(--paper);
}
.over svg {
  fill: var(--ink);
}
.reason {
  position: absolute;
  left: 0;
  right: 0;
  top: 2px;
  max-height: 33px;
  overflow: hidden;
  font-size: 14px;
  line-height: 1.15;
  color: var(--soft-ink);
  /* The target's line runs behind the words. */
  z-index: 1;
}
.reason span,
.weakest {
  background: var(--paper);
}
.weakest {
  position: absolute;
  z-index: 1;
  top: 3px;
  font-size: 14px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  margin-left: -6px;
}
.weakest.flip {
  transform: translateX(-100%);
  margin-left: 8px;
}
</style>
