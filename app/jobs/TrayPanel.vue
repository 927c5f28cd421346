<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { saveFile } from '~/exchange/files'
import { usePreferencesStore } from '~/session/preferences'
import { storage, tray } from '~/sync/device'
import { EDITS } from '~/sync/edits'
import { NEW_JOB } from '~/sync/newJobs'
import { OFFERS } from '~/sync/offers'
import { YARD } from '~/sync/yard'
import type { Refused } from '~/sync/storage'
import type { VersionedBatch } from '~~/core/edit/batch'
import { commandWords, subjectWords } from '~~/core/edit/apply'

/** What was entered and not accepted: it stays on this device until somebody deals with it. */
const preferences = usePreferencesStore()
const words = { length: preferences.show }
const names = shallowRef<ReadonlyMap<string, string>>(new Map())
const sure = ref<number>()

onMounted(async () => {
  await tray.load()
  const kept = await storage.keep(() => storage.jobs.toArray())
  names.value = new Map(kept.map(({ id, job }) => [id, job.name]))
})

const nameOf = ({ kind, topic }: Refused) =>
  kind === YARD ? 'The yard' : (names.value.get(topic) ?? 'A job that this device has not opened')
function says({ kind, body }: Refused): string {
  if (kind === YARD) return 'a change of its tables'
  if (kind === NEW_JOB) return 'a job that was made here'
  if (kind === OFFERS) return 'draft' in (body as object) ? 'An offer' : 'an answer to an offer'
  if (kind !== EDITS) return 'A photograph'
  const { commands } = body as VersionedBatch
  const said = commands.slice(0, 3).map((command) => `${subjectWords(command)}: ${commandWords(command, words)}`)
  return commands.length > 3 ? `${said.join('; ')} and ${commands.length - 3} more` : said.join('; ')
}
async function throwAway(item: Refused): Promise<void> {
  if (sure.value !== item.order) return void (sure.value = item.order)
  await tray.throwAway(item)
}
const save = () => saveFile('vindex-not-accepted.json', tray.asFile(), 'application/json')
</script>

<template>
  <section v-if="tray.items.value.length" class="tray" aria-labelledby="tray-title">
    <h2 id="tray-title">Not accepted, kept on this device</h2>
    <ul>
      <li v-for="item in tray.items.value" :key="item.order">
        <p>
          <strong>{{ nameOf(item) }}</strong
          >, {{ says(item) }}
        </p>
        <p class="error-text">{{ item.why }}</p>
        <div class="row">
          <v-btn @click="tray.sendAgain(item)">Send it again</v-btn>
          <v-btn v-if="item.kind === NEW_JOB" variant="text" :to="`/jobs/${item.topic}/walk`">Open it</v-btn>
          <v-btn variant="text" @click="throwAway(item)">{{
            sure === item.order ? 'Throw it away for good' : 'Throw it away'
          }}</v-btn>
        </div>
      </li>
    </ul>
    <v-btn variant="text" @click="save">Save all of it as a file</v-btn>
  </section>
</template>

<style scoped>
.tray {
  border: 2.4px solid var(--error);
  padding: 12px;
  margin-bottom: 22px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  padding: 8px 0;
  border-bottom: 1.5px solid var(--rule);
}
</style>
