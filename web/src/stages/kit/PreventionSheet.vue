<script setup lang="ts">
/** What can be done or fitted before leaving, weighed against carrying: what it would do here, found by solving both. */
import SelectField from '../../ui/SelectField.vue';
import { computed } from 'vue';
import { present, preventionsFor, TROUBLES, type Bike, type PreventionCost } from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { usePreventionCosts } from '../../stores/weighs';
import { useView } from '../../stores/view';
import { massText, percent } from '../../ui/words';
import { useMoney } from '../../ui/useMoney';
import WorkBar from '../../ui/WorkBar.vue';
import * as texts from '../../words/kit/preventionSheet';

const { money } = useMoney();
const props = defineProps<{ bike: Bike }>();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const costs = usePreventionCosts();
const list = computed(() => preventionsFor(props.bike));
const stateOf = (id: string) => props.bike.prevention.find((p) => p.id === id)?.state ?? 'no';
function set(id: string, state: string) {
  const rest = props.bike.prevention.filter((p) => p.id !== id);
  const prevention = state === 'no' ? rest : [...rest, { id, state: state as 'done' | 'may' }];
  garage.put(texts.changeWhatIsDoneBefore, 'bikes', { ...props.bike, prevention });
}
const names = (factors: Readonly<Record<string, number>>) =>
  Object.entries(factors)
    .map(([id, f]) => `${TROUBLES.find((t) => t.id === id)?.name.toLowerCase() ?? id} ×${f}`)
    .join(', ');
const costOf = (id: string) => costs.result?.find((c) => c.id === id) ?? null;
const signed = (v: number, text: string) => `${v > 0 ? '+' : '−'}${text}`;
function words(c: PreventionCost): string {
  const minutes = Math.round(c.hours * 60);
  return [
    Math.abs(c.grams) < 0.5 ? texts.kitAsHeavy : texts.kitBy(signed(c.grams, massText(view.units, Math.abs(c.grams)))),
    minutes === 0 ? texts.underAMinute : texts.minAtStake(Math.abs(minutes), minutes > 0 ? texts.less : texts.more),
  ].join(', ');
}
function why(c: PreventionCost, name: string) {
  explain.show({
    title: name,
    value: words(c),
    formula: texts.theKitAndItsHours,
    inputs: [
      { name: texts.gramsOfKit, value: c.grams.toFixed(0) },
      { name: texts.hoursAtStakeLess, value: `${c.hours.toFixed(2)} h` },
      { name: texts.getsHomeUnaided, value: `${c.home >= 0 ? '+' : '−'}${percent(Math.abs(c.home), 2)}` },
    ],
    source: texts.factorsOnRatesGramsAnd,
  });
}
</script>

<template>
  <section class="prevention">
    <h2>{{ texts.beforeLeavingInsteadOfCarrying }}</h2>
    <p class="soft">
      {{ texts.doneLowersEveryRiskThat }}
    </p>
    <p v-if="costs.progress === null && !costs.result">
      <v-btn variant="tonal" @click="costs.start()">{{ texts.compareTheirEffect }}</v-btn>
    </p>
    <WorkBar
      v-else-if="costs.progress !== null"
      :says="texts.calculatingEach"
      :share="costs.progress"
      @stop="costs.stop()"
    />
    <p v-if="costs.failed" class="gap">{{ costs.failed }}</p>
    <div v-for="p in list" :key="p.id" class="one">
      <span
        >{{ p.name }}<small>{{ names(p.factors) }}</small>
        <small v-if="p.caution" class="careful">{{ p.caution }}</small></span
      >
      <span class="num soft">{{
        [p.mass > 0 ? massText(view.units, p.mass) : '', p.price > 0 ? money(p.price) : '', `${p.minutes} min`]
          .filter(Boolean)
          .join(' · ')
      }}</span>
      <SelectField
        hide-label
        :label="p.name"
        :items="[
          { title: texts.notDone, value: 'no' },
          { title: texts.consider, value: 'may' },
          { title: texts.done, value: 'done' },
        ]"
        :model-value="stateOf(p.id)"
        @update:model-value="set(p.id, $event)"
      />
      <v-btn variant="text" v-if="costOf(p.id)" class="cost" @click="why(present(costOf(p.id)), p.name)">
        {{ words(present(costOf(p.id))) }}
      </v-btn>
    </div>
  </section>
</template>

<style scoped>
.prevention h2 {
  border-bottom: 1px solid var(--line);
  padding: 18px 0 4px;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 116px;
  gap: 2px 12px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding: 6px 0;
}
small {
  display: block;
  font-size: 12.5px;
  color: var(--soft);
}
.careful {
  border-left: 3px solid var(--assumed);
  padding-left: 6px;
}
.cost {
  grid-column: 1 / -1;
  font-size: 13.5px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.cost:focus-visible {
  outline: 2px solid var(--ink);
}
@media (max-width: 760px) {
  .one {
    grid-template-columns: minmax(0, 1fr) 116px;
  }
  .one > .num {
    grid-column: 1;
  }
  .cost {
    min-height: 44px;
  }
}
</style>
