<script setup lang="ts">
/** The evidence ladder of one fastener: where it stands, who showed it, when and how, and the next step. */
import LineField from '../../ui/LineField.vue';
import { computed, ref } from 'vue';
import { EVIDENCE, type Evidence, type Fastener } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import EvidenceBars from '../../ui/EvidenceBars.vue';
import { climbed } from './climbed';
import * as texts from '../../words/walk/ladderList';

const props = defineProps<{ fastener: Fastener }>();
const garage = useGarage();
const view = useView();
const how = ref('');

const MEANS: Record<Evidence, string> = {
  assumed: texts.fromATemplateOrAGuess,
  measured: texts.byCalliperOrFromThe,
  tried: texts.aToolWasPutOnIt,
  proven: texts.turnedWithTheTravelKit,
};
const USUAL: Record<Evidence, string> = {
  assumed: texts.takenBack,
  measured: texts.readOff,
  tried: texts.toolPutOn,
  proven: texts.turnedWithTheTravelKit2,
};
const steps = computed(() => [...props.fastener.trail].reverse());
function step(evidence: Evidence) {
  garage.put(
    `${props.fastener.name}: ${evidence}`,
    'fasteners',
    climbed(props.fastener, evidence, how.value.trim() || USUAL[evidence]),
  );
  how.value = '';
}
const day = (iso: string) => iso.slice(0, 16).replace('T', ' ');
</script>

<template>
  <div class="ladder">
    <div class="rungs" role="group" :aria-label="texts.evidence">
      <v-btn
        variant="text"
        v-for="e in EVIDENCE"
        :key="e"
        class="rung"
        :aria-pressed="fastener.evidence === e"
        @click="step(e)"
      >
        <EvidenceBars :evidence="e" /><span
          ><strong>{{ e }}</strong
          ><span class="soft">{{ MEANS[e] }}</span></span
        >
      </v-btn>
    </div>
    <p class="who">
      <LineField :label="texts.how" v-model="how" maxlength="200" :placeholder="texts.n13SpannerSnugWithThe" />
      <LineField
        :label="texts.whoMeasuresHere"
        :model-value="view.who"
        maxlength="60"
        :placeholder="texts.yourName"
        @change="view.who = ($event.target as HTMLInputElement).value.trim()"
      />
    </p>
    <ol v-if="steps.length > 0" class="trail">
      <li v-for="(s, i) in steps" :key="i">
        <EvidenceBars :evidence="s.evidence" />
        <span class="num when">{{ day(s.when) }}</span>
        <span>{{ s.evidence }}{{ s.who ? texts.by(s.who) : '' }}{{ s.how ? `: ${s.how}` : '' }}</span>
      </li>
    </ol>
    <p v-else class="soft">{{ texts.noEvidenceYetChooseWhat }}</p>
  </div>
</template>

<style scoped>
.rungs {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 6px;
}
.rung {
  border: 1px solid var(--line);
  padding: 6px 10px;
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 48px;
}
.rung strong,
.rung .soft {
  display: block;
  line-height: 1.2;
}
.rung .soft {
  font-size: 12.5px;
}
.rung[aria-pressed='true'] {
  border: 2px solid var(--ink);
  background: var(--picked);
}
.who {
  display: grid;
  grid-template-columns: 2fr 1fr;
  gap: 12px;
  margin: 8px 0;
}
.who span {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
.trail {
  list-style: none;
  margin: 0;
  padding: 0;
}
.trail li {
  display: grid;
  grid-template-columns: 30px 130px 1fr;
  gap: 10px;
  padding: 5px 0;
  border-top: 1px solid var(--hair);
  align-items: center;
}
.when {
  font-size: 13px;
}
@media (max-width: 760px) {
  .trail li {
    grid-template-columns: 30px 1fr;
  }
  .trail li > span:last-child {
    grid-column: 2;
  }
}
</style>
