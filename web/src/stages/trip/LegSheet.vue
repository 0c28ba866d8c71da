<script setup lang="ts">
import ThreeAnswers from './ThreeAnswers.vue';
import TextField from '../../ui/TextField.vue';
import SelectField from '../../ui/SelectField.vue';
import LineField from '../../ui/LineField.vue';
import { computed, ref } from 'vue';
import {
  present,
  under,
  newLeg,
  strandedHours,
  TERRAINS,
  tripSchema,
  type Leg,
  type Terrain,
  type Trip,
  type Quantity,
} from '@necessaire/core';
import { factWords } from '@necessaire/words';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useNotice } from '../../shell/notice';
import NumberField from '../../ui/NumberField.vue';
import { useRowForm } from '../../ui/useRules';
import FormFaults from '../../ui/FormFaults.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import TermQuestion from '../../ui/TermQuestion.vue';
import * as texts from '../../words/trip/legSheet';
import * as edits from '../../words/edits';

const props = defineProps<{ trip: Trip }>();
const garage = useGarage();
const explain = useExplain();
const notice = useNotice();
const GROUND: Record<Terrain, string> = { paved: texts.paved, gravel: texts.gravel, track: texts.trackRock };
const RECOVERY: Record<Trip['recovery'], string> = {
  service: texts.aRecoveryService,
  friend: texts.aFriendWithATrailer,
  nobody: texts.nobody,
};

const SPEEDS: Record<keyof Trip['speeds'], { label: string; quantity: Quantity }> = {
  callWithSignal: { label: texts.aCallWithSignal, quantity: 'hours' },
  walking: { label: texts.onFoot, quantity: 'speed' },
  companionRiding: { label: texts.companionRiding, quantity: 'speed' },
  recoveryTruck: { label: texts.truck, quantity: 'speed' },
  towing: { label: texts.onTow, quantity: 'speed' },
  hitchWait: { label: texts.waitForALift, quantity: 'hours' },
  hitching: { label: texts.hitching, quantity: 'speed' },
};

const { set: write, faults } = useRowForm<Trip>(
  tripSchema,
  () => props.trip,
  (label, row) => garage.put(label, 'trips', row),
);
const setLeg = (leg: Leg, fields: Partial<Leg>) =>
  write(edits.change(leg.name), { legs: props.trip.legs.map((l) => (l.id === leg.id ? { ...l, ...fields } : l)) });
const text = (event: Event) => (event.target as HTMLInputElement).value;
const stranded = computed(() => new Map(props.trip.legs.map((l) => [l.id, strandedHours(l, props.trip)])));

function add() {
  write(texts.addALeg2, {
    legs: [...props.trip.legs, newLeg(crypto.randomUUID(), texts.legNumber(props.trip.legs.length + 1))],
  });
}
function remove(leg: Leg) {
  write(edits.remove(leg.name), { legs: props.trip.legs.filter((l) => l.id !== leg.id) });
  notice.done(texts.isDeleted(leg.name));
}
/** Who rides along is said in Crew: their number is not typed twice. */
const crewed = computed(
  () => garage.doc?.crews.some((c) => c.tripId === props.trip.id && c.members.length > 1) ?? false,
);
const planning = ref(false);
function removeTrip() {
  garage.remove(edits.remove(props.trip.name), { table: 'trips', id: props.trip.id });
  notice.done(texts.isDeleted(props.trip.name));
}
function show(leg: Leg) {
  const s = under(stranded.value, leg.id);
  explain.show({
    title: texts.strandedOn(leg.name),
    value: `${s.total.toFixed(1)} h`,
    formula: texts.threeParts(factWords(s.formula)),
    inputs: [
      { name: texts.raiseHelp, value: `${s.raise.toFixed(1)} h` },
      { name: texts.untilItIsThere, value: `${s.arrive.toFixed(1)} h` },
      { name: texts.transport, value: `${s.transport.toFixed(1)} h` },
    ],
    source: texts.yourLegSpeedsAndTimes,
  });
}
</script>

