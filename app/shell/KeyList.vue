<script setup lang="ts">
import { useFinder } from './useFinder'
import { KEYS } from './useKeys'

const finder = useFinder()
</script>

<template>
  <v-dialog
    :model-value="finder.open.value === 'keys'"
    width="460"
    aria-label="Keys"
    @update:model-value="finder.hide()"
  >
    <v-card class="keys">
      <h2>Keys</h2>
      <dl>
        <template v-for="key in KEYS" :key="key.keys">
          <dt class="measure">{{ key.keys }}</dt>
          <dd>{{ key.says }}</dd>
        </template>
      </dl>
      <v-btn autofocus @click="finder.hide()">Close</v-btn>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.keys {
  padding: 20px;
}
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 8px;
  margin: 12px 0 18px;
}
dd {
  margin: 0;
}
</style>
