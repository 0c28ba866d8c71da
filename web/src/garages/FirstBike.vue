<script setup lang="ts">
import { computed, ref } from 'vue';
import { newBike, usualPlaces, type Bike } from '@necessaire/core';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import BikeDrawing from '../ui/BikeDrawing.vue';
import BikeForm from './BikeForm.vue';
import { bikeFaults } from './bikeFields';

/** An empty garage leads by the hand: first the bike, then its first head in Walk. */
const garage = useGarage();
const view = useView();
const draft = ref<Bike>(newBike(crypto.randomUUID(), ''));
const tried = ref(false);
const faults = computed(() => (tried.value ? bikeFaults(draft.value) : {}));
const drawable = computed(() => {
  const wrong = bikeFaults({ ...draft.value, name: 'x' });
  return Object.keys(wrong).length === 0;
});

function add() {
  tried.value = true;
  if (Object.keys(bikeFaults(draft.value)).length > 0) return;
  const bike = { ...draft.value, name: draft.value.name.trim() };
  garage.edit(`add ${bike.name}`, [
    { table: 'bikes', id: bike.id, before: null, after: bike },
    ...usualPlaces(bike).map((p) => {
      const id = crypto.randomUUID();
      return { table: 'places' as const, id, before: null, after: { ...p, id, bikeId: bike.id } };
    }),
  ]);
  view.bikeId = bike.id;
}
</script>

<template>
  <div class="stage">
    <section class="picture">
      <div class="stage-head">
        <h1>First, the bike</h1>
        <p>Its numbers draw it. Next you measure <strong>one head</strong>, and the rest follows.</p>
      </div>
      <BikeDrawing v-if="drawable" :bike="draft" class="drawing" />
      <p v-else class="empty">The drawing returns when the numbers on the right hold.</p>
    </section>
    <section class="sheet form">
      <form @submit.prevent="add">
        <BikeForm v-model="draft" :faults="faults" />
        <button class="tool-button" type="submit">Add this bike</button>
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
.tool-button {
  margin-top: 18px;
}
</style>
