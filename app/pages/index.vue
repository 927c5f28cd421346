<script setup lang="ts">
import { navigateTo } from '#imports'
import { computed, onMounted, ref } from 'vue'
import NewJobForm from '~/jobs/NewJobForm.vue'
import OverviewStrip from '~/picture/OverviewStrip.vue'
import { api, type Refusal } from '~/sync/api'
import { queue, storage } from '~/sync/device'
import { EDITS } from '~/sync/edits'
import { jobSummary } from '~~/core/document/summary'
import type { ListedJob } from '~~/shared/contract'

/** What needs somebody now, then every job with a sketch of its lines. */
const jobs = ref<ListedJob[]>()
const failure = ref('')
const wanted = ref('')

async function load(): Promise<void> {
  try {
    jobs.value = await api.listJobs()
    failure.value = ''
  } catch (error) {
    failure.value = (error as Refusal).message
    jobs.value ??= await keptJobs()
  }
}
/** Jobs that this device has opened before: they open without a signal. */
async function keptJobs(): Promise<ListedJob[]> {
  const kept = await storage.jobs.toArray()
  return kept.map(({ id, version, job }) => ({
    id,
    version,
    name: job.name,
    siteName: job.site?.name ?? '',
    summary: jobSummary(job),
    updatedAt: '',
  }))
}
onMounted(load)

const needing = computed(() => jobs.value?.filter((job) => job.summary.undecided > 0) ?? [])
const waiting = (id: string) => queue.waiting(EDITS, id)
const found = computed(
  () =>
    jobs.value?.filter((job) => `${job.name} ${job.siteName}`.toLowerCase().includes(wanted.value.toLowerCase())) ?? [],
)
</script>

<template>
  <div class="jobs">
    <header class="head">
      <p class="brand measure">VINDEX</p>
      <span class="grow" />
      <NewJobForm @made="(id: string) => navigateTo(`/jobs/${id}/walk`)" />
    </header>
    <main>
      <p v-if="failure" class="caution" role="alert">
        {{ failure }} <v-btn variant="text" @click="load">Try again</v-btn>
      </p>
      <section v-if="needing.length" class="needs" aria-labelledby="needs-title">
        <h2 id="needs-title">What needs you now</h2>
        <ul>
          <li v-for="job in needing" :key="job.id">
            <NuxtLink :to="`/jobs/${job.id}/look`"
              ><strong class="measure">{{ job.summary.undecided }}</strong>
              {{ job.summary.undecided === 1 ? 'post' : 'posts' }} without a repair on {{ job.name }}</NuxtLink
            >
          </li>
        </ul>
      </section>
      <section aria-labelledby="jobs-title">
        <div class="row spread">
          <h1 id="jobs-title">Jobs</h1>
          <label class="search"
            ><span class="visually-hidden">Search the jobs</span
            ><input v-model="wanted" type="search" placeholder="search"
          /></label>
        </div>
        <p v-if="!jobs" role="status">Reading the jobs …</p>
        <p v-else-if="jobs.length === 0">No jobs yet. Make one, or open a file.</p>
        <ul class="list">
          <li v-for="job in found" :key="job.id">
            <NuxtLink :to="`/jobs/${job.id}/look`" class="job">
              <span class="names"
                ><strong>{{ job.name }}</strong
                ><span class="soft">{{ job.siteName }}</span></span
              >
              <span class="soft count"
                >{{ job.summary.posts }} posts, {{ job.summary.failed }} failed<template v-if="waiting(job.id)"
                  >; {{ waiting(job.id) }} waiting to send</template
                ></span
              >
              <OverviewStrip
                v-for="line in job.summary.lines"
                :key="line.id"
                class="sketch"
                :posts="line.posts"
                :length="line.length"
                :label="`${line.name}, ${line.posts.length} posts`"
                :height="64"
              />
            </NuxtLink>
          </li>
        </ul>
      </section>
      <p class="soft foot">Figures are planning estimates; local codes and licensed practice decide.</p>
    </main>
  </div>
</template>

<style scoped>
.jobs {
  max-width: 1180px;
  margin: 0 auto;
  padding: 0 20px;
  width: 100%;
}
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  flex-wrap: wrap;
  min-height: 64px;
  border-bottom: 1.8px solid var(--ink);
  margin-bottom: 18px;
  padding: 8px 0;
}
.brand {
  letter-spacing: 0.18em;
  font-size: 24px;
}
.needs {
  margin-bottom: 22px;
}
.needs ul,
.list {
  list-style: none;
  padding: 0;
}
.needs a {
  display: block;
  min-height: 48px;
  padding: 10px 0 10px 14px;
  border-left: 6px solid var(--string);
  color: var(--ink);
  text-decoration: none;
  margin-top: 8px;
}
.needs .measure {
  font-size: 22px;
  margin-right: 4px;
}
.job {
  display: block;
  color: var(--ink);
  text-decoration: none;
  padding: 14px 0 8px;
  border-bottom: 1.5px solid var(--rule);
}
.job:hover strong,
.needs a:hover {
  text-decoration: underline;
}
.names {
  display: inline-flex;
  gap: 14px;
  flex-wrap: wrap;
  align-items: baseline;
}
.names strong {
  font-size: 18px;
}
.count {
  float: right;
}
.sketch {
  margin-top: 6px;
}
.search input {
  border: 1.5px solid var(--ink);
  min-height: 48px;
  padding: 0 12px;
  font: inherit;
  color: var(--ink);
}
.foot {
  margin: 24px 0;
  font-size: 14px;
}
@media (max-width: 760px) {
  .jobs {
    padding: 0 14px;
  }
  .count {
    float: none;
    display: block;
  }
  .search input {
    width: 150px;
  }
}
</style>
