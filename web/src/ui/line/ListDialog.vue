<script setup lang="ts" generic="T">
/** A list as somebody wrote or copied it: each line read, settled where it is asked about, and taken when chosen. */
import { computed, nextTick, ref, shallowRef } from 'vue';
import { linesOf, type LineReading } from '@necessaire/core';
import LineSays from './LineSays.vue';
import { turned, type Turning } from './alternatives';
import { useOwnWords } from './useOwnWords';
import * as texts from '../../words/ui/line/listDialog';
import { counted } from '../../words/counted';

/** What one line of the list makes. */
export interface ListLine<V> {
  reading: LineReading;
  /** What it would add, in words; empty while something is open. */
  says: string;
  values: readonly V[];
}
const props = defineProps<{
  title: string;
  hint: string;
  example: string;
  text: string;
  terms: readonly string[];
  read: (line: string) => ListLine<T>;
}>();
const emit = defineEmits<{ close: []; take: [values: T[]] }>();
const words = useOwnWords();
const pasted = ref(props.text);
const root = ref<HTMLElement>();

interface Row {
  id: number;
  text: string;
  chosen: boolean;
}
let nextId = 0;
const rowsOf = (text: string): Row[] => linesOf(text).map((line) => ({ id: nextId++, text: line, chosen: true }));
const rows = ref<Row[]>(rowsOf(props.text));
const reads = computed(() => rows.value.map((row) => ({ row, ...props.read(row.text) })));
const ready = computed(() => reads.value.filter((r) => r.row.chosen && r.values.length > 0));
const asked = computed(
  () => reads.value.filter((r) => r.reading.asks.length > 0 && r.reading.faults.length === 0).length,
);
const refused = computed(() => reads.value.filter((r) => r.reading.faults.length > 0).length);
const count = computed(() => ready.value.reduce((n, r) => n + r.values.length, 0));

function readPasted() {
  rows.value = [...rows.value, ...rowsOf(pasted.value)];
  pasted.value = '';
}
function take() {
  const values = ready.value.flatMap((r) => r.values);
  if (values.length === 0) return;
  const taken = new Set(ready.value.map((r) => r.row.id));
  emit('take', values);
  rows.value = rows.value.filter((r) => !taken.has(r.id));
  if (rows.value.length === 0) emit('close');
}
const remove = (row: Row) => (rows.value = rows.value.filter((r) => r !== row));

const fields = () => [...(root.value?.querySelectorAll<HTMLInputElement>('.row-text input') ?? [])];
async function step(event: KeyboardEvent, by: number) {
  const all = fields();
  const at = all.indexOf(event.target as HTMLInputElement);
  const to = all[at + by];
  event.preventDefault();
  if (to) to.focus();
  await nextTick();
}
const turning = shallowRef<Turning | null>(null);
function turn(event: KeyboardEvent, row: Row, reading: LineReading) {
  if (event.shiftKey || reading.asks[0]?.word) return;
  const next = turned(row.text, reading, turning.value);
  if (!next) return;
  event.preventDefault();
  turning.value = next;
  row.text = next.lines[next.at] ?? row.text;
}
const state = (r: { reading: LineReading; values: readonly T[] }) =>
  r.reading.faults.length > 0
    ? texts.notUnderstood2
    : r.reading.asks.length > 0
      ? 'asked'
      : r.reading.parts.some((p) => p.others.length > 0)
        ? 'doubtful'
        : 'understood';
</script>

<template>
  <v-dialog :aria-label="title" :model-value="true" max-width="900" @update:model-value="emit('close')">
    <v-card class="dialog">
      <h1>{{ title }}</h1>
      <p class="soft">{{ hint }}</p>
      <div v-if="rows.length === 0" class="paste">
        <v-textarea
          v-model="pasted"
          class="num"
          rows="7"
          :aria-label="texts.theList"
          :placeholder="example"
          autofocus
        />
        <v-btn :disabled="pasted.trim() === ''" @click="readPasted">{{ texts.readTheList }}</v-btn>
      </div>
      <div v-else ref="root" class="rows" role="group" :aria-label="texts.linesOfTheList">
        <div v-for="r in reads" :key="r.row.id" class="line-row" :class="state(r).replace(' ', '-')">
          <v-checkbox v-model="r.row.chosen" :aria-label="texts.take(r.row.text)" density="compact" hide-details />
          <div class="text">
            <v-text-field
              v-model="r.row.text"
              class="row-text"
              variant="plain"
              :aria-label="texts.line(r.row.text)"
              @keydown.down="step($event, 1)"
              @keydown.up="step($event, -1)"
              @keydown.enter="step($event, 1)"
              @keydown.tab="turn($event, r.row, r.reading)"
            />
            <LineSays
              v-if="state(r) !== 'understood'"
              :reading="r.reading"
              :terms="terms"
              @take="r.row.text = $event"
              @mean="words.learn"
            />
            <p v-if="r.says" class="says">{{ r.says }}</p>
          </div>
          <span class="state">{{ state(r) }}</span>
          <v-btn variant="plain" :aria-label="texts.removeOne(r.row.text)" @click="remove(r.row)">{{
            texts.remove
          }}</v-btn>
        </div>
      </div>
      <p v-if="rows.length > 0" class="sum" role="status">
        {{ counted(rows.length, 'line') }}. <template v-if="asked > 0">{{ texts.toAnswer(asked) }}</template>{{ ' ' }}
        <template v-if="refused > 0"> {{ texts.notUnderstood(refused) }}</template>
        <template v-if="asked + refused > 0"> {{ ' ' }}{{ texts.theyStayHereUntilThey }}</template>
      </p>
      <p class="acts">
        <v-btn v-if="rows.length > 0" :disabled="count === 0" @click="take">{{
          texts.add(counted(count, 'item'))
        }}</v-btn>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.dialog {
  padding: 18px 22px;
}
.paste {
  display: grid;
  gap: 10px;
  justify-items: start;
  margin-top: 10px;
}
.paste .num {
  width: 100%;
}
.rows {
  max-height: 58vh;
  overflow: auto;
  border-top: 1px solid var(--line);
  margin-top: 10px;
}
.line-row {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  gap: 4px 10px;
  align-items: start;
  border-bottom: 1px solid var(--hair);
  border-left: 4px solid transparent;
  padding: 2px 6px 6px;
}
.line-row.asked,
.line-row.not-understood {
  border-left-color: var(--gap);
}
.line-row.doubtful {
  border-left-color: var(--assumed);
}
.text {
  display: grid;
  gap: 4px;
}

.row-text :deep(input) {
  font-family: var(--figures);
}
.says {
  font-weight: 600;
  font-size: 14.5px;
}
.state {
  color: var(--soft);
  font-size: 13px;
  line-height: 44px;
}
.sum {
  margin-top: 10px;
}
.acts {
  display: flex;
  gap: 12px;
  margin-top: 12px;
}
@media (max-width: 760px) {
  .line-row {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }
  .state {
    display: none;
  }
}
</style>
