<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { guideOf, newBike, placeLibrary, proposal, type Bike } from '@necessaire/core';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import BikeDrawing from '../ui/BikeDrawing.vue';
import BikeForm from './BikeForm.vue';
import { bikeFaults } from './bikeFields';
import { newBikeRows } from './newRows';
import { climbed } from '../stages/walk/climbed';
import PlaceTicks from './PlaceTicks.vue';
import * as texts from '../words/garages/firstBike';
import * as edits from '../words/edits';

/** An empty garage leads by the hand: first the bike, then its first head in Walk. */
const garage = useGarage();
const view = useView();
const draft = ref<Bike>(newBike(crypto.randomUUID(), ''));
const placeNames = ref<string[]>([]);
const tried = ref(false);
/** So many of the usual places has the sample bike. */
const SAMPLE_PLACES = 5;
const drawable = computed(() => Object.keys(bikeFaults({ ...draft.value, name: 'x' })).length === 0);
/** The last drawing that holds stays while a number is being typed. */
const drawn = shallowRef<Bike>(draft.value);
watch(draft, (bike) => drawable.value && (drawn.value = bike));

function add() {
  tried.value = true;
  if (Object.keys(bikeFaults(draft.value)).length > 0) return;
  const bike = { ...draft.value, name: draft.value.name.trim() };
  garage.edit(edits.add(bike.name), newBikeRows(bike, placeNames.value));
  view.bikeId = bike.id;
}
/** A bike with its usual fasteners and places, so that every stage can be seen at work; its own bike comes beside it at any time. */
function sample() {
  const bike = { ...newBike(crypto.randomUUID(), texts.sampleBike) };
  const fasteners = guideOf(bike, [])
    .visits.filter((v) => v.state === 'to do')
    .map((v) => climbed(proposal(v.look, bike, crypto.randomUUID()), 'assumed', texts.usualOnSuchABike));
  const places = placeLibrary(bike).map((p) => p.name);
  garage.edit(texts.addASampleBike, [
    ...newBikeRows(bike, places.slice(0, SAMPLE_PLACES)),
    ...fasteners.map((after) => ({ table: 'fasteners' as const, id: after.id, before: null, after })),
  ]);
  view.bikeId = bike.id;
}
</script>

<template>
  <div class="stage">
    <section class="picture" aria-labelledby="title">
      <div class="stage-head" role="group">
        <h1 id="title">{{ texts.firstTheBike }}</h1>
        <p>
          {{ texts.fiveAnswersDrawItNext }} <strong>{{ texts.oneFastener }}</strong>{{ texts.andTheRestFollows }}
        </p>
      </div>
      <BikeDrawing :bike="drawn" class="drawing" :faint="!drawable" />
      <p v-if="!drawable" class="empty">{{ texts.correctTheMarkedNumbersTo }}</p>
    </section>
    <section class="sheet form" :aria-label="texts.yourBike">
      <form @submit.prevent="add">
        <BikeForm v-model="draft" :tried="tried" />
        <PlaceTicks v-model="placeNames" :bike="drawn" :label="texts.luggageAndStorageChooseWhat" />
        <p class="acts">
          <v-btn type="submit">{{ texts.addThisBike }}</v-btn>
          <v-btn variant="tonal" @click="sample">{{ texts.lookAroundWithASample }}</v-btn>
        </p>
      </form>
    </section>
  </div>
</template>

<style scoped>
.form {
  padding: 18px 20px;
}
.drawing {
  height: 440px;
}
.acts {
  position: sticky;
  bottom: 0;
  z-index: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  padding: 14px 0;
  background: var(--sheet);
}
</style>
