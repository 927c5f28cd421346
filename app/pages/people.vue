<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { useRouter } from '#imports'
import PartTabs from '~/controls/PartTabs.vue'
import AuditList from '~/session/AuditList.vue'
import OwnAccount from '~/session/OwnAccount.vue'
import PeopleList from '~/session/PeopleList.vue'
import { session } from '~/session/account'
import PageHead from '~/shell/PageHead.vue'

/** Whoever is signed in, and for who leads: who works here, and who did what. */
const router = useRouter()
const TABS = [
  { value: 'you', words: 'You' },
  { value: 'people', words: 'People' },
  { value: 'audit', words: 'Who did what' },
] as const
type Part = (typeof TABS)[number]['value']
const tabs = computed(() => TABS.filter(({ value }) => value === 'you' || session.may('people')))
const part = computed<Part>({
  get: () => tabs.value.find(({ value }) => value === router.currentRoute.value.query.part)?.value ?? 'you',
  set: (value) => void router.replace({ query: { part: value } }),
})
onMounted(session.refresh)
</script>

<template>
  <div class="people-page">
    <PageHead title="People" />
    <main class="legible">
      <template v-if="session.isOpen.value">
        <p class="note">
          No account is made yet. The jobs are open, to this machine alone: the server listens to nobody else, and asks
          nobody to sign in.
        </p>
        <p><v-btn variant="flat" color="primary" to="/sign-in">Make the first account</v-btn></p>
      </template>
      <PartTabs v-else-if="session.person.value" v-model="part" label="Parts of people" :tabs="tabs">
        <OwnAccount v-if="part === 'you'" />
        <PeopleList v-else-if="part === 'people'" />
        <AuditList v-else />
      </PartTabs>
    </main>
  </div>
</template>

<style scoped>
.people-page {
  max-width: 860px;
  margin: 0 auto;
  padding: 0 20px 80px;
  font-size: 17px;
}
.note {
  margin: 18px 0;
}
:deep(section > p) {
  margin: 10px 0;
}
:deep(h2) {
  margin: 18px 0 6px;
}
:deep(h3) {
  margin: 22px 0 8px;
}
:deep(.rows) {
  list-style: none;
  padding: 0;
}
:deep(.rows li) {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 4px 14px;
  min-height: 48px;
  border-bottom: 1px solid var(--rule);
}
</style>
