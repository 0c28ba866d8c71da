<script setup lang="ts">
import { computed, ref } from 'vue';
import { figure, newTrip, strandedHours, tripDays, tripKm, unitOf } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { counted } from '../../ui/words';
import { useAnswer } from '../../stores/answer';
import AirSheet from './AirSheet.vue';
import DueSheet from './DueSheet.vue';
import LegSheet from './LegSheet.vue';
import ManySheet from './ManySheet.vue';
import RecordSheet from './RecordSheet.vue';
import StockSheet from './StockSheet.vue';
import TroubleBars from './TroubleBars.vue';
import WayProfile from './WayProfile.vue';
import WaySheet from './WaySheet.vue';

const garage = useGarage();
const view = useView();
const answers = useAnswer();
const TABS = {
  legs: 'Legs',
  way: 'Route',
  stocks: 'Spares',
  record: 'Ride log',
  due: 'Service',
  air: 'Tyres and air',
  many: 'Simulation',
} as const;
const tab = ref<keyof typeof TABS>('legs');
const worst = computed(() => {
  const trip = garage.trip;
  if (!trip) return null;
  return trip.legs.map((leg) => ({ leg, hours: strandedHours(leg, trip).total })).sort((a, b) => b.hours - a.hours)[0];
});
function first() {
  const trip = newTrip(crypto.randomUUID(), 'New trip');
  garage.put('add a trip', 'trips', trip);
  view.tripId = trip.id;
}
</script>

<template>
  <div class="stage">
    <section class="picture">
      <div class="stage-head">
        <h1>What this ride can do to this bike</h1>
        <p v-if="garage.trip && garage.trip.legs.length > 0">
          <span class="num"
            >{{ figure(view.units, 'distance', tripKm(garage.trip)) }} {{ unitOf(view.units, 'distance') }}</span
          >
          in <span class="num">{{ counted(tripDays(garage.trip), 'day') }}</span>.
          <template v-if="worst"
            >Worst: <strong>{{ worst.leg.name }}</strong>,
            <strong class="num">{{ worst.hours.toFixed(1) }} h</strong> stranded without a repair.</template
          >
        </p>
      </div>
      <p v-if="!garage.trip" class="empty">
        No trip yet. <button class="tool-button" @click="first">Plan a trip</button>
      </p>
      <WayProfile v-else-if="tab === 'way' && garage.trip.route" :trip="garage.trip" :route="garage.trip.route" />
      <p v-else-if="garage.trip.legs.length === 0" class="empty">
        No legs yet: add the first one on the right, with its kilometres by ground.
      </p>
      <TroubleBars v-else-if="answers.answer && garage.bike" :answer="answers.answer" :bike-id="garage.bike.id" />
    </section>
    <section class="sheet">
      <div v-if="garage.trip" class="tabs" role="tablist">
        <button v-for="(name, key) in TABS" :key="key" role="tab" :aria-selected="tab === key" @click="tab = key">
          {{ name }}
        </button>
      </div>
      <template v-if="garage.trip">
        <LegSheet v-if="tab === 'legs'" :trip="garage.trip" />
        <WaySheet v-else-if="tab === 'way'" :trip="garage.trip" />
        <StockSheet v-else-if="tab === 'stocks'" :trip="garage.trip" />
        <RecordSheet v-else-if="tab === 'record'" />
        <DueSheet v-else-if="tab === 'due' && garage.bike" :trip="garage.trip" :bike="garage.bike" />
        <AirSheet v-else-if="tab === 'air' && garage.bike" :trip="garage.trip" :bike="garage.bike" />
        <ManySheet v-else-if="tab === 'many'" :trip="garage.trip" />
      </template>
    </section>
  </div>
</template>
