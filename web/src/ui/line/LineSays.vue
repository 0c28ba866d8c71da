<script setup lang="ts">
/** How a line was understood, part by part; what is doubted, asked and refused, with what may be pressed instead. */
import { computed, ref } from 'vue';
import { OWN_TERMS, termWords, type LinePart, type LineReading } from '@necessaire/core';
import { useView } from '../../stores/view';
import SelectField from '../SelectField.vue';
import * as texts from '../../words/ui/line/lineSays';

const props = defineProps<{
  reading: LineReading;
  /** The terms that a word may stand for here, the likelier first. */
  terms: readonly string[];
}>();
const emit = defineEmits<{ take: [line: string]; mean: [word: string, term: string] }>();
const view = useView();
const more = ref(false);
const root = ref<HTMLElement>();

const parts = computed(() => props.reading.parts.filter((p) => p.says !== ''));
const doubts = computed(() => parts.value.flatMap((p) => p.others));
/** The key belongs to the first question, doubt or refusal. */
const ask = computed(() => props.reading.asks[0] ?? null);
const says = (p: LinePart) => view.inWords(p.says);
const others = computed(() =>
  OWN_TERMS.filter((t) => !props.terms.includes(t)).map((t) => ({ title: termWords(t), value: t })),
);
/** To the first thing that may be pressed, when Enter finds a question. */
defineExpose({ focus: () => root.value?.querySelector<HTMLElement>('.ask button')?.focus() });
</script>

<template>
  <div ref="root" class="line-says">
    <div v-for="(a, i) in reading.asks" :key="`a ${i}`" class="ask" role="group" :aria-label="a.question">
      <strong>{{ a.question }}</strong>
      <template v-if="a.word !== null">
        <v-btn v-for="t in terms" :key="t" variant="tonal" @click="emit('mean', a.word, t)">{{ termWords(t) }}</v-btn>
        <v-btn v-if="!more" variant="plain" @click="more = true">{{ texts.somethingElse }}</v-btn>
        <SelectField
          v-else
          class="other"
          :label="texts.itMeans"
          hide-label
          :items="others"
          :model-value="null"
          @update:model-value="$event && emit('mean', a.word, $event)"
        />
      </template>
      <template v-else>
        <v-btn v-for="(o, n) in a.options" :key="o.line" variant="tonal" @click="emit('take', o.line)">
          <kbd v-if="i === 0 && n === 0" class="key">{{ texts.tab }}</kbd>{{ o.says }}
        </v-btn>
      </template>
    </div>
    <div v-for="(f, i) in reading.faults" :key="`f ${i}`" class="fault">
      <span class="gap">{{ f.message }}</span>
      <v-btn v-for="(o, n) in f.options" :key="o.line" variant="tonal" @click="emit('take', o.line)">
        <kbd v-if="!ask && i === 0 && n === 0" class="key">{{ texts.tab }}</kbd>{{ o.says }}
      </v-btn>
    </div>
    <p v-if="parts.length > 0" class="parts">
      <component
        :is="p.others.length > 0 ? 'em' : 'span'"
        v-for="(p, i) in parts"
        :key="i"
        class="part"
        :class="{ doubt: p.others.length > 0 }"
        ><span class="what">{{ p.what }}</span> {{ says(p) }}</component
      >
      <template v-if="doubts.length > 0 && !ask">
        <span class="soft">{{ texts.or }}</span>
        <v-btn v-for="(o, n) in doubts" :key="o.line" variant="tonal" @click="emit('take', o.line)">
          <kbd v-if="n === 0" class="key">{{ texts.tab }}</kbd>{{ o.says }}
        </v-btn>
      </template>
      <slot />
    </p>
    <slot v-else />
  </div>
</template>

<style scoped>
.line-says {
  display: grid;
  gap: 4px;
}
.ask,
.fault,
.parts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
.fault > .gap {
  font-weight: 500;
}
.part {
  border-bottom: 2px solid var(--line);
  padding: 0 2px;
  font-size: 14.5px;
}
.part.doubt {
  font-style: normal;
  border-bottom: 2px dashed var(--assumed);
}
.what {
  color: var(--soft);
  font-size: 12.5px;
}
.ask {
  border-left: 4px solid var(--gap);
  padding-left: 8px;
}
.other {
  width: 220px;
}
:deep(.v-btn) {
  font-size: 14px;
}
.key {
  margin-right: 6px;
}
</style>
