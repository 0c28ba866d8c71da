<script setup lang="ts">
/** What came of a check: fine, found something, or skipped with a reason; the gauge's two readings where it is about that. */
import { ref, watch } from 'vue';
import { gaugeSchema, type CheckDone, type CheckDue } from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import { today } from '../../ui/day';
import LineField from '../../ui/LineField.vue';
import NumberField from '../../ui/NumberField.vue';
import * as texts from '../../words/prove/checkAnswer';

const props = defineProps<{ check: CheckDue; large?: boolean }>();
const emit = defineEmits<{ answered: [] }>();
const proof = useProof();
const garage = useGarage();
const notice = useNotice();
/** What is being said with words: what was found, or why it is skipped. */
const saying = ref<'found' | 'skipped' | null>(null);
const note = ref('');
const shows = ref(garage.doc?.garage.gauge?.shows ?? 200);
const good = ref(garage.doc?.garage.gauge?.good ?? 200);
watch(
  () => props.check.key,
  () => {
    saying.value = null;
    note.value = '';
  },
);
function say(result: CheckDone['result']) {
  const { name } = checkWords(props.check.about);
  if (!proof.check(props.check, result, note.value)) return;
  notice.done(`${name}: ${result === 'ok' ? 'fine' : result}.`);
  saying.value = null;
  note.value = '';
  emit('answered');
}
function press(result: 'found' | 'skipped') {
  if (saying.value === result) say(result);
  else saying.value = result;
}
function compare() {
  const doc = garage.doc;
  const read = gaugeSchema.safeParse({ shows: shows.value, good: good.value, on: today() });
  if (!doc || !read.success) return;
  if (garage.edit(texts.gaugeCompared, [], { ...doc.garage, gauge: read.data })) say('ok');
}
defineExpose({ say, press });
</script>

<template>
  <div class="answer" :class="{ large }">
    <div v-if="check.key === 'gauge'" class="gauge">
      <NumberField v-model="shows" :label="texts.yoursShows" quantity="pressure" :min="20" :max="900" />
      <NumberField v-model="good" :label="texts.theGoodOneShows" quantity="pressure" :min="20" :max="900" />
      <v-btn @click="compare">{{ texts.saveBothReadings }}</v-btn>
    </div>
    <form v-if="saying" class="words" @submit.prevent="say(saying)">
      <LineField
        v-model="note"
        :label="saying === 'found' ? texts.whatWasFound : texts.whyItIsSkipped"
        maxlength="300"
        autofocus
      />
      <p class="acts">
        <v-btn type="submit">{{ saying === 'found' ? texts.save : texts.skipIt }}</v-btn>
        <v-btn variant="tonal" @click="saying = null">{{ texts.back }}</v-btn>
      </p>
    </form>
    <p v-else class="acts">
      <v-btn v-if="check.key !== 'gauge'" @click="say('ok')"
        >{{ texts.fine }}<span v-if="large" class="key">1</span></v-btn
      >
      <v-btn variant="tonal" @click="press('found')"
        >{{ texts.foundSomething }}<span v-if="large" class="key">2</span></v-btn
      >
      <v-btn variant="tonal" @click="press('skipped')">{{ texts.skip }}<span v-if="large" class="key">3</span></v-btn>
    </p>
  </div>
</template>

<style scoped>
.gauge {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  align-items: end;
  padding-bottom: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.large .acts .v-btn {
  min-height: 72px;
  flex: 1 1 150px;
  justify-content: center;
  font-size: 21px;
}
.words {
  display: grid;
  gap: 8px;
}
@media (max-width: 760px) {
  .key {
    display: none;
  }
}
</style>
