<script setup lang="ts">
/** A row that was changed here and in another window: what differs, in words, and the rider chooses. */
import { computed } from 'vue';
import { useGarage } from '../stores/garage';
import { differences } from '../words/fields';
import { useSaying } from './saying';

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
  <v-dialog aria-label="Changed in another window" :model-value="question !== null" persistent max-width="560">
    <v-card v-if="question" class="conflict" role="alertdialog">
      <h1>
        <template v-if="title">{{ title }}: changed</template><template v-else>Changed</template> in another window
      </h1>
      <p>Nothing is lost. Choose the version to keep.</p>
      <v-table density="compact">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Yours</th>
            <th scope="col">Theirs</th>
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
        <v-btn variant="outlined" @click="choose('mine')">Keep mine</v-btn>
        <v-btn variant="outlined" @click="choose('theirs')">Take theirs</v-btn>
        <span v-if="more > 0" class="soft">{{ more }} more to decide</span>
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
