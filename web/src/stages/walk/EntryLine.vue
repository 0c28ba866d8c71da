<script setup lang="ts">
/** One line a fastener, as fast as talking. What cannot be read is underlined, says why, and stays in the line. */
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue';
import {
  isComplete,
  newFastener,
  readEntry,
  STATION_NAMES,
  typeEntry,
  type Fastener,
  type Station,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';

const props = defineProps<{ station: Station }>();
const editing = defineModel<Fastener | null>('editing', { required: true });
const emit = defineEmits<{ down: []; added: [id: string] }>();
const garage = useGarage();
const answers = useAnswer();
const notice = useNotice();
const text = ref('');
const box = ref<HTMLInputElement>();
const echo = ref<HTMLElement>();
let last = '';
let nextId = crypto.randomUUID() as string;

const reading = computed(() => readEntry(text.value));
const complete = computed(() => text.value.trim() !== '' && isComplete(reading.value));
/** Problems are shown once there is something to be said about; the hint for a missing size waits for a space. */
const problems = computed(() => (text.value.trim() === '' ? [] : reading.value.problems));

/** The line cut into plain and faulty stretches, for the underline behind the input. */
const stretches = computed(() => {
  const out: { text: string; bad: boolean }[] = [];
  let at = 0;
  for (const p of [...problems.value].sort((a, b) => a.start - b.start)) {
    if (p.start > at) out.push({ text: text.value.slice(at, p.start), bad: false });
    if (p.end > p.start) out.push({ text: text.value.slice(p.start, p.end), bad: true });
    at = Math.max(at, p.end);
  }
  out.push({ text: text.value.slice(at), bad: false });
  return out;
});

function made(): Fastener | null {
  const bike = garage.bike;
  const { draft } = reading.value;
  if (!bike || !complete.value || !draft.head) return null;
  const base = editing.value;
  const fresh = newFastener({
    station: base?.station ?? props.station,
    name: 'Fastener',
    ...draft,
    id: base?.id ?? nextId,
    bikeId: bike.id,
    head: draft.head,
  });
  // What a line cannot say stays as it was.
  return base
    ? {
        ...fresh,
        role: draft.role ?? base.role,
        note: base.note,
        leftOut: base.leftOut,
        farAccess: base.farAccess,
        torque: fresh.torque && base.torque?.value === fresh.torque.value ? base.torque : fresh.torque,
      }
    : fresh;
}

watch(
  () => [text.value, editing.value] as const,
  () => {
    const f = made();
    const known = editing.value && f && JSON.stringify(f) === JSON.stringify(editing.value);
    answers.draft = f && !known ? f : null;
  },
);
watch(editing, async (f) => {
  text.value = f ? typeEntry(f) : '';
  if (f) {
    await nextTick();
    box.value?.focus();
    box.value?.select();
  }
});
onBeforeUnmount(() => (answers.draft = null));

function keep() {
  const f = made();
  if (!f) {
    notice.say(problems.value[0]?.message ?? 'Write a size first: 10, 1/2in, i5, t30');
    return;
  }
  last = text.value;
  answers.draft = null;
  garage.put(editing.value ? `change ${f.name}` : `add ${f.name}`, 'fasteners', f);
  notice.say(editing.value ? `${f.name} changed` : `${f.name} added at ${STATION_NAMES[f.station]}`);
  emit('added', f.id);
  nextId = crypto.randomUUID();
  editing.value = null;
  text.value = '';
}
function leave() {
  if (editing.value) editing.value = null;
  text.value = '';
}
function up() {
  if (text.value === '' && last !== '') text.value = last;
}
function follow() {
  if (echo.value && box.value) echo.value.scrollLeft = box.value.scrollLeft;
}
</script>

<template>
  <div class="entry">
    <form class="line" @submit.prevent="keep">
      <span class="prompt" aria-hidden="true">›</span>
      <label class="hidden-label" for="entry">{{ editing ? `Change ${editing.name}` : 'Add a fastener' }}</label>
      <span class="field-wrap">
        <span ref="echo" class="echo num" aria-hidden="true"
          ><span v-for="(s, i) in stretches" :key="i" :class="{ bad: s.bad }">{{ s.text }}</span></span
        >
        <input
          id="entry"
          ref="box"
          v-model="text"
          data-entry
          class="num"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          enterkeyhint="done"
          :placeholder="`27 axle nut 98nm at ${STATION_NAMES[station].toLowerCase()}`"
          :aria-invalid="problems.length > 0"
          aria-describedby="entry-says"
          @scroll="follow"
          @input="follow"
          @keydown.down.prevent="emit('down')"
          @keydown.up.prevent="up"
          @keydown.esc="leave"
        />
      </span>
      <button class="plain add" type="submit"><kbd class="key">Enter</kbd> {{ editing ? 'keep' : 'add' }}</button>
    </form>
    <div id="entry-says" class="says" aria-live="polite">
      <template v-if="text.trim() !== ''">
        <p v-for="(p, i) in problems" :key="`p ${i}`" class="gap problem">{{ p.message }}</p>
        <span v-for="(p, i) in reading.parts" :key="i" class="chip">{{ p.label }}</span>
      </template>
      <span v-else class="soft"
        >size, name, then what else: <code>2 ends</code> <code>far i10</code> <code>x4</code> <code>m8</code>
        <code>45nm</code> <code>sunk 60</code> <code>thin 5</code> <code>side only</code> <code>loose</code></span
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
.field-wrap {
  position: relative;
  flex: 1;
  min-width: 0;
  height: 100%;
}
.echo,
input {
  position: absolute;
  inset: 0;
  font-size: 16px;
  line-height: 44px;
  white-space: pre;
  letter-spacing: 0;
  padding: 0;
}
.echo {
  color: transparent;
  overflow: hidden;
}
.bad {
  text-decoration: underline wavy var(--gap) 2px;
  text-underline-offset: 5px;
}
input {
  width: 100%;
  border: 0;
  background: transparent;
  color: var(--ink);
  outline: none !important;
}
input::placeholder {
  color: var(--soft);
  opacity: 1;
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
.problem {
  flex: 1 1 100%;
  font-weight: 500;
}
.chip {
  border: 1px solid var(--line);
  padding: 1px 8px;
  font-family: var(--v-font-heading);
  font-weight: 500;
  font-size: 14px;
}
code {
  font-family: var(--figures);
  font-size: 12.5px;
  margin-left: 5px;
}
</style>
