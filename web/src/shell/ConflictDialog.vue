<script setup lang="ts">
/** A row that was changed here and in another window: what differs, in words, and the rider chooses. */
import { computed } from 'vue';
import { useGarage } from '../stores/garage';
import { differences } from '../words/fields';
import { useSaying } from './saying';
import * as texts from '../words/shell/conflictDialog';

const garage = useGarage();
const say = useSaying();
const question = computed(() => garage.questions[0] ?? null);
const title = computed(() => {
  const row = question.value?.mine ?? question.value?.theirs;
  return typeof row?.['name'] === 'string' ? row['name'] : null;
});
const fields = computed(() =>
  question.value ? differences(question.value.mine, question.value.theirs, say.value) : [],
);
const more = computed(() => garage.questions.length - 1);
function choose(keep: 'mine' | 'theirs') {
  if (question.value) void garage.resolve(question.value, keep);
}
</script>

<template>
  <v-dialog :aria-label="texts.changedInAnotherWindow" :model-value="question !== null" persistent max-width="560">
    <v-card v-if="question" class="conflict" role="alertdialog">
      <h1>
        <template v-if="title">{{ texts.changed(title) }}</template><template v-else>{{ texts.changed2 }}</template>
        {{ texts.inAnotherWindow }}
      </h1>
      <p>{{ texts.nothingIsLostChooseThe }}</p>
      <v-table density="compact">
        <thead>
          <tr>
            <th scope="col">{{ texts.what }}</th>
            <th scope="col">{{ texts.yours }}</th>
            <th scope="col">{{ texts.theirs }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in fields" :key="f.name">
            <td>{{ f.name }}</td>
            <td>{{ f.mine }}</td>
            <td>{{ f.theirs }}</td>
          </tr>
        </tbody>
      </v-table>
      <p class="acts">
        <v-btn variant="outlined" @click="choose('mine')">{{ texts.keepMine }}</v-btn>
        <v-btn variant="outlined" @click="choose('theirs')">{{ texts.takeTheirs }}</v-btn>
        <span v-if="more > 0" class="soft">{{ texts.moreToDecide(more) }}</span>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.conflict {
  padding: 18px 22px;
  display: grid;
  gap: 10px;
}
td {
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  gap: 12px;
  align-items: center;
}
.soft {
  color: var(--soft);
}
</style>
