<script setup lang="ts">
import { computed } from 'vue';
import { figure, strandedHours, tripDays, tripKm, unitOf } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useTab } from '../../ui/useTab';
import { useView } from '../../stores/view';
import { counted } from '../../ui/words';
import { useAnswer } from '../../stores/answer';
import NextStage from '../../shell/NextStage.vue';
import TermWord from '../../ui/TermWord.vue';
import AirSheet from './AirSheet.vue';
import DueSheet from './DueSheet.vue';
import LegSheet from './LegSheet.vue';
import ManySheet from './ManySheet.vue';
import RecordSheet from './RecordSheet.vue';
import StockSheet from './StockSheet.vue';
import ThreeAnswers from './ThreeAnswers.vue';
import TroubleBars from './TroubleBars.vue';
import WayProfile from './WayProfile.vue';
import WaySheet from './WaySheet.vue';
import WaitingPart from '../../ui/WaitingPart.vue';
import * as texts from '../../words/trip/tripView';

const garage = useGarage();
const view = useView();
const answers = useAnswer();
const TABS = {
  legs: texts.legs,
  way: texts.route,
  stocks: texts.spares,
  record: texts.rideLog,
  due: texts.service,
  air: texts.tyresAndAir,
  many: texts.simulation,
} as const;
const tab = useTab(Object.keys(TABS) as (keyof typeof TABS)[]);
const worst = computed(() => {
  const trip = garage.trip;
  if (!trip) return null;
  return trip.legs.map((leg) => ({ leg, hours: strandedHours(leg, trip).total })).sort((a, b) => b.hours - a.hours)[0];
});
</script>

<template>
  <div class="stage">
    <section class="picture" aria-labelledby="title">
      <div class="stage-head" role="group">
        <h1 id="title">{{ texts.whatThisRideCanDo }}</h1>
        <p v-if="garage.trip && garage.trip.legs.length > 0">
          <span class="num"
            >{{ figure(view.units, 'distance', tripKm(garage.trip)) }} {{ unitOf(view.units, 'distance') }}</span
          >
          {{ texts.in2 }} <span class="num">{{ counted(tripDays(garage.trip), 'day') }}</span>.
          <template v-if="worst"
            >{{ texts.worst }} <strong>{{ worst.leg.name }}</strong>,
            <strong class="num">{{ worst.hours.toFixed(1) }} h</strong>{{ ' '
            }}<TermWord term="stranded" :label="texts.stranded" />{{ ' ' }}{{ texts.withoutARepair }}</template
          >
        </p>
        <NextStage />
      </div>
      <template v-if="!garage.trip">
        <p class="first">
          {{ texts.aTripSaysWhatCan }}
        </p>
        <ThreeAnswers />
      </template>
      <WayProfile v-else-if="tab === 'way' && garage.trip.route" :trip="garage.trip" :route="garage.trip.route" />
      <p v-else-if="garage.trip.legs.length === 0" class="empty">
        {{ texts.noLegsYetAddThe }}
      </p>
      <TroubleBars v-else-if="answers.answer && garage.bike" :answer="answers.answer" :bike-id="garage.bike.id" />
      <WaitingPart v-else-if="garage.bike && !answers.failed" of="bars" :says="texts.workingOutWhatCanGo" />
    </section>
    <section class="sheet" :aria-label="texts.aboutTheTrip">
      <v-tabs v-if="garage.trip" v-model="tab" class="tabs">
        <v-tab v-for="(name, key) in TABS" :key="key" :value="key">
          {{ name }}
        </v-tab>
      </v-tabs>
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
