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
import * as texts from '../../words/walk/fastenerPanel';
import * as edits from '../../words/edits';

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
  { key: 'size', name: texts.size },
  { key: 'all', name: texts.allAboutIt },
  { key: 'ladder', name: texts.howItIsKnown },
];
const reach = computed(() => answers.byFastener.get(props.fastener.id));
const need = computed(() => breakLoose(props.fastener));
const critical = computed(() => isCritical(props.fastener));

function explainTorque() {
  if (!need.value) return;
  explain.show({
    title: texts.breakingLoose(props.fastener.name),
    value: `${figure(view.units, 'torque', need.value.value)} ${unitOf(view.units, 'torque')}`,
    formula: texts.tighteningTorqueFactorForIts,
    inputs: [{ name: texts.workedOutFrom, value: need.value.source }],
    source: texts.thisOnlyPlansWhichTool,
  });
}
function again() {
  const copy = { ...props.fastener, id: crypto.randomUUID() as string, trail: [], gauge: null, farGauge: null };
  garage.put(edits.duplicate(copy.name), 'fasteners', copy);
  view.fastenerId = copy.id;
  notice.say(texts.aSecondWasAddedBelow(copy.name.toLowerCase()));
}
function remove() {
  const { id, name } = props.fastener;
  garage.remove(edits.remove(name), { table: 'fasteners', id });
  notice.done(texts.isDeleted(name));
  emit('close');
}
</script>

<template>
  <section class="fastener-panel" :aria-label="fastener.name">
    <header>
      <h2>{{ fastener.name }}</h2>
      <span class="acts">
        <v-btn variant="plain" @click="emit('correct')">{{ texts.editAsText }}</v-btn>
        <v-btn variant="plain" @click="again">{{ texts.duplicate }}</v-btn>
        <v-btn variant="plain" class="gap" @click="remove">{{ texts.deleteIt }}</v-btn>
        <v-btn variant="plain" @click="emit('close')">{{ texts.close }}</v-btn>
      </span>
    </header>
    <v-tabs v-model="tab" class="turns modes" :aria-label="texts.aboutIt">
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
      {{ texts.safetyCriticalIfItIs(fastener.role ?? texts.byItsName) }}
    </p>
    <p class="reach">
      <template v-if="fastener.leftOut">{{ texts.excluded(fastener.leftOut) }}</template>
      <template v-else-if="reach?.reached">
        <span class="good label">{{ texts.reached }}</span>
        {{ texts.by(reach.best.map((c) => c.links.map((l) => l.piece.name).join(' + ')).join(texts.theFarEndBy))
        }}{{ ' ' }}
      </template>
      <template v-else-if="reach">
        <span class="gap label">{{ texts.outOfReach }}</span>
        {{
          reach.fails.map((f) => `${f.end === 'far' ? texts.farEnd : ''}${view.inWords(f.fail.message)}`).join('; ')
        }}.
      </template>
      <router-link to="/match">{{ texts.seeTheChain }}</router-link>
      <template v-if="need">
        {{ ' ' }}{{ texts.breaksLooseAt }}
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
