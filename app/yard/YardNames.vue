<script setup lang="ts">
import type { YardTable } from '~~/core/yard/column'
import { PART_TABLE } from '~~/core/yard/tables/parts'
import { YARD_TABLES } from '~~/data/yard'

/** Every table of the yard by its name: what is the workshop's own first, then what repairs are made with. */
defineProps<{ shown: string }>()
const emit = defineEmits<{ choose: [key: string] }>()
const GROUPS: { title: string; tables: readonly YardTable[] }[] = [
  { title: '', tables: YARD_TABLES.filter(({ key }) => !key.startsWith(PART_TABLE)) },
  { title: 'What repairs are made with', tables: YARD_TABLES.filter(({ key }) => key.startsWith(PART_TABLE)) },
]
</script>

<template>
  <nav class="tables" aria-label="Tables of the yard">
    <v-list density="compact" class="names">
      <template v-for="group in GROUPS" :key="group.title">
        <v-list-subheader v-if="group.title">{{ group.title }}</v-list-subheader>
        <v-list-item
          v-for="each in group.tables"
          :key="each.key"
          :title="each.name"
          :active="each.key === shown"
          :aria-current="each.key === shown"
          @click="emit('choose', each.key)"
        />
      </template>
    </v-list>
  </nav>
</template>

<style scoped>
.tables {
  overflow-y: auto;
  border-right: 1.8px solid var(--ink);
}
/* The names of tables are read at arm's length as all else is. */
.names {
  background: none;
}
.names :deep(.v-list-item-title) {
  font-size: 16px;
}
.names :deep(.v-list-item--active) {
  border-left: 6px solid var(--string);
}
.names :deep(.v-list-subheader__text) {
  font-size: 14px;
  color: var(--ink);
  opacity: 1;
}
</style>
