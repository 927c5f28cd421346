<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useForm } from 'vee-validate'
import { object, string } from 'yup'
import type { Refusal } from '~/sync/api'
import { LONGEST } from '~~/core/limits'
import type { DeviceAnswer, InvitationLink, PeopleAnswer, PersonAnswer } from '~~/shared/contract'
import { ROLE_NAMES, ROLE_WORDS, ROLES, type Role } from '~~/shared/people'
import { dayWords } from '~~/core/weather/dates'
import { outWords } from './deviceWords'
import OpenInvitations from './OpenInvitations.vue'
import { peopleApi } from './peopleApi'
import PersonRow from './PersonRow.vue'

/** Who works here: invited by a link, with a role, and their devices. */
const here = shallowRef<PeopleAnswer>()
const failure = ref('')
/** A link that is shown once, and for whom. */
const link = shallowRef<{ address: string; until: string; name: string }>()
const roles = ROLES.map((value) => ({ value, title: ROLE_NAMES[value] }))

async function ask(work: () => Promise<unknown>): Promise<void> {
  failure.value = ''
  try {
    await work()
    here.value = await peopleApi.people()
  } catch (error) {
    failure.value = (error as Refusal).message
  }
}
onMounted(() => ask(async () => undefined))

const show = ({ token, expiresAt }: InvitationLink, name: string) =>
  (link.value = {
    address: `${location.origin}/sign-in?invitation=${token}`,
    until: dayWords(Date.parse(expiresAt)),
    name,
  })
const form = useForm<{ name: string; role: Role }>({
  initialValues: { name: '', role: 'technician' },
  validationSchema: object({ name: string().trim().required('Who it is for.').max(LONGEST.person) }),
})
const [name] = form.defineField('name', { validateOnModelUpdate: false })
const [role] = form.defineField('role')
const invite = form.handleSubmit((who) =>
  ask(async () => {
    show(await peopleApi.invite(who), who.name)
    form.resetForm()
  }),
)
const newWayIn = (person: PersonAnswer) =>
  ask(async () => show((await peopleApi.change(person.id, { deed: 'new-way-in' })) as InvitationLink, person.name))

const said = ref('')
async function signOut({ id }: DeviceAnswer, isLost: boolean): Promise<void> {
  said.value = ''
  await ask(async () => void (said.value = outWords(await peopleApi.signDeviceOut(id, isLost), isLost)))
}

/** Of hundreds only those whose name is typed; where it is a handful nobody has to search. */
const MANY = 12
const search = ref('')
const shown = computed(() =>
  (here.value?.people ?? []).filter(({ name, signInName }) =>
    `${name} ${signInName}`.toLowerCase().includes(search.value.trim().toLowerCase()),
  ),
)
/** Whose changes are open. */
const open = ref('')
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title">{{ here?.workspace ?? 'People' }}</h2>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <v-text-field
      v-if="(here?.people.length ?? 0) > MANY"
      v-model="search"
      type="search"
      label="Search the people"
      hide-details
    />
    <ul class="rows">
      <PersonRow
        v-for="each in shown"
        :key="each.id"
        :person="each"
        :is-open="open === each.id"
        @open="open = open === each.id ? '' : each.id"
        @role="(role) => ask(() => peopleApi.change(each.id, { deed: 'role', role }))"
        @new-way-in="newWayIn(each)"
        @leave="ask(() => peopleApi.change(each.id, { deed: 'leave' }))"
        @come-back="ask(() => peopleApi.change(each.id, { deed: 'come-back' }))"
        @sign-out="signOut"
      />
    </ul>
    <OpenInvitations
      :invitations="here?.invitations ?? []"
      @take-back="(id) => ask(() => peopleApi.takeBackInvitation(id))"
    />
    <h3>Somebody new</h3>
    <form novalidate class="new" @submit.prevent="invite">
      <v-text-field v-model="name" label="Name" :error-messages="form.errors.value.name" />
      <v-select v-model="role" label="Role" :items="roles" :hint="ROLE_WORDS[role]" persistent-hint />
      <v-btn type="submit">Make a link</v-btn>
    </form>
    <div v-if="link" class="link" role="status">
      <p>
        For {{ link.name }}, once, until {{ link.until }}. It is shown only here: hand it on by whatever way is safe.
      </p>
      <p class="address">{{ link.address }}</p>
    </div>
  </section>
</template>

<style scoped>
.new {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 12px;
  align-items: start;
}
@media (max-width: 760px) {
  .new {
    grid-template-columns: 1fr;
  }
}
.link {
  border: 1.8px solid var(--ink);
  padding: 12px;
  margin-top: 14px;
}
.address {
  overflow-wrap: anywhere;
  user-select: all;
  font-weight: 600;
}
</style>
