<script setup lang="ts">
/** One line a fastener, as fast as talking. What cannot be read is underlined, says why, and stays in the line. */
import { computed, nextTick, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { STATION_NAMES, typeEntry, type Fastener, type Station, type Visit } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import LineInput from '../../ui/line/LineInput.vue';
import LineSays from '../../ui/line/LineSays.vue';
import { useAnswers } from '../../ui/line/useAnswers';
import { useOwnWords } from '../../ui/line/useOwnWords';
import { ENTRY_LINES } from '../../words/lines';
import { ENTRY_TERMS, enteredAs, readingOf, unchanged, withReading, type Entered } from './entry';
import { undone } from './undone';
import * as texts from '../../words/walk/entryLine';

const props = defineProps<{ station: Station; visit: Visit | null }>();
const editing = defineModel<Fastener | null>('editing', { required: true });
const emit = defineEmits<{ down: []; added: [id: string]; measured: [id: string]; list: [text: string] }>();
const garage = useGarage();
const answers = useAnswer();
const view = useView();
const notice = useNotice();
const text = ref('');
const last = ref('');
/** The row as it was put into the line: what is not altered in the text stays whatever becomes of the row meanwhile. */
const printed = shallowRef<Fastener | null>(null);
const nextId = ref(crypto.randomUUID() as string);

const walking = computed(() => props.visit !== null && !editing.value);
const words = useOwnWords();
const reading = computed(() =>
  readingOf(text.value, walking.value, {
    here: editing.value?.station ?? props.station,
    inch: view.units === 'inch',
    own: words.own.value,
    known: words.known.value,
  }),
);
const entered = computed<Entered>(() => {
  const bike = garage.bike;
  if (!bike) return { kind: 'nothing', message: texts.addABikeFirst };
  return enteredAs(text.value, reading.value, {
    bike,
    fasteners: garage.fasteners,
    station: props.station,
    editing: editing.value && (printed.value ?? editing.value),
    visit: props.visit,
    nextId: nextId.value,
    who: view.who,
    now: new Date().toISOString(),
  });
});
/** What Enter does where that is not plain from the line. */
const meaning = computed(() => {
  const e = entered.value;
  if (e.kind === 'reading') return e.says;
  if (e.kind !== 'row' || editing.value || reading.value.draft.name !== undefined) return '';
  return e.row.leftOut !== null ? e.says : texts.forIt(e.row.name.toLowerCase());
});
const putWhole = () => {
  if (entered.value.kind === 'row') keep();
  return entered.value.kind === 'row';
};
const { box, shown, turn, hold, take, mean } = useAnswers(text, reading, putWhole);

watch(
  () => [text.value, editing.value] as const,
  () => {
    const e = entered.value;
    answers.draft = e.kind === 'row' && !unchanged(e, editing.value) ? e.row : null;
  },
);
/** Whether the line holds something typed that is nowhere else. */
const typed = (row: Fastener | null) =>
  text.value.trim() !== '' &&
  (row === null || !(['metric', 'inch'] as const).some((units) => text.value.trim() === typeEntry(row, units).trim()));
/** What was typed is set aside before the line takes something else. */
function setAside(row: Fastener | null) {
  if (!typed(row) || !view.garageId) return;
  undone.value = { garageId: view.garageId, text: text.value, row: row && { id: row.id, name: row.name } };
}
const offered = computed(() => (undone.value && undone.value.garageId === view.garageId ? undone.value : null));
watch(editing, async (f, was) => {
  if (f && was && f.id === was.id && typed(was)) {
    // The same row, changed meanwhile in its panel: what is being typed stays.
    box.value?.focus();
    return;
  }
  setAside(was);
  text.value = f ? typeEntry(f, view.units) : '';
  printed.value = f;
  if (f) {
    await nextTick();
    box.value?.focus();
    box.value?.select();
  }
});
onBeforeUnmount(() => {
  setAside(editing.value);
  answers.draft = null;
});
async function carryOn() {
  const back = offered.value;
  if (!back) return;
  undone.value = null;
  setAside(editing.value);
  const row = back.row ? (garage.fasteners.find((f) => f.id === back.row?.id) ?? null) : null;
  text.value = '';
  editing.value = row;
  await nextTick();
  await nextTick();
  text.value = back.text;
  box.value?.focus();
}

function keep() {
  const e = entered.value;
  if (e.kind === 'nothing') {
    notice.say(e.message);
    hold();
    return;
  }
  last.value = text.value;
  answers.draft = null;
  if (e.kind === 'reading') {
    garage.put(texts.readingOf(e.row.name), 'fasteners', withReading(e.row, e.value));
    emit('measured', e.row.id);
  } else {
    const taken = editing.value
      ? garage.edit(e.label, [{ table: 'fasteners', id: e.row.id, before: printed.value, after: e.row }])
      : garage.put(e.label, 'fasteners', e.row);
    if (!taken) return;
    notice.say(e.says);
    emit('added', e.row.id);
  }
  nextId.value = crypto.randomUUID();
  text.value = '';
  editing.value = null;
}
/** The last line again, for a row that differs in little. */
function repeat() {
  text.value = last.value;
  box.value?.focus();
}
/** The line again, as it stands: pressing a row or "correct" twice never costs what was typed. */
function focus() {
  box.value?.focus();
}
defineExpose({ focus });
function leave() {
  setAside(editing.value);
  text.value = '';
  editing.value = null;
}
function up() {
  if (text.value === '' && last.value !== '') text.value = last.value;
}
</script>

<template>
  <div class="entry">
    <form class="line" @submit.prevent="keep">
      <span class="prompt" aria-hidden="true">›</span>
      <LineInput
        id="entry"
        ref="box"
        v-model="text"
        :label="editing ? texts.change(editing.name) : texts.addAFastener"
        :reading="shown"
        :says="texts.entrySays"
        :placeholder="
          visit && !editing
            ? texts.sizeOfOr(visit.look.name.toLowerCase(), ENTRY_LINES.placeholder(view.units))
            : texts.at(ENTRY_LINES.placeholder(view.units), STATION_NAMES[station].toLowerCase())
        "
        @list="emit('list', $event)"
        @keydown.down.prevent.stop="emit('down')"
        @keydown.up.prevent="up"
        @keydown.esc="leave"
        @keydown.tab="turn"
      />
      <v-btn variant="text" class="add" type="submit"
        ><kbd class="key">{{ texts.enter }}</kbd> {{ editing ? texts.keep : texts.add }}</v-btn
      >
    </form>
    <p v-if="offered" class="undone" role="status">
      <span
        >{{ texts.notSaved
        }}<template v-if="offered.row"> {{ ' ' }}{{ texts.for2(offered.row.name.toLowerCase()) }}</template
        >: <code>{{ offered.text }}</code></span
      >
      <v-btn variant="plain" @click="carryOn">{{ texts.continue2 }}</v-btn>
      <v-btn variant="plain" @click="undone = null">{{ texts.discard }}</v-btn>
    </p>
    <div id="entry-says" class="says" aria-live="polite">
      <LineSays v-if="text.trim() !== ''" ref="says" :reading="shown" :terms="ENTRY_TERMS" @take="take" @mean="mean"
        ><strong v-if="meaning">{{ meaning }}</strong></LineSays
      >
      <span v-else class="soft"
        ><v-btn variant="plain" v-if="last" class="again" @click="repeat">{{ texts.lastLineAgain }}</v-btn>
        <template v-if="walking"
          ><code>?</code> {{ texts.assume }} <code>-</code> {{ texts.leaveOutOr }}{{ ' ' }} </template
        >{{ texts.sizeNameThen }} <code v-for="h in ENTRY_LINES.hints(view.units)" :key="h">{{ h }}</code></span
      >
    </div>
  </div>
</template>

<style scoped>
.entry {
  position: sticky;
  top: 0;
  z-index: 3;
  background: var(--sheet);
}
.line {
  display: flex;
  align-items: center;
  border-bottom: 2px solid var(--ink);
  padding: 0 16px;
  height: 46px;
  gap: 10px;
}
.prompt {
  color: var(--gap);
  font-size: 22px;
  font-weight: 600;
}
.line:focus-within {
  box-shadow: inset 4px 0 0 var(--ink);
}
.add {
  font-family: var(--v-font-heading);
  font-size: 15px;
  white-space: nowrap;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.says {
  min-height: 34px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--hair);
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  align-items: center;
  font-size: 13.5px;
}
.undone {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  padding: 4px 16px;
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
}
.undone span {
  flex: 1 1 200px;
  overflow-wrap: anywhere;
}
.again {
  margin-right: 10px;
}
.says code {
  white-space: nowrap;
  font-family: var(--figures);
  font-size: 12.5px;
  margin-left: 5px;
}
</style>