<template>
  <div>
    <section class="block">
      <LineField
        class="wide"
        :label="texts.trip"
        :model-value="trip.name"
        :fault="faults['name'] ?? null"
        maxlength="120"
        @change="write(texts.renameTheTrip, { name: text($event) })"
      />
      <LineField
        :label="texts.youLeaveOn"
        kind="date"
        :model-value="trip.leaves ?? ''"
        :fault="faults['leaves'] ?? null"
        @change="write(texts.theDayOfLeaving, { leaves: text($event) || null })"
      />
      <SelectField
        class="two"
        :label="texts.whoFetchesYou"
        :items="Object.entries(RECOVERY).map(([k, w]) => ({ title: String(w), value: k }))"
        :model-value="trip.recovery"
        @update:model-value="write(texts.changeWhoFetchesYou, { recovery: $event as Trip['recovery'] })"
      />
      <NumberField
        v-if="trip.recovery !== 'nobody'"
        :label="texts.helpLeavesAfter"
        quantity="hours"
        :max="2000"
        :model-value="trip.callOut"
        @update:model-value="write(texts.changeWhenHelpSetsOut, { callOut: $event })"
      />
      <NumberField
        v-if="!crewed"
        :label="texts.companions"
        :max="20"
        :model-value="trip.companions"
        @update:model-value="write(texts.changeTheCompany, { companions: Math.round($event) })"
      />
      <p v-else class="crewed">
        <span class="label">{{ texts.companions }}</span>
        <router-link to="/crew?tab=people"
          ><span class="num">{{ trip.companions }}</span
          >{{ texts.fromTheCrew }}</router-link
        >
      </p>
      <NumberField
        :label="texts.enoughSparesOnOfTrips"
        :min="50"
        :max="99.9"
        :model-value="trip.serviceLevel * 100"
        @update:model-value="write(texts.changeTheServiceLevel, { serviceLevel: $event / 100 })"
      />
      <OptionalNumber
        v-if="trip.recovery === 'service'"
        :label="texts.coverEndsAfter"
        quantity="distance"
        :min="0"
        :max="100000"
        :empty="texts.noLimit"
        :model-value="trip.coverKm"
        @update:model-value="write(texts.changeTheCover, { coverKm: $event })"
      />
      <NumberField
        :label="texts.ageOfTheBike"
        :min="0.1"
        :max="10"
        :model-value="trip.factors.age"
        @update:model-value="write(texts.changeTheAgeFactor, { factors: { ...trip.factors, age: $event } })"
      />
      <NumberField
        :label="texts.load"
        :min="0.1"
        :max="10"
        :model-value="trip.factors.load"
        @update:model-value="write(texts.changeTheLoadFactor, { factors: { ...trip.factors, load: $event } })"
      />
      <NumberField
        :label="texts.care"
        :min="0.1"
        :max="10"
        :model-value="trip.factors.care"
        @update:model-value="write(texts.changeTheCareFactor, { factors: { ...trip.factors, care: $event } })"
      />
      <TermQuestion class="wide" term="spares" :label="texts.enoughSpares" />
    </section>
    <v-expansion-panels class="speeds"
      ><v-expansion-panel
        ><v-expansion-panel-title>{{ texts.speedsAndTimesBehindThe }}</v-expansion-panel-title
        ><v-expansion-panel-text
          ><div class="block">
            <NumberField
              v-for="(speed, key) in SPEEDS"
              :key="key"
              :label="speed.label"
              :quantity="speed.quantity"
              :digits="1"
              :max="200"
              :model-value="trip.speeds[key]"
              @update:model-value="write(texts.changeATypicalValue, { speeds: { ...trip.speeds, [key]: $event } })"
            /></div></v-expansion-panel-text></v-expansion-panel
    ></v-expansion-panels>
    <div class="sheet-head">
      <h2>{{ texts.legs }}</h2>
      <span class="num soft">{{ trip.legs.length }}</span>
    </div>
    <section v-for="leg in trip.legs" :key="leg.id" class="leg" :aria-label="leg.name">
      <div class="leg-head">
        <TextField
          class="name"
          hide-label
          :label="texts.nameOfTheLeg"
          :most="120"
          :value="leg.name"
          @take="setLeg(leg, { name: $event })"
        />
        <v-btn
          variant="plain"
          class="num"
          :aria-label="texts.whyHoursLostHere(present(stranded.get(leg.id)).total.toFixed(1))"
          @click="show(leg)"
        >
          {{ texts.hLostHere(present(stranded.get(leg.id)).total.toFixed(1)) }}
        </v-btn>
        <v-btn variant="plain" class="gap" :aria-label="texts.delete2(leg.name)" @click="remove(leg)">{{
          texts.deleteIt
        }}</v-btn>
      </div>
      <div class="fields">
        <NumberField
          :label="texts.days"
          :max="200"
          :model-value="leg.days"
          @update:model-value="setLeg(leg, { days: $event })"
        />
        <NumberField
          v-for="on in TERRAINS"
          :key="on"
          :label="GROUND[on]"
          quantity="distance"
          :max="100000"
          :model-value="leg.km[on]"
          @update:model-value="setLeg(leg, { km: { ...leg.km, [on]: $event } })"
        />
        <NumberField
          :label="texts.crossings"
          :max="500"
          :model-value="leg.crossings"
          @update:model-value="setLeg(leg, { crossings: Math.round($event) })"
        />
        <NumberField
          :label="texts.toPeople"
          quantity="distance"
          :max="100000"
          :model-value="leg.helpKm"
          @update:model-value="setLeg(leg, { helpKm: $event })"
        />
        <NumberField
          :label="texts.toWorkshop"
          quantity="distance"
          :max="100000"
          :model-value="leg.workshopKm"
          @update:model-value="setLeg(leg, { workshopKm: $event })"
        />
        <NumberField
          :label="texts.inTheSaddle"
          quantity="hours"
          :max="2000"
          :model-value="leg.hours"
          @update:model-value="setLeg(leg, { hours: $event })"
        />
        <NumberField
          :label="texts.inTheDark"
          quantity="hours"
          :max="2000"
          :model-value="leg.night"
          @update:model-value="setLeg(leg, { night: $event })"
        />
        <NumberField
          :label="texts.byDay"
          quantity="temperature"
          :min="-40"
          :max="60"
          :model-value="leg.temperature"
          @update:model-value="setLeg(leg, { temperature: $event })"
        />
        <OptionalNumber
          :label="texts.betweenPumps"
          quantity="distance"
          :min="0"
          :max="100000"
          :empty="texts.notKnown"
          :model-value="leg.fuelGapKm"
          @update:model-value="setLeg(leg, { fuelGapKm: $event })"
        />
        <v-checkbox
          class="signal"
          :model-value="leg.signal"
          @update:model-value="setLeg(leg, { signal: $event === true })"
          :label="texts.signalAtTheWorstPoint"
        />
      </div>
    </section>
    <FormFaults :faults="faults" :shown="['name', 'leaves']" />
    <p class="acts">
      <v-btn @click="add">{{ texts.addALeg }}</v-btn>
      <v-btn variant="tonal" @click="planning = true">{{ texts.anotherTrip }}</v-btn>
      <v-btn variant="tonal" class="gap" @click="removeTrip">{{ texts.deleteTrip }}</v-btn>
    </p>
    <v-dialog v-model="planning" :aria-label="texts.anotherTrip" max-width="760">
      <v-card class="planning">
        <h1>{{ texts.anotherTrip }}</h1>
        <ThreeAnswers @made="planning = false" />
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.crewed {
  display: grid;
  align-content: start;
  gap: 6px;
}
.planning {
  padding: 18px 22px;
}
.block {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px 12px;
  padding: 12px 16px;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
.two {
  grid-column: span 2;
}
.speeds {
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
.speeds summary {
  padding: 6px 16px;
  cursor: pointer;
  font-size: 14.5px;
  color: var(--soft);
}
.leg {
  padding: 8px 16px 12px;
  border-bottom: 1px solid var(--line);
}
.leg-head {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-bottom: 4px;
}
.name {
  flex: 1;
  border-color: transparent;
  font-size: 15px;
  font-weight: 500;
  padding-left: 0;
}
.name:hover,
.name:focus {
  border-color: var(--line);
}
.leg-head .v-btn--variant-plain {
  white-space: nowrap;
  font-size: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px 10px;
  align-items: end;
}
.signal {
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 13px;
  line-height: 1.15;
}
.acts {
  padding: 14px 16px;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
@media (max-width: 760px) {
  .block,
  .fields {
    grid-template-columns: 1fr 1fr;
  }
  .leg-head .v-btn--variant-plain {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
