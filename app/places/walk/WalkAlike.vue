<script setup lang="ts">
import { useAlike } from './useAlike'

/** Many posts at once: what the chosen post has is given to others, listed before it is done, undone in one. */
const alike = useAlike()
const { from, things, others, chosen, keys, isOver, typed, wrong, said, sets, changes, count } = alike
</script>

<template>
  <div>
    <p>What {{ from.post }} has, given to other posts at once.</p>
    <p v-if="things.length === 0" class="soft">
      Nothing was said of {{ from.post }} yet: say it first, or go to another post.
    </p>
    <template v-else>
      <fieldset class="group">
        <legend>What of it?</legend>
        <v-checkbox
          v-for="{ key, words } in things"
          :key="key"
          v-model="keys"
          :value="key"
          :label="words"
          hide-details
        />
      </fieldset>
      <fieldset class="group">
        <legend>To which posts?</legend>
        <div class="row">
          <v-btn v-for="{ words, posts } in sets" :key="words" @click="alike.choose(posts)">{{ words }}</v-btn>
        </div>
        <v-text-field
          v-model="typed"
          label="From one to another"
          :placeholder="`${others[0]?.post.id}-${others.at(-1)?.post.id}`"
          :error-messages="wrong"
          autocomplete="off"
          @change="alike.chooseNamed"
          @keydown.enter="alike.chooseNamed"
        />
        <div class="posts">
          <button
            v-for="{ post } in others"
            :key="post.id"
            type="button"
            class="post measure"
            :aria-pressed="chosen.has(post.id)"
            @click="alike.toggle(post.id)"
          >
            {{ post.id }}
          </button>
        </div>
      </fieldset>
      <v-checkbox v-model="isOver" label="Write over what they have of their own, measured or not" hide-details />
      <div class="panel-section">
        <h3>What will change</h3>
        <p v-if="changes.length === 0" class="soft">Nothing yet.</p>
        <ul v-else class="changes">
          <li v-for="{ post, words } in changes" :key="post">
            <strong class="measure">{{ post }}</strong> {{ words }}
          </li>
        </ul>
      </div>
      <v-btn block variant="flat" color="primary" :disabled="count === 0" @click="alike.give"
        >Give it to {{ count }} {{ count === 1 ? 'post' : 'posts' }}</v-btn
      >
      <p v-if="said" role="status" class="said">{{ said }}</p>
    </template>
  </div>
</template>

<style scoped>
.group {
  border: 0;
  padding: 0;
  margin: 12px 0;
}
legend {
  font-family: var(--measure);
  font-weight: 600;
  font-size: 18px;
  margin-bottom: 6px;
}
.row {
  margin-bottom: 12px;
}
.posts {
  margin-top: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  max-height: 240px;
  overflow-y: auto;
}
.post {
  min-width: 56px;
  min-height: 48px;
  border: 1.5px solid var(--rule);
  background: none;
  color: var(--ink);
  font-size: 17px;
  cursor: pointer;
}
.post[aria-pressed='true'] {
  border: 3px solid var(--ink);
  background: var(--faint);
}
.changes {
  list-style: none;
  padding: 0;
  max-height: 220px;
  overflow-y: auto;
}
.changes li {
  padding: 4px 0;
}
.said {
  margin-top: 8px;
}
</style>
