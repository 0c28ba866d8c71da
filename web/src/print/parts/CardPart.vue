<script setup lang="ts">
/** A pocket card: four faces that fold to a card's size; emergency lines are left to be written by hand. */
import { computed } from 'vue';
import { present, pocketCard, withUnit, type RoadCard } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useOwnCard } from '../../stores/ownCard';
import { useView } from '../../stores/view';
import * as texts from '../../words/print/parts/cardPart';

const garage = useGarage();
const view = useView();
const card = computed(() =>
  garage.bike && garage.doc ? pocketCard(garage.bike, garage.fasteners, garage.trip, garage.doc.garage.gauge) : null,
);
/** Stations that one face has room for. */
const EACH_FACE = 5;
const sizes = computed(() => {
  const all = card.value?.sizes ?? [];
  return Array.from({ length: Math.max(1, Math.ceil(all.length / EACH_FACE)) }, (_, i) =>
    all.slice(i * EACH_FACE, (i + 1) * EACH_FACE),
  );
});
const MOST_TORQUES = 11;
const torques = computed(() => card.value?.torques.slice(0, MOST_TORQUES) ?? []);
const kpa = (v: number) => withUnit(view.units, 'pressure', v);
const nm = (v: number) => withUnit(view.units, 'torque', v);
const companions = computed(() => {
  const doc = garage.doc;
  const crew = doc?.crews.find((c) => c.tripId === garage.trip?.id);
  return (crew?.members ?? []).flatMap((m) => present(doc).companions.find((c) => c.id === m.who)?.person.name ?? []);
});
/** Left to be written by hand; what one wrote on this device stands in its place where that was ticked. */
const BLANK = [
  texts.inAnEmergencyCall,
  texts.recoveryService,
  texts.insurancePolicy,
  texts.atHome,
  texts.doctorAllergies,
  texts.bloodGroup,
];
const own = useOwnCard();
const OWN: readonly { field: keyof RoadCard; label: string; instead: readonly string[] }[] = [
  { field: 'name', label: texts.name, instead: [] },
  { field: 'riders', label: texts.ridesWith, instead: [] },
  { field: 'call', label: texts.call, instead: [texts.inAnEmergencyCall, texts.recoveryService] },
  { field: 'health', label: texts.bloodGroupAllergies, instead: [texts.doctorAllergies, texts.bloodGroup] },
];
const written = computed(() => (own.printed ? OWN.filter((o) => own.card[o.field].trim() !== '') : []));
const blanks = computed(() => BLANK.filter((b) => !written.value.some((o) => o.instead.includes(b))));
</script>

<template>
  <div v-if="card && garage.bike" class="card-part">
    <article v-for="(part, i) in sizes" :key="i" class="face">
      <h2>{{ garage.bike.name }}</h2>
      <table>
        <tbody>
          <tr v-for="s in part" :key="s.station">
            <th scope="row">{{ s.station }}</th>
            <td>{{ s.text }}</td>
          </tr>
        </tbody>
      </table>
    </article>
    <article class="face">
      <h2>{{ texts.torque }}</h2>
      <table>
        <tbody>
          <tr v-for="t in torques" :key="t.name">
            <th scope="row">{{ t.name }}{{ t.manual ? '' : ' *' }}</th>
            <td>{{ nm(t.value) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="torques.length === 0">{{ texts.noneIsEnteredWriteThem }}</p>
      <p class="foot">{{ texts.theTorqueInTheManual }}</p>
    </article>
    <article class="face">
      <h2>{{ texts.airAndFluids }}</h2>
      <table>
        <tbody>
          <tr v-for="p in card.pressures" :key="p.name">
            <th scope="row">{{ p.name }} {{ p.mark }}</th>
            <td>
              {{ kpa(p.high) }}<template v-if="p.low !== null">{{ texts.looseGround(kpa(p.low)) }}</template
              ><template v-if="p.shows !== p.high">{{ texts.myGaugeShows(kpa(p.shows)) }}</template>
            </td>
          </tr>
          <tr v-for="f in card.fluids" :key="f.name">
            <th scope="row">{{ f.name }}</th>
            <td>{{ f.value }}</td>
          </tr>
        </tbody>
      </table>
      <p class="foot">{{ texts.pressuresAreTheTripsThe }}</p>
    </article>
    <article class="face">
      <h2>{{ texts.whoAndWhere }}</h2>
      <p>
        {{ garage.doc?.garage.rider.name || texts.name }}<template v-if="garage.trip">, {{ garage.trip.name }}</template
        ><template v-if="garage.trip?.leaves">{{ texts.from(garage.trip.leaves) }}</template
        ><template v-if="companions.length > 0">{{ texts.with2(companions.join(', ')) }}</template
        >.
      </p>
      <p v-for="o in written" :key="o.field">
        <strong>{{ o.label }}:</strong> {{ own.card[o.field] }}
      </p>
      <p v-for="b in blanks" :key="b" class="blank">
        <span>{{ b }}</span>
      </p>
    </article>
  </div>
</template>

<style scoped>
.card-part {
  display: grid;
  grid-template-columns: 86mm 86mm;
  grid-auto-rows: 54mm;
  border: 1px solid #000;
  width: max-content;
  max-width: 100%;
}
.face {
  overflow: hidden;
  padding: 2.5mm 3mm;
  border: 1px dashed #999;
  font-size: 9px;
  line-height: 1.2;
}
h2 {
  font-size: 12px;
  color: #000;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 600;
  padding-right: 6px;
  vertical-align: top;
}
td {
  vertical-align: top;
}
.foot {
  font-size: 8px;
  padding-top: 2px;
}
.blank {
  border-bottom: 1px solid #000;
  min-height: 6mm;
  display: flex;
  align-items: end;
}
.blank span {
  font-size: 8px;
}
@media (max-width: 760px) {
  .card-part {
    grid-template-columns: 1fr;
  }
}
</style>
