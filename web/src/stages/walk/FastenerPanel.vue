<script setup lang="ts">
/** Everything about the chosen fastener that a line does not say, and how the drawer turns it. */
import { computed } from 'vue';
import {
  breakLoose,
  EVIDENCE,
  figure,
  printShape,
  ROLES,
  STATION_NAMES,
  STATIONS,
  unitOf,
  type Fastener,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';

const props = defineProps<{ fastener: Fastener }>();
const emit = defineEmits<{ close: []; correct: [] }>();
const garage = useGarage();
const answers = useAnswer();
const explain = useExplain();
const notice = useNotice();
const view = useView();

const change = (label: string, fields: Partial<Fastener>) =>
  garage.put(label, 'fasteners', { ...props.fastener, ...fields });
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value;
const pick = <T extends string>(list: readonly T[], event: Event): T | null =>
  list.find((x) => x === value(event)) ?? null;

const reach = computed(() => answers.byFastener.get(props.fastener.id));
const need = computed(() => breakLoose(props.fastener));

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
function leaveOut(reason: string) {
  const text = reason.trim();
  change(text ? `leave out ${props.fastener.name}` : `count ${props.fastener.name} in`, { leftOut: text || null });
}
function remove() {
  const { id, name } = props.fastener;
  garage.remove(`delete ${name}`, { table: 'fasteners', id });
  notice.say(`${name} deleted. Ctrl Z brings it back.`);
  emit('close');
}
</script>

<template>
  <section class="fastener-panel" :aria-label="fastener.name">
    <header>
      <h2>{{ fastener.name }}</h2>
      <span class="acts">
        <button class="link" @click="emit('correct')">Correct in the line</button>
        <button class="link gap" @click="remove">Delete</button>
        <button class="link" @click="emit('close')">Close</button>
      </span>
    </header>
    <div class="facts">
      <label
        ><span>Station</span>
        <select
          class="field"
          :value="fastener.station"
          @change="change('move it to another station', { station: pick(STATIONS, $event) ?? fastener.station })"
        >
          <option v-for="s in STATIONS" :key="s" :value="s">{{ STATION_NAMES[s] }}</option>
        </select></label
      >
      <label
        ><span>Evidence</span>
        <select
          class="field"
          :value="fastener.evidence"
          @change="change('change its evidence', { evidence: pick(EVIDENCE, $event) ?? 'assumed' })"
        >
          <option v-for="e in EVIDENCE" :key="e">{{ e }}</option>
        </select></label
      >
      <label
        ><span>Its job in a mend</span>
        <select
          class="field"
          :value="fastener.role ?? ''"
          @change="change('change its job', { role: pick(ROLES, $event) })"
        >
          <option value="">none named</option>
          <option v-for="r in ROLES" :key="r">{{ r }}</option>
        </select></label
      >
      <label
        ><span>Left out, because</span>
        <input
          class="field"
          :value="fastener.leftOut ?? ''"
          maxlength="300"
          placeholder="counts"
          @change="leaveOut(value($event))"
      /></label>
    </div>
    <p class="reach">
      <template v-if="fastener.leftOut">It does not count: {{ fastener.leftOut }}.</template>
      <template v-else-if="reach?.reached">
        <span class="good label">Reached</span> by
        {{ reach.best.map((c) => c.links.map((l) => l.piece.name).join(' + ')).join('; the far end by ') }}.
      </template>
      <template v-else-if="reach">
        <span class="gap label">Out of reach</span>
        {{ reach.fails.map((f) => `${f.end === 'far' ? 'far end: ' : ''}${f.fail.message}`).join('; ') }}.
      </template>
      <router-link to="/match">See the chain</router-link>
      <template v-if="need">
        · Breaks loose at
        <button class="link num" @click="explainTorque">
          {{ figure(view.units, 'torque', need.value) }} {{ unitOf(view.units, 'torque') }}
        </button></template
      >
      <template v-if="fastener.far">
        · both ends: {{ printShape(fastener.head) }} and {{ printShape(fastener.far) }}</template
      >
    </p>
  </section>
</template>

<style scoped>
.fastener-panel {
  border-top: 1px solid var(--line);
  margin-top: 10px;
  padding-top: 10px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
}
.acts {
  display: flex;
  gap: 16px;
}
.facts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 8px 12px;
  margin: 8px 0;
}
.facts span {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
.reach {
  font-size: 14.5px;
}
@media (max-width: 760px) {
  .acts .link {
    min-height: 40px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
