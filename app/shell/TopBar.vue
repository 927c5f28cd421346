<script setup lang="ts">
import { computed } from 'vue'
import { useJobSession, useJobView } from '~/job/openJob'
import SaveSign from './SaveSign.vue'
import WetSign from './WetSign.vue'
import { usePreferencesStore } from '~/session/preferences'
import { useFinder } from './useFinder'

const session = useJobSession()
const view = useJobView()
const finder = useFinder()
const preferences = usePreferencesStore()
const isMetric = computed(() => preferences.units === 'metric')
</script>

<template>
  <header class="top-bar no-print">
    <NuxtLink to="/" class="brand measure" aria-label="Vindex: all jobs" title="All jobs">VINDEX</NuxtLink>
    <span class="on-phone posts">
      <v-btn variant="text" aria-label="Post before" :disabled="view.index.value === 0" @click="view.walk(-1)">‹</v-btn>
      <strong class="measure">{{ view.post.value?.id }}</strong>
      <v-btn
        variant="text"
        aria-label="Next post"
        :disabled="view.index.value === view.posts.value.length - 1"
        @click="view.walk(1)"
        >›</v-btn
      >
    </span>
    <h1 class="job-name">{{ session.job?.name }}</h1>
    <span class="soft site">{{ session.job?.site?.name }}</span>
    <span class="grow" />
    <v-btn variant="text" class="undo" aria-label="Undo" title="Undo (z)" @click="session.undo"
      ><span class="word">undo</span><span class="sign" aria-hidden="true">↶</span></v-btn
    >
    <v-btn
      variant="text"
      class="units"
      :aria-label="`Lengths in ${isMetric ? 'metres' : 'feet and inches'}: change`"
      title="Metres, or feet and inches (u)"
      @click="preferences.switchUnits"
      >{{ isMetric ? 'm' : 'ft in' }}</v-btn
    >
    <v-btn
      variant="text"
      class="find"
      aria-label="Find or do anything"
      title="Find or do anything (/)"
      @click="finder.show('find')"
      ><span class="word">find /</span><span class="sign" aria-hidden="true">⌕</span></v-btn
    >
    <WetSign class="on-desk" />
    <SaveSign />
  </header>
</template>

<style scoped>
.top-bar {
  display: flex;
  align-items: center;
  gap: 20px;
  padding: 0 8px 0 20px;
  height: 52px;
  border-bottom: 1.8px solid var(--ink);
  flex: none;
}
.brand {
  letter-spacing: 0.18em;
  font-size: 22px;
  color: var(--ink);
  text-decoration: none;
  padding: 8px 0;
}
.job-name {
  margin: 0;
  font-family: var(--words);
  font-size: 17px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.site {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.on-phone {
  display: none;
}
@media (max-width: 760px) {
  .on-desk {
    display: none;
  }
}
.posts .v-btn {
  min-width: 48px;
  padding: 0;
  font-size: 26px;
}
.sign {
  display: none;
}
@media (max-width: 760px) {
  .top-bar {
    gap: 2px;
    padding: 0 4px 0 14px;
    height: 48px;
  }
  .on-phone {
    display: inline-flex;
    align-items: center;
    font-size: 18px;
  }
  /* Found by name on a phone. */
  .units,
  .word {
    display: none;
  }
  .top-bar .sign {
    display: inline;
    font-size: 26px;
  }
  .find,
  .undo {
    padding: 0;
    min-width: 48px;
  }
  .job-name {
    position: absolute;
    width: 1px;
    height: 1px;
    clip-path: inset(50%);
  }
  .site {
    display: none;
  }
  .brand {
    letter-spacing: 0.04em;
    font-size: 0;
  }
  .brand::before {
    content: '‹ jobs';
    font-size: 16px;
  }
}
</style>
