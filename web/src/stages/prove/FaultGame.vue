<script setup lang="ts">
/** Find the fault: tests one by one, each shows what it would; minutes against the best order there is. */
import { computed, ref } from 'vue';
import {
  present,
  bestMinutes,
  drawFault,
  isFound,
  mayTest,
  testFault,
  testMinutes,
  TROUBLES,
  type Cause,
  type ProveCase,
  type Tested,
} from '@necessaire/core';
import { counted, percent } from '../../ui/words';
import { minutesText } from '../../words/prove';
import * as texts from '../../words/prove/faultGame';

const props = defineProps<{ of: ProveCase }>();
const seed = ref(Math.floor(Math.random() * 1e6));
const drill = computed(() => drawFault(props.of, seed.value));
const done = ref<Tested[]>([]);
const says = ref('');
const left = computed<readonly Cause[]>(() => done.value.at(-1)?.left ?? drill.value.search.causes);
const found = computed(() => isFound(drill.value, left.value));
const minutes = computed(() => done.value.reduce((s, t) => s + t.minutes, 0));
const best = computed(() => bestMinutes(drill.value));
const tests = computed(() => drill.value.search.tree.tests.filter((t) => !done.value.some((x) => x.test === t.id)));
const testOf = (id: string) => present(drill.value.search.tree.tests.find((t) => t.id === id));
const name = (trouble: string) => TROUBLES.find((t) => t.id === trouble)?.name ?? trouble;
/** Likely causes by what is known now, each trouble once. */
const odds = computed(() => {
  const all = left.value.reduce((s, k) => s + k.weight, 0);
  const by = new Map<string, number>();
  for (const k of left.value) by.set(k.trouble, (by.get(k.trouble) ?? 0) + k.weight / all);
  return [...by].map(([trouble, share]) => ({ trouble, share })).sort((a, b) => b.share - a.share);
});
function test(id: string) {
  says.value = '';
  const may = mayTest(drill.value.search, id, left.value);
  if (may === 'no tool') {
    says.value = texts.thisKitHasNothingFor((drill.value.lacks.get(id) ?? []).join(', '));
    return;
  }
  if (may === 'not yet') {
    const never = testOf(id).never.filter((t) => left.value.some((k) => k.trouble === t));
    says.value = texts.notYetItMayStill(never.map(name).join('” or “'));
    return;
  }
  done.value = [...done.value, testFault(drill.value, left.value, id)];
}
function next() {
  done.value = [];
  says.value = '';
  seed.value++;
}
const lacking = computed(() => [...new Set([...drill.value.lacks.values()].flat())]);
</script>

<template>
  <section class="game" :aria-label="texts.findTheFault">
    <h2 class="big">{{ drill.search.tree.symptom }}</h2>
    <p class="soft">
      {{ texts.itIsOneOfChoose(counted(odds.length, 'cause')) }}
    </p>
    <ol v-if="done.length > 0" class="done">
      <li v-for="t in done" :key="t.test">
        {{ testOf(t.test).step.text }}{{ ' ' }}<strong>{{ testOf(t.test).answers[t.answer]?.seen }}</strong> {{ ' '
        }}<span class="num soft">{{ minutesText(t.minutes) }}</span>
      </li>
    </ol>
    <p v-if="says" class="gap" role="alert">{{ says }}</p>
    <template v-if="!found">
      <ul class="plain" :aria-label="texts.testsToChoose">
        <li v-for="t in tests" :key="t.id">
          <v-btn variant="text" class="test" @click="test(t.id)">
            <span
              >{{ t.step.text }}<small v-if="t.caution" class="caution">{{ t.caution }}</small></span
            >
            <span class="num">{{ minutesText(testMinutes(t)) }}</span>
          </v-btn>
        </li>
      </ul>
      <p class="odds soft">
        {{
          texts.now(
            odds
              .slice(0, 4)
              .map((o) => `${name(o.trouble)} ${percent(o.share)}`)
              .join(', '),
          )
        }}
      </p>
    </template>
    <div v-else class="result" role="status">
      <p>
        <strong class="good">{{ name(drill.cause.trouble) }}</strong>: {{ drill.cause.seen }}.
        <template v-if="odds.length > 1">
          {{ ' '
          }}{{ texts.nothingInThisKitTells(counted(odds.length - 1, texts.otherCause, texts.otherCauses)) }}</template
        >
      </p>
      <p>
        {{ texts.youTook }} <strong class="num">{{ minutesText(minutes) }}</strong>{{ texts.theBestOrderTakes }}
        <strong class="num">{{ minutesText(best.minutes) }}</strong>
        {{ texts.hereAndOnAverageOver(minutesText(drill.best)) }}
      </p>
      <ol class="done">
        <li v-for="id in best.tests" :key="id">{{ testOf(id).step.text }}</li>
      </ol>
      <p v-if="lacking.length > 0" class="soft">
        {{ texts.testsOfThisSymptomAsk(lacking.join(', ')) }}
      </p>
      <v-btn @click="next">{{ texts.anotherFault }}</v-btn>
    </div>
    <p class="soft">{{ texts.oddsAreThoseOfYour }}</p>
  </section>
</template>

<style scoped>
.big {
  font-size: 24px;
  text-transform: none;
  letter-spacing: 0;
  color: var(--ink);
  padding-bottom: 4px;
}
.done {
  margin: 6px 0;
  padding-left: 22px;
  font-size: 14.5px;
}
.done li {
  padding: 3px 0;
}
.test {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  width: 100%;
  min-height: 48px;
  padding: 7px 0;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  font-size: 15px;
  line-height: 1.25;
}
.test small {
  display: block;
  font-size: 12.5px;
  margin-top: 3px;
}
.odds {
  padding: 8px 0;
}
.result {
  display: grid;
  gap: 6px;
  padding: 8px 0;
}
</style>
