<script setup lang="ts">
/**
 * A line that is typed as one talks: each stretch of it that was understood, doubted, asked about or refused is underlined in its own way. The
 * library's field has nothing behind its text, so this one is ours.
 */
import { computed, ref } from 'vue';
import type { LineReading } from '@necessaire/core';

defineOptions({ inheritAttrs: false });
const props = defineProps<{
  id: string;
  label: string;
  placeholder: string;
  reading: LineReading;
  /** Id of what says how the line was understood. */
  says: string;
}>();
const text = defineModel<string>({ required: true });
const emit = defineEmits<{ list: [text: string] }>();
const box = ref<HTMLInputElement>();
const echo = ref<HTMLElement>();

type Mark = 'plain' | 'read' | 'doubt' | 'ask' | 'bad';
const RANK: readonly Mark[] = ['plain', 'read', 'doubt', 'ask', 'bad'];
/** The line cut where its underline changes; the gravest of what stands at a place counts. */
const stretches = computed(() => {
  const marks = new Array<Mark>(text.value.length).fill('plain');
  const put = (from: number, to: number, mark: Mark) => {
    for (let i = from; i < to; i++) if (RANK.indexOf(marks[i] ?? 'plain') < RANK.indexOf(mark)) marks[i] = mark;
  };
  for (const p of props.reading.parts) put(p.start, p.end, p.others.length > 0 ? 'doubt' : 'read');
  for (const a of props.reading.asks) put(a.start, a.end, 'ask');
  for (const f of props.reading.faults) put(f.start, f.end, 'bad');
  // Words of one part stand on one line; parts side by side are told apart by the gap between them.
  const ends = new Set(props.reading.parts.flatMap((p) => [p.start, p.end]));
  const out: { text: string; mark: Mark }[] = [];
  let from = 0;
  for (let i = 1; i <= text.value.length; i++) {
    if (i < text.value.length && marks[i] === marks[i - 1] && !ends.has(i)) continue;
    out.push({ text: text.value.slice(from, i), mark: marks[from] ?? 'plain' });
    from = i;
  }
  return out;
});

function follow() {
  if (echo.value && box.value) echo.value.scrollLeft = box.value.scrollLeft;
}
/** Several lines at once are a list, which a field of one line would run together. */
function paste(event: ClipboardEvent) {
  const pasted = event.clipboardData?.getData('text') ?? '';
  if (!/[\r\n]/u.test(pasted.trim())) return;
  event.preventDefault();
  emit('list', pasted);
}
/** On a phone what is said of the line stands below it: the line comes to the middle. */
function show() {
  if (matchMedia('(max-width: 760px)').matches) box.value?.form?.scrollIntoView({ block: 'center' });
}
defineExpose({ focus: () => box.value?.focus(), select: () => box.value?.select() });
</script>

<template>
  <label class="hidden-label" :for="id">{{ label }}</label>
  <span class="field-wrap">
    <span ref="echo" class="echo num" aria-hidden="true"
      ><component :is="s.mark === 'bad' ? 'strong' : 'span'" v-for="(s, i) in stretches" :key="i" :class="s.mark">{{
        s.text
      }}</component></span
    >
    <input
      :id="id"
      ref="box"
      v-model="text"
      data-entry
      v-bind="$attrs"
      class="num"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      enterkeyhint="done"
      :placeholder="placeholder"
      :aria-invalid="reading.faults.length > 0"
      :aria-describedby="says"
      @scroll="follow"
      @input="follow"
      @paste="paste"
      @focus="show"
    />
  </span>
</template>

<style scoped>
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
.echo > * {
  text-underline-offset: 6px;
  text-decoration-thickness: 2px;
  text-decoration-skip-ink: none;
}
.read {
  text-decoration: underline solid var(--line);
}
.doubt {
  text-decoration: underline dashed var(--assumed);
}
.ask {
  text-decoration: underline dotted var(--gap);
}
.bad {
  /* As wide as the field's own text over it. */
  font-weight: inherit;
  text-decoration: underline wavy var(--gap);
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
</style>
