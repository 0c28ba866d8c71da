<script setup lang="ts">
/** A check of the rider's own. */
import { ref } from 'vue';
import { OCCASIONS, STATION_NAMES, STATIONS, type Occasion, type Station } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { today } from '../../ui/day';
import LineField from '../../ui/LineField.vue';
import NumberField from '../../ui/NumberField.vue';
import SelectField from '../../ui/SelectField.vue';
import { OCCASION_WORDS } from '../../words/prove';
import * as texts from '../../words/prove/reminderForm';
import * as edits from '../../words/edits';

const garage = useGarage();
const open = ref(false);
const name = ref('');
const how = ref('');
const when = ref<Occasion>('before leaving');
const everyKm = ref(500);
const date = ref(today());
const station = ref<Station | ''>('');
function add() {
  const bike = garage.bike;
  if (!bike || name.value.trim() === '') return;
  const row = {
    id: crypto.randomUUID(),
    bikeId: bike.id,
    name: name.value.trim(),
    how: how.value.trim(),
    when: when.value,
    everyKm: when.value === 'after some km' ? everyKm.value : null,
    date: when.value === 'on a date' ? date.value || null : null,
    station: station.value === '' ? null : station.value,
  };
  if (!garage.put(edits.check(row.name), 'reminders', row)) return;
  name.value = '';
  how.value = '';
  open.value = false;
}
</script>

<template>
  <section>
    <v-btn v-if="!open" variant="tonal" @click="open = true">{{ texts.addACheckOfYour }}</v-btn>
    <form v-else @submit.prevent="add">
      <LineField v-model="name" :label="texts.whatToLookAt" maxlength="120" autofocus />
      <LineField v-model="how" :label="texts.how" maxlength="300" />
      <SelectField
        v-model="when"
        :label="texts.when"
        :items="OCCASIONS.map((o) => ({ title: OCCASION_WORDS[o], value: o }))"
      />
      <NumberField
        v-if="when === 'after some km'"
        v-model="everyKm"
        :label="texts.every"
        quantity="distance"
        :min="1"
        :max="100000"
      />
      <LineField v-if="when === 'on a date'" v-model="date" :label="texts.date" kind="date" />
      <SelectField
        v-model="station"
        :label="texts.where"
        :items="[
          { title: texts.notOnTheBike, value: '' as const },
          ...STATIONS.map((s) => ({ title: STATION_NAMES[s], value: s })),
        ]"
      />
      <p class="acts">
        <v-btn type="submit" :disabled="name.trim() === ''">{{ texts.add }}</v-btn>
        <v-btn variant="tonal" @click="open = false">{{ texts.cancel }}</v-btn>
      </p>
    </form>
  </section>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
}
</style>
