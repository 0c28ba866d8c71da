<script setup lang="ts">
/** What leaves first when the limit drops, and what comes next when it rises. */
import type { StepBetween } from '@necessaire/core';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import * as texts from '../../words/kit/stepsBeside';

defineProps<{ title: string; steps: readonly StepBetween[] }>();
const view = useView();
const signed = (v: number, text: string) => `${v < 0 ? '−' : '+'}${text}`;
const minutes = (h: number) => {
  const m = Math.abs(h) * 60;
  return m < 1 ? `${Math.round(m * 60)} s` : m < 120 ? `${Math.round(m)} min` : `${(m / 60).toFixed(1)} h`;
};
const list = (things: StepBetween['leaves']) =>
  things.map((t) => (t.count > 1 ? `${t.name} ×${t.count}` : t.name)).join(', ');
/** What the step is named after: what goes on the way down, what is new on the way up; the rest is said behind it. */
function words(s: StepBetween): { main: string; rest: string } {
  const down = s.mass < 0;
  const [main, rest] = down ? [s.leaves, s.comes] : [s.comes, s.leaves];
  return {
    main: list(main) || list(rest),
    rest: main.length > 0 && rest.length > 0 ? `${down ? texts.forIt : texts.insteadOf} ${list(rest)}` : '',
  };
}
</script>

<template>
  <section>
    <h2>{{ title }}</h2>
    <p v-if="steps.length === 0" class="soft">{{ texts.nothingMoreOnThisSide }}</p>
    <div v-for="(s, i) in steps" :key="i" class="step">
      <span
        >{{ words(s).main }}<small v-if="words(s).rest">{{ words(s).rest }}</small></span
      >
      <span class="num">{{ signed(s.mass, massText(view.units, Math.abs(s.mass))) }}</span>
      <span class="num" :class="s.hours < 0 ? 'gap' : 'good'">{{ signed(s.hours, minutes(s.hours)) }}</span>
    </div>
  </section>
</template>

<style scoped>
h2 {
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
.step {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 64px 68px;
  gap: 8px;
  align-items: baseline;
  border-bottom: 1px solid var(--hair);
  padding: 6px 0;
  font-size: 14.5px;
  line-height: 1.25;
}
.step .num {
  text-align: right;
  white-space: nowrap;
}
small {
  display: block;
  font-size: 12.5px;
  color: var(--soft);
}
</style>
