<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from '#imports'
import { findWords } from '~/glossary/words'
import FittedPicture from '~/picture/FittedPicture.vue'
import PageHead from '~/shell/PageHead.vue'

/** Words of the trade as they are meant here, each with its drawing. */
const route = useRoute()
const search = ref('')
const shown = computed(() => findWords(search.value))
const slug = (word: string) => word.replaceAll(' ', '-')
onMounted(async () => {
  await nextTick()
  const wanted = document.getElementById(`word-${slug(String(route.query.word ?? ''))}`)
  wanted?.scrollIntoView({ block: 'start' })
  wanted?.focus({ preventScroll: true })
})
</script>

<template>
  <div class="words">
    <PageHead title="Words">
      <v-spacer />
      <v-text-field v-model="search" type="search" label="Search the words" hide-details class="search" />
    </PageHead>
    <main class="legible" tabindex="0">
      <p v-if="shown.length === 0">No word of that kind. Try what it looks like, or what it does.</p>
      <dl v-else>
        <div v-for="each in shown" :id="`word-${slug(each.word)}`" :key="each.word" class="word" tabindex="-1">
          <dt class="measure">{{ each.word }}</dt>
          <dd>{{ each.says }}</dd>
          <dd><FittedPicture :picture="each.picture" :label="each.word" /></dd>
        </div>
      </dl>
    </main>
  </div>
</template>

<style scoped>
.words {
  height: 100dvh;
  display: flex;
  flex-direction: column;
  padding: 0 20px;
}
.search {
  max-width: 320px;
}
main {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 12px 0 24px;
  font-size: 17px;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
  gap: 24px;
  margin: 0;
}
.word {
  border-top: 1.5px solid var(--ink);
  padding-top: 8px;
}
dt {
  font-size: 24px;
}
dd {
  margin: 4px 0 8px;
}
@media (max-width: 760px) {
  .words {
    padding: 0 12px;
  }
}
</style>
