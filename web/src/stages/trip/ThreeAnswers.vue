<script setup lang="ts">
/** A trip in three answers: how long, how far from help, with whom. All else follows and can be changed afterwards. */
import { computed, ref } from 'vue';
import {
  COMPANY,
  figure,
  LENGTHS,
  newTrip,
  REMOTENESS,
  strandedHours,
  tripFrom,
  tripKm,
  unitOf,
  type Company,
  type Length,
  type Remoteness,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { THREE } from '../../words/trip';
import * as texts from '../../words/trip/threeAnswers';
import * as edits from '../../words/edits';

const emit = defineEmits<{ made: [] }>();
const garage = useGarage();
const view = useView();
const length = ref<Length>('weekend');
const remoteness = ref<Remoteness>('farms');
const company = ref<Company>('some');
const name = computed(
  () => `${THREE.length.of[length.value].title}, ${THREE.remoteness.of[remoteness.value].title.toLowerCase()}`,
);
const trip = computed(() =>
  tripFrom({ length: length.value, remoteness: remoteness.value, company: company.value }, name.value, () =>
    crypto.randomUUID(),
  ),
);
const worst = computed(() => Math.max(...trip.value.legs.map((l) => strandedHours(l, trip.value).total)));
function make() {
  garage.put(edits.plan(name.value), 'trips', trip.value);
  view.tripId = trip.value.id;
  emit('made');
}
function empty() {
  const trip = newTrip(crypto.randomUUID(), texts.tripNumber((garage.doc?.trips.length ?? 0) + 1));
  garage.put(texts.addATrip, 'trips', trip);
  view.tripId = trip.id;
  emit('made');
}
</script>

<template>
  <section class="three" :aria-label="texts.aTripInThreeAnswers">
    <v-radio-group v-model="length" :label="THREE.length.ask">
      <v-radio v-for="k in LENGTHS" :key="k" :value="k">
        <template #label
          ><span
            >{{ THREE.length.of[k].title }} <small>{{ THREE.length.of[k].says }}</small></span
          ></template
        >
      </v-radio>
    </v-radio-group>
    <v-radio-group v-model="remoteness" :label="THREE.remoteness.ask">
      <v-radio v-for="k in REMOTENESS" :key="k" :value="k">
        <template #label
          ><span
            >{{ THREE.remoteness.of[k].title }} <small>{{ THREE.remoteness.of[k].says }}</small></span
          ></template
        >
      </v-radio>
    </v-radio-group>
    <v-radio-group v-model="company" :label="THREE.company.ask">
      <v-radio v-for="k in COMPANY" :key="k" :value="k">
        <template #label
          ><span
            >{{ THREE.company.of[k].title }} <small>{{ THREE.company.of[k].says }}</small></span
          ></template
        >
      </v-radio>
    </v-radio-group>
    <p class="sum" role="status">
      {{ texts.about }}
      <strong class="num"
        >{{ figure(view.units, 'distance', tripKm(trip)) }} {{ unitOf(view.units, 'distance') }}</strong
      >{{ texts.aBreakdownThatYouCannot }} <strong class="num">{{ worst.toFixed(0) }} h</strong
      >{{ texts.theseAreTypicalValuesRefine }}
    </p>
    <p class="acts">
      <v-btn @click="make">{{ texts.planThisTrip }}</v-btn>
      <v-btn variant="tonal" @click="empty">{{ texts.startWithAnEmptyTrip }}</v-btn>
    </p>
  </section>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px 28px;
  padding: 16px 0;
}
.three > p {
  grid-column: 1 / -1;
  font-size: 15px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.three small {
  display: block;
  color: var(--soft);
  font-size: 13px;
}
.three :deep(.v-input__control > .v-label) {
  font-family: var(--v-font-heading);
  font-size: 18px;
  font-weight: 600;
  color: var(--ink);
  margin-inline-start: 0;
  padding-bottom: 4px;
}
.three :deep(.v-radio) {
  align-items: start;
  padding: 4px 0;
}
</style>
