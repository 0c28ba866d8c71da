<script setup lang="ts">
/** From a symptom to its cause: one test at a time, each answer leading on. */
import { computed, ref } from 'vue';
import { at, last, present, troublesIn, type FaultTree } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import * as texts from '../../words/kit/faultSearch';

const props = defineProps<{ tree: FaultTree }>();
const emit = defineEmits<{ mend: [troubleId: string] }>();
const garage = useGarage();
const answers = useAnswer();
/** Tests so far with what was seen; the last is still open. */
const path = ref<{ test: string; seen: string | null }[]>([{ test: at(props.tree.tests, 0).id, seen: null }]);
const found = ref<string | null>(null);
const testOf = (id: string) => present(props.tree.tests.find((t) => t.id === id));
const name = computed(() => (garage.doc ? (troublesIn(garage.doc).find((t) => t.id === found.value)?.name ?? '') : ''));
function take(seen: string, then: { test: string } | { trouble: string }) {
  last(path.value).seen = seen;
  if ('test' in then) path.value.push({ test: then.test, seen: null });
  else found.value = then.trouble;
}
function backTo(i: number) {
  path.value = path.value.slice(0, i + 1);
  at(path.value, i).seen = null;
  found.value = null;
}
/** Whether the kit has what a test takes. */
const lacking = (id: string) =>
  testOf(id).step.needs.filter(
    (n) => n.by === 'function' && !answers.answer?.kit.pieces.some((p) => p.piece.functions.includes(n.does)),
  );
</script>

<template>
  <ol class="search" aria-live="polite">
    <li v-for="(p, i) in path" :key="p.test">
      <p v-if="testOf(p.test).caution && p.seen === null" class="caution">{{ testOf(p.test).caution }}</p>
      <strong>{{ testOf(p.test).step.text }}</strong>
      <small v-for="n in lacking(p.test)" :key="n.by === 'function' ? n.does : ''" class="gap">
        {{ ' ' }}{{ texts.thisKitHasNothingTo(n.by === 'function' ? n.does : '') }}</small
      >
      <p v-if="p.seen === null" class="answers">
        <v-btn variant="tonal" v-for="a in testOf(p.test).answers" :key="a.seen" @click="take(a.seen, a.then)">
          {{ a.seen }}
        </v-btn>
      </p>
      <p v-else>
        {{ p.seen }}
        <v-btn variant="plain" :aria-label="texts.answerAgain(testOf(p.test).step.text)" @click="backTo(i)">{{
          texts.again
        }}</v-btn>
      </p>
    </li>
  </ol>
  <p v-if="found" class="found">
    {{ texts.mostLikely }} <strong>{{ name }}</strong>.
    <v-btn @click="emit('mend', found)">{{ texts.howToRepairIt }}</v-btn>
  </p>
</template>

<style scoped>
.search {
  margin: 0;
  padding-left: 22px;
  font-size: 15px;
}
.search li {
  padding: 4px 0;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 4px;
}
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  font-size: 16px;
  padding: 6px 0 10px;
}
small {
  display: block;
}
</style>
