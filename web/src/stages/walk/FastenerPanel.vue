<script setup lang="ts">
/** The chosen fastener: its size for sure, everything about it, and how it is known. */
import { computed } from 'vue';
import { breakLoose, figure, isCritical, unitOf, type Fastener } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import FastenerForm from './FastenerForm.vue';
import LadderList from './LadderList.vue';
import SizeBench from './SizeBench.vue';

export type PanelTab = 'size' | 'all' | 'ladder';
const props = defineProps<{ fastener: Fastener }>();
const tab = defineModel<PanelTab>('tab', { required: true });
const emit = defineEmits<{ close: []; correct: [] }>();
const garage = useGarage();
const answers = useAnswer();
const explain = useExplain();
const notice = useNotice();
const view = useView();

const TABS: { key: PanelTab; name: string }[] = [
  { key: 'size', name: 'Size' },
  { key: 'all', name: 'All about it' },
  { key: 'ladder', name: 'How it is known' },
];
const reach = computed(() => answers.byFastener.get(props.fastener.id));
const need = computed(() => breakLoose(props.fastener));
const critical = computed(() => isCritical(props.fastener));

function explainTorque() {
  if (!need.value) return;
  explain.show({
    title: `Breaking loose: ${props.fastener.name}`,
    value: `${figure(view.units, 'torque', need.value.value)} ${unitOf(view.units, 'torque')}`,
    formula:
      'tightening torque × factor for its condition: clean 1.2, dirty 1.5, threadlocked 1.8, rusted or seized 2.2',
    inputs: [{ name: 'worked out from', value: need.value.source }],
    source: 'This only plans which tool can. The value to tighten to is the manual’s alone.',
  });
}
function again() {
  const copy = { ...props.fastener, id: crypto.randomUUID() as string, trail: [], gauge: null, farGauge: null };
  garage.put(`double ${copy.name}`, 'fasteners', copy);
  view.fastenerId = copy.id;
  notice.say(`A second ${copy.name.toLowerCase()} was added below`);
}
function remove() {
  const { id, name } = props.fastener;
  garage.remove(`delete ${name}`, { table: 'fasteners', id });
  notice.done(`${name} deleted.`);
  emit('close');
}
</script>

<template>
  <section class="fastener-panel" :aria-label="fastener.name">
    <header>
      <h2>{{ fastener.name }}</h2>
      <span class="acts">
        <v-btn variant="plain" @click="emit('correct')">Edit as text</v-btn>
        <v-btn variant="plain" @click="again">Duplicate</v-btn>
        <v-btn variant="plain" class="gap" @click="remove">Delete</v-btn>
        <v-btn variant="plain" @click="emit('close')">Close</v-btn>
      </span>
    </header>
    <v-tabs v-model="tab" class="turns modes" aria-label="About it">
      <v-tab v-for="t in TABS" :id="`tab-${t.key}`" :key="t.key" :value="t.key" aria-controls="about">{{
        t.name
      }}</v-tab>
    </v-tabs>
    <div id="about" role="tabpanel" :aria-labelledby="`tab-${tab}`">
      <SizeBench v-if="tab === 'size'" :fastener="fastener" />
      <FastenerForm v-else-if="tab === 'all'" :fastener="fastener" />
      <LadderList v-else :fastener="fastener" />
    </div>
    <p v-if="critical" class="caution">
      Safety-critical ({{ fastener.role ?? 'by its name' }}). If it is lost, sheared or stripped, do not ride: nothing
      improvised holds it.
    </p>
    <p class="reach">
      <template v-if="fastener.leftOut">Excluded: {{ fastener.leftOut }}.</template>
      <template v-else-if="reach?.reached">
        <span class="good label">Reached</span> by
        {{ reach.best.map((c) => c.links.map((l) => l.piece.name).join(' + ')).join('; the far end by ') }}.
      </template>
      <template v-else-if="reach">
        <span class="gap label">Out of reach</span>
        {{ reach.fails.map((f) => `${f.end === 'far' ? 'far end: ' : ''}${view.inWords(f.fail.message)}`).join('; ') }}.
      </template>
      <router-link to="/match">See the chain</router-link>
      <template v-if="need">
        · Breaks loose at
        <v-btn variant="plain" class="num" @click="explainTorque">
          {{ figure(view.units, 'torque', need.value) }} {{ unitOf(view.units, 'torque') }}
        </v-btn></template
      >
    </p>
  </section>
</template>

<style scoped>
.fastener-panel {
  border-top: 1px solid var(--line);
  margin-top: 8px;
  padding-top: 8px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 4px 12px;
}
h2 {
  color: var(--ink);
  text-transform: none;
  font-size: 19px;
  font-weight: 600;
  letter-spacing: 0;
}
.acts {
  display: flex;
  gap: 16px;
}
.turns {
  margin: 4px 0 10px;
}
.reach {
  font-size: 14px;
  margin-top: 8px;
}
@media (max-width: 760px) {
  .acts .v-btn--variant-plain {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
