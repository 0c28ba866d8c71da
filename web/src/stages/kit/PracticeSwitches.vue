<script setup lang="ts">
/** Schools of practice that decide which chains count, which pieces come along, and for whom. */
import SelectField from '../../ui/SelectField.vue';
import { positionWords, QUESTIONS } from '@necessaire/words';
import { computed } from 'vue';
import { positionsOf, practiceSchema, present, type Practice, type Switch, type SwitchCost } from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { useSwitchCosts } from '../../stores/weighs';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import { massText, percent } from '../../ui/words';
import WorkBar from '../../ui/WorkBar.vue';
import * as texts from '../../words/kit/practiceSwitches';

const garage = useGarage();
const view = useView();
const explain = useExplain();
const costs = useSwitchCosts();
const practice = computed(() => present(garage.doc).garage.practice);
const ORDER = Object.keys(QUESTIONS) as Switch[];
function set(fields: Partial<Record<keyof Practice, unknown>>) {
  const next = practiceSchema.parse({ ...practice.value, ...fields });
  garage.edit(texts.changeAPractice, [], { ...present(garage.doc).garage, practice: next });
}
const others = computed(() => present(garage.doc).bikes.filter((b) => b.id !== garage.bike?.id));
function rides(id: string, along: boolean) {
  const trip = garage.trip;
  if (!trip) return;
  const list = along ? [...trip.along, id] : trip.along.filter((x) => x !== id);
  garage.put(along ? texts.rideAlong : texts.rideApart, 'trips', { ...trip, along: list });
}

const costsOf = (key: Switch) => (costs.result ?? []).filter((c) => c.key === key);
const signed = (v: number, text: string) => `${v > 0 ? '+' : '−'}${text}`;
function words(c: SwitchCost): string {
  const grams = Math.abs(c.grams) < 0.05 ? texts.sameWeight : signed(c.grams, massText(view.units, Math.abs(c.grams)));
  const minutes = Math.round(c.hours * 60);
  return [
    grams,
    minutes === 0 ? '' : texts.savedBy(signed(minutes, `${Math.abs(minutes)} min`)),
    c.loose === 0 ? '' : texts.notPacked(signed(c.loose, String(Math.abs(c.loose)))),
    c.reached === 0 ? '' : texts.fastenersMore(signed(c.reached, String(Math.abs(c.reached)))),
  ]
    .filter(Boolean)
    .join(', ');
}
function why(c: SwitchCost) {
  explain.show({
    title: positionWords(c.key, c.position),
    value: words(c),
    formula: texts.theKitWithThisPosition,
    inputs: [
      { name: texts.grams, value: c.grams.toFixed(0) },
      { name: texts.hoursSavedOnTheTrip, value: `${signed(c.hours, Math.abs(c.hours).toFixed(2))} h` },
      { name: texts.getsHomeUnaided, value: signed(c.home, percent(Math.abs(c.home), 2)) },
      { name: texts.fastenersReached, value: String(c.reached) },
      { name: texts.thingsThatNoPlaceTakes, value: String(c.loose) },
      { name: texts.bothProven, value: c.proven ? texts.yes : texts.notBoth },
    ],
    source: texts.differenceOfTwoKitsMasses,
  });
}
</script>

<template>
  <section class="practice">
    <h2>{{ texts.yourPreferences }}</h2>
    <div class="questions">
      <div v-for="key in ORDER" :key="key">
        <SelectField
          :label="QUESTIONS[key]"
          :items="positionsOf(key).map((o) => ({ title: positionWords(key, o), value: o }))"
          :model-value="practice[key]"
          @update:model-value="set({ [key]: $event })"
        />
        <v-btn variant="text" v-for="c in costsOf(key)" :key="c.position" class="cost" @click="why(c)">
          {{ positionWords(c.key, c.position) }} <strong class="num">{{ words(c) }}</strong>
        </v-btn>
      </div>
      <OptionalNumber
        :label="texts.worthInTheBagAt"
        money
        :model-value="practice.worth"
        :min="0"
        :max="100000"
        :empty="texts.noLimit"
        @update:model-value="set({ worth: $event })"
      />
    </div>
    <fieldset v-if="garage.trip && others.length > 0 && practice.others !== 'own'">
      <legend>{{ texts.ridesAlongOn(garage.trip.name) }}</legend>
      <v-checkbox
        v-for="b in others"
        :key="b.id"
        class="along"
        :model-value="garage.trip.along.includes(b.id)"
        @update:model-value="rides(b.id, $event === true)"
        :label="b.name"
      />
    </fieldset>
    <p v-if="costs.progress === null && !costs.result">
      <v-btn variant="tonal" @click="costs.start()">{{ texts.compareTheOtherSettings }}</v-btn>
    </p>
    <WorkBar
      v-else-if="costs.progress !== null"
      :says="texts.calculatingEachKit"
      :share="costs.progress"
      @stop="costs.stop()"
    />
    <p v-if="costs.failed" class="gap">{{ costs.failed }}</p>
    <p class="caution">{{ texts.neverStandOnABar }}</p>
  </section>
</template>

<style scoped>
.practice {
  margin-top: 18px;
  display: grid;
  gap: 8px;
}
.questions {
  display: grid;
  /* The longest position stands whole. */
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 290px), 1fr));
  gap: 10px 14px;
}
.cost {
  display: block;
  font-size: 13px;
  padding: 3px 0;
  text-align: left;
}
.cost:focus-visible {
  outline: 2px solid var(--ink);
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
legend {
  font-size: 13px;
  color: var(--soft);
  padding: 0;
}
@media (max-width: 760px) {
  .cost {
    min-height: 44px;
  }
}
</style>
