<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useForm } from 'vee-validate'
import { object, string } from 'yup'
import type { Refusal } from '~/sync/api'
import { LONGEST } from '~~/core/limits'
import type { InvitationLink, PeopleAnswer, PersonAnswer } from '~~/shared/contract'
import { ROLE_NAMES, ROLE_WORDS, ROLES, type Role } from '~~/shared/people'
import { dayWords } from '~~/core/report/dates'
import DeviceList from './DeviceList.vue'
import { peopleApi } from './peopleApi'

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
/** What cannot be taken back lightly is asked twice. */
const sure = ref('')
function leave({ id }: PersonAnswer): void {
  if (sure.value !== id) return void (sure.value = id)
  sure.value = ''
  void ask(() => peopleApi.change(id, { deed: 'leave' }))
}
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title">{{ here?.workspace ?? 'People' }}</h2>
    <p v-if="failure" class="error-text" role="alert">{{ failure }}</p>
    <ul class="rows people">
      <li v-for="each in here?.people ?? []" :key="each.id" :aria-label="each.name">
        <div class="who">
          <strong>{{ each.name }}</strong> <span class="soft">signs in as {{ each.signInName }}</span>
          <span v-if="each.leftAt">, left on {{ dayWords(Date.parse(each.leftAt)) }}</span>
        </div>
        <div class="row">
          <template v-if="each.leftAt">
            <v-btn variant="text" @click="ask(() => peopleApi.change(each.id, { deed: 'come-back' }))">Is back</v-btn>
          </template>
          <template v-else>
            <v-select
              class="role"
              :label="`Role of ${each.name}`"
              :items="roles"
              :model-value="each.role"
              @update:model-value="(to: Role) => ask(() => peopleApi.change(each.id, { deed: 'role', role: to }))"
            />
            <v-btn variant="text" @click="newWayIn(each)">New way in</v-btn>
            <v-btn variant="text" @click="leave(each)">{{
              sure === each.id ? 'Leaves, and every device forgets' : 'Leaves'
            }}</v-btn>
          </template>
        </div>
        <DeviceList :devices="each.devices" @sign-out="(id) => ask(() => peopleApi.signDeviceOut(id))" />
      </li>
    </ul>
    <h3>Somebody new</h3>
    <form novalidate class="field-grid" @submit.prevent="invite">
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
.rows.people > li {
  display: block;
  padding: 14px 0;
}
.rows.people > li > .row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.who {
  font-size: 18px;
  margin-bottom: 12px;
}
.role {
  flex: 0 1 260px;
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
