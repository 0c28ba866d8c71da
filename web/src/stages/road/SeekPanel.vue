<script setup lang="ts">
/** A search: the test that saves most minutes, answered by a large press; what it may be as bars; back at any time. */
import { computed, ref } from 'vue';
import { seek, testMinutes, type FaultTree, type ProveCase, type Seen } from '@necessaire/core';
import { percent } from '../../ui/words';
import { minutesText } from '../../words/prove';
import { END_WORDS } from '../../words/road';
import * as texts from '../../words/road/seekPanel';

const props = defineProps<{ tree: FaultTree; of: ProveCase }>();
const emit = defineEmits<{ mend: [troubleId: string] }>();
const seen = ref<Seen[]>([]);
const read = ref(props.tree.first === '');
const now = computed(() => seek(props.of, props.tree, seen.value));
const name = (id: string) => props.of.troubles.find((t) => t.id === id)?.name ?? id;
const testOf = (id: string) => props.tree.tests.find((t) => t.id === id);
const take = (answer: number | null) => {
  const test = now.value.next;
  if (test) seen.value = [...seen.value, { test: test.id, answer }];
};
const back = () => (seen.value = seen.value.slice(0, -1));
const MOST = 5;
const suspects = computed(() => now.value.suspects.slice(0, MOST));
const lacking = computed(() => [...new Set([...now.value.lacks.values()].flat())]);
</script>

<template>
  <div v-if="!read" class="stop" role="alert">
    <p class="big">{{ tree.first }}</p>
    <v-btn class="press" @click="read = true">{{ texts.thatIsDone }}</v-btn>
  </div>
  <div v-else>
    <template v-if="now.next">
      <p v-if="now.next.caution" class="caution">{{ now.next.caution }}</p>
      <h2 class="big" aria-live="polite">{{ now.next.step.text }}</h2>
      <p class="soft">
        {{ minutesText(testMinutes(now.next))
        }}<template v-if="now.minutes !== null"> {{ ' ' }}{{ texts.aboutToKnowIt(minutesText(now.minutes)) }}</template>
      </p>
      <div class="answers" role="group" :aria-label="texts.answers">
        <v-btn v-for="(a, i) in now.next.answers" :key="a.seen" variant="tonal" class="press" @click="take(i)">{{
          a.seen
        }}</v-btn>
        <v-btn variant="tonal" class="press unsure" @click="take(null)">{{ texts.iCannotTell }}</v-btn>
      </div>
    </template>
    <template v-else-if="now.end">
      <p class="big end" role="status">{{ END_WORDS[now.end] }}</p>
      <v-btn v-if="now.end === 'found' && suspects[0]" class="press" @click="emit('mend', suspects[0].trouble)">{{
        texts.howToFixIt(name(suspects[0].trouble))
      }}</v-btn>
    </template>
    <p v-if="seen.length > 0">
      <v-btn variant="tonal" @click="back">{{ texts.oneBack }}</v-btn>
    </p>
    <ul class="suspects" :aria-label="texts.whatItMayBe">
      <li v-for="s in suspects" :key="s.trouble">
        <v-btn variant="text" class="suspect" @click="emit('mend', s.trouble)">
          <span class="name">{{ name(s.trouble) }}</span>
          <v-progress-linear :model-value="s.share * 100" height="14" :aria-label="name(s.trouble)" />
          <span class="num">{{ percent(s.share) }}</span>
        </v-btn>
      </li>
    </ul>
    <p v-if="!now.next && lacking.length > 0" class="soft">{{ texts.withMoreCouldBeTold(lacking.join(', ')) }}</p>
    <ol v-if="seen.length > 0" class="path soft">
      <li v-for="s in seen" :key="s.test">
        {{ testOf(s.test)?.step.text }}{{ ' ' }}
        <strong>{{ s.answer === null ? texts.cannotTell : testOf(s.test)?.answers[s.answer]?.seen }}</strong>
      </li>
    </ol>
    <p class="soft">{{ texts.oddsAreThoseOfYour }}</p>
  </div>
</template>

<style scoped>
.big {
  font-size: clamp(24px, 3.4vw, 38px);
  font-family: var(--v-font-heading);
  font-weight: 600;
  line-height: 1.14;
  text-transform: none;
  letter-spacing: 0;
  color: var(--ink);
  padding: 12px 0 6px;
}
.stop {
  border: 3px solid var(--gap);
  padding: 10px 18px 18px;
  margin-top: 10px;
}
.answers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 10px;
  margin: 12px 0;
}
.press {
  min-height: 76px;
  font-size: 21px;
  line-height: 1.1;
  justify-content: center;
}
.unsure {
  border-style: dashed;
}
.suspects {
  list-style: none;
  margin: 10px 0;
  padding: 0;
}
.suspect {
  display: grid;
  grid-template-columns: minmax(140px, 2fr) minmax(60px, 2fr) 54px;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 64px;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  font-size: 16px;
}
.num {
  text-align: right;
}
.path {
  padding-left: 22px;
  font-size: 14px;
}
</style>
