<script setup lang="ts">
/** Words that the rider taught the lines: changed, added and deleted. They go with the garage's file. */
import { computed, ref } from 'vue';
import { OWN_TERMS, ownWordSchema, termWords } from '@necessaire/core';
import LineField from '../ui/LineField.vue';
import { useOwnWords } from '../ui/line/useOwnWords';
import SelectField from '../ui/SelectField.vue';
import { useRules } from '../ui/useRules';
import * as texts from '../words/garages/ownWordsDialog';

const emit = defineEmits<{ close: [] }>();
const { own, learn, forget } = useOwnWords();
const terms = OWN_TERMS.map((t) => ({ title: termWords(t), value: t }));
const said = ref('');
const means = ref('form:key');
const sorted = computed(() => [...own.value].sort((a, b) => a.said.localeCompare(b.said)));
const { value: ready, faults } = useRules(ownWordSchema, () => ({ said: said.value.trim(), means: means.value }));

function add() {
  if (!ready.value) return;
  learn(said.value.trim(), means.value);
  said.value = '';
}
</script>

<template>
  <v-dialog :aria-label="texts.myWords" :model-value="true" max-width="620" @update:model-value="emit('close')">
    <v-card class="dialog">
      <h1>{{ texts.myWords }}</h1>
      <p class="soft">
        {{ texts.wordsOfYoursThatThe }}
      </p>
      <form class="new" @submit.prevent="add">
        <LineField
          v-model="said"
          :label="texts.word"
          maxlength="40"
          :fault="said.trim() === '' ? null : (faults['said'] ?? null)"
        />
        <SelectField v-model="means" :label="texts.means" :items="terms" />
        <v-btn type="submit" :disabled="!ready">{{ texts.add }}</v-btn>
      </form>
      <p v-if="sorted.length === 0" class="empty">
        {{ texts.noWordsYetWhenA }}
      </p>
      <div v-for="w in sorted" :key="w.said" class="word">
        <strong>{{ w.said }}</strong>
        <SelectField
          :label="texts.means2(w.said)"
          hide-label
          :items="terms"
          :model-value="w.means"
          @update:model-value="learn(w.said, $event)"
        />
        <v-btn variant="plain" :aria-label="texts.delete2(w.said)" @click="forget(w)">{{ texts.deleteIt }}</v-btn>
      </div>
      <p class="acts">
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.dialog {
  padding: 18px 22px;
}
.new,
.word {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 10px;
  align-items: end;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
.word {
  align-items: center;
}
.acts {
  margin-top: 14px;
}
/* What a word means is a sentence: on a phone it has a line of its own. */
@media (max-width: 760px) {
  .dialog {
    padding: 14px 14px;
  }
  .new,
  .word {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .new > :nth-child(2),
  .word > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
