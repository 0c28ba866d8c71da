<script setup lang="ts">
/** What is wanted of a packing, as sliders; what each costs in the present one; and how sure it is that nothing is better. */
import { computed, ref } from 'vue';
import { present, GOALS, type Goal, type Packing } from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { usePacking } from '../../stores/packing';
import WorkBar from '../../ui/WorkBar.vue';
import { GOAL_TEXT } from '../../words/goals';
import * as texts from '../../words/stow/goalSheet';

const props = defineProps<{ packing: Packing }>();
const garage = useGarage();
const explain = useExplain();
const search = usePacking();
/** While a slider is held it only moves: the packing follows when it is let go. */
const held = ref(false);
const WORDS = [texts.notAtAll, texts.aLittle, texts.asUsual, texts.much, texts.aboveAll];
const value = (goal: Goal) => present(garage.doc).garage.goals[goal];
function set(goal: Goal, to: number) {
  const { doc } = garage;
  if (!doc) return;
  garage.edit(`${GOAL_TEXT[goal].name}: ${WORDS[to]}`, [], {
    ...doc.garage,
    goals: { ...doc.garage.goals, [goal]: to },
  });
}
const pouches = computed(() =>
  props.packing.groups
    .filter((g) => g.keys.length > 1)
    .map((g) => ({
      name: g.name.charAt(0).toUpperCase() + g.name.slice(1),
      items: g.keys.map((k) => props.packing.stowed.find((s) => s.item.key === k)?.item.name ?? '').join(', '),
      places:
        g.placeIds.map((id) => (garage.places.find((p) => p.id === id)?.name ?? '').toLowerCase()).join(' and ') ||
        texts.noPlace,
    })),
);
function explainPoints() {
  const { parts } = props.packing;
  explain.show({
    title: texts.pointsOfThisPacking,
    value: props.packing.cost.toFixed(2),
    formula: texts.leastOfSlidersPointsOver,
    inputs: [
      ...GOALS.map((g) => ({
        name: `${GOAL_TEXT[g].name}: ${GOAL_TEXT[g].says}`,
        value: (parts[g] ?? 0).toFixed(2),
      })),
      { name: texts.notDryOrRattling, value: (parts.fixed ?? 0).toFixed(2) },
      { name: texts.nothingCostsLessThan, value: props.packing.bound.toFixed(2) },
      { name: texts.expectedMinutesOfOpeningPlaces, value: props.packing.minutes.toFixed(1) },
    ],
    source: texts.pointsOfEachGoalTypical,
  });
}
</script>

<template>
  <div class="goals">
    <p class="proof" role="status">
      <template v-if="packing.proven"
        ><strong class="good">{{ texts.proven }}</strong
        >{{ texts.noPackingThatKeepsThe }}</template
      >
      <template v-else-if="search.progress !== null">{{
        texts.stillSearchingAtMostOf((packing.cost - packing.bound).toFixed(2), packing.cost.toFixed(1))
      }}</template>
      <template v-else
        >{{ texts.atMost }} <strong class="num">{{ (packing.cost - packing.bound).toFixed(2) }}</strong> {{ texts.of2 }}
        <span class="num">{{ packing.cost.toFixed(1) }}</span> {{ texts.pointsFromTheBest }}</template
      >
      <v-btn variant="plain" class="how" @click="explainPoints">{{ texts.howThisIsCalculated }}</v-btn>
      <span v-if="search.failed" class="gap"> {{ search.failed }}</span>
    </p>
    <WorkBar
      v-if="search.progress !== null"
      slim
      :says="texts.searchingForABetterLayout"
      :share="search.progress"
      @stop="search.halt()"
    />
    <div v-for="g in GOALS" :key="g" class="goal" role="group" :aria-label="GOAL_TEXT[g].name">
      <span
        ><strong>{{ GOAL_TEXT[g].name }}</strong
        ><span class="soft says">{{ GOAL_TEXT[g].says }}</span></span
      >
      <v-slider
        :aria-label="GOAL_TEXT[g].name"
        :min="0"
        :max="4"
        :step="1"
        show-ticks="always"
        :model-value="value(g)"
        @start="held = true"
        @update:model-value="held || set(g, $event)"
        @end="((held = false), set(g, $event))"
      />
      <span class="word">{{ WORDS[value(g)] }}</span>
      <span class="num soft">{{ (packing.parts[g] ?? 0).toFixed(1) }}</span>
    </div>
    <section v-if="pouches.length > 0" class="pouches" :aria-label="texts.pouches">
      <h2>{{ texts.whatLiesTogetherForOne }}</h2>
      <ul>
        <li v-for="g in pouches" :key="g.name">
          <strong>{{ g.name }}</strong>{{ texts.in2(g.items, g.places) }}
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.goals {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.proof {
  font-size: 14.5px;
  padding-bottom: 6px;
}
.how {
  margin-left: 8px;
}
.pouches {
  padding-top: 10px;
  font-size: 14px;
}
.pouches ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.goal {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px 86px 46px;
  gap: 2px 14px;
  align-items: center;
  min-height: 46px;
  border-top: 1px solid var(--hair);
}
.says {
  display: block;
  font-size: 13px;
}
.num {
  text-align: right;
}
input {
  accent-color: var(--ink);
  width: 100%;
  height: 32px;
}
@media (max-width: 760px) {
  .goal {
    grid-template-columns: minmax(0, 1fr) 86px 40px;
    padding: 6px 0;
  }
  .goal label {
    grid-column: 1 / -1;
  }
  input {
    height: 44px;
  }
}
</style>
