<script setup lang="ts">
import { computed } from 'vue'
import { SKILLS } from '~~/core/document/vocabulary'
import type { Person, Skill } from '~~/core/day/question'
import { USUAL_SETUP } from '~~/core/day/setup'
import { useYard } from '~/yard/useYard'
import { useDay } from './useDay'

/** Who comes, and what each may be put to. */
const day = useDay()
const { people } = useYard()
const crew = computed<readonly Person[]>(() => (day.setup.value.crew as Person[] | undefined) ?? USUAL_SETUP.crew)
const LETTERS = ['A', 'B', 'C', 'D']
const WORDS: Record<Skill, string> = {
  dig: 'digs and breaks out',
  mix: 'mixes and pours',
  saw: 'saws and fixes',
  lift: 'lifts with another',
}
const keep = (next: readonly Person[]) =>
  day.set(
    'crew',
    next.map((each) => ({ ...each, skills: [...each.skills] })),
  )
const change = (id: string, to: Partial<Person>) =>
  keep(crew.value.map((each) => (each.id === id ? { ...each, ...to } : each)))
function toggle({ id, skills }: Person, skill: Skill): void {
  void change(id, { skills: skills.includes(skill) ? skills.filter((each) => each !== skill) : [...skills, skill] })
}
/** Those of the yard who are not in it yet, by name. */
const atHand = computed(() => people.value.filter(({ name }) => !crew.value.some((each) => each.name === name)))
function add(known?: { name: string; skills?: readonly string[] }): void {
  const id = LETTERS.find((letter) => !crew.value.some((each) => each.id === letter))!
  const skills = known?.skills?.filter((each): each is Skill => SKILLS.some((skill) => skill === each)) ?? [...SKILLS]
  // Somebody who stands there for whoever it may be is given the name of the first who is known.
  const nameless = crew.value.find((each) => each.name === each.id)
  if (known && nameless) void change(nameless.id, { name: known.name, skills })
  else void keep([...crew.value, { id, name: known?.name ?? id, skills }])
}
const remove = (id: string) => keep(crew.value.filter((each) => each.id !== id))
</script>

<template>
  <div>
    <fieldset v-for="each in crew" :key="each.id" class="person">
      <legend class="measure">{{ each.id }}</legend>
      <v-text-field
        :label="`Name of ${each.id}`"
        :model-value="each.name"
        hide-details
        @change="change(each.id, { name: ($event.target as HTMLInputElement).value })"
      />
      <div class="skills">
        <v-checkbox
          v-for="skill in SKILLS"
          :key="skill"
          :label="WORDS[skill]"
          :aria-label="`${each.id} ${WORDS[skill]}`"
          hide-details
          :model-value="each.skills.includes(skill)"
          @update:model-value="toggle(each, skill)"
        />
      </div>
      <v-btn v-if="crew.length > 1" variant="text" @click="remove(each.id)">{{ each.id }} does not come</v-btn>
    </fieldset>
    <div class="row">
      <v-btn v-for="each in atHand" :key="each.key" :disabled="crew.length >= 4" @click="add(each)"
        >{{ each.name }} comes</v-btn
      >
      <v-btn v-if="crew.length < 4" variant="text" @click="add()">One more comes</v-btn>
    </div>
  </div>
</template>

<style scoped>
.person {
  border: 0;
  border-bottom: 1.5px solid var(--rule);
  padding: 8px 0 12px;
  margin-bottom: 10px;
}
legend {
  font-size: 26px;
}
.skills {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
</style>
