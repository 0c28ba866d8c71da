<script setup lang="ts">
/** A pocket card: four faces that fold to a card's size; emergency lines are left to be written by hand. */
import { computed } from 'vue';
import { pocketCard, withUnit, type RoadCard } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useOwnCard } from '../../stores/ownCard';
import { useView } from '../../stores/view';

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
  return (crew?.members ?? []).flatMap((m) => doc!.companions.find((c) => c.id === m.who)?.person.name ?? []);
});
/** Left to be written by hand; what one wrote on this device stands in its place where that was ticked. */
const BLANK = [
  'In an emergency call',
  'Recovery service',
  'Insurance, policy',
  'At home',
  'Doctor, allergies',
  'Blood group',
];
const own = useOwnCard();
const OWN: readonly { field: keyof RoadCard; label: string; instead: readonly string[] }[] = [
  { field: 'name', label: 'Name', instead: [] },
  { field: 'riders', label: 'Rides with', instead: [] },
  { field: 'call', label: 'Call', instead: ['In an emergency call', 'Recovery service'] },
  { field: 'health', label: 'Blood group, allergies', instead: ['Doctor, allergies', 'Blood group'] },
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
      <h2>Torque</h2>
      <table>
        <tbody>
          <tr v-for="t in torques" :key="t.name">
            <th scope="row">{{ t.name }}{{ t.manual ? '' : ' *' }}</th>
            <td>{{ nm(t.value) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="torques.length === 0">None is entered: write them in from the manual.</p>
      <p class="foot">The torque in the manual comes first. * is not from the manual.</p>
    </article>
    <article class="face">
      <h2>Air and fluids</h2>
      <table>
        <tbody>
          <tr v-for="p in card.pressures" :key="p.name">
            <th scope="row">{{ p.name }} {{ p.mark }}</th>
            <td>
              {{ kpa(p.high) }}<template v-if="p.low !== null">, loose ground {{ kpa(p.low) }}</template
              ><template v-if="p.shows !== p.high">; my gauge shows {{ kpa(p.shows) }}</template>
            </td>
          </tr>
          <tr v-for="f in card.fluids" :key="f.name">
            <th scope="row">{{ f.name }}</th>
            <td>{{ f.value }}</td>
          </tr>
        </tbody>
      </table>
      <p class="foot">Pressures are the trip’s: the manual’s come first, loaded and cold.</p>
    </article>
    <article class="face">
      <h2>Who and where</h2>
      <p>
        {{ garage.doc?.garage.rider.name || 'Name' }}<template v-if="garage.trip">, {{ garage.trip.name }}</template
        ><template v-if="garage.trip?.leaves">, from {{ garage.trip.leaves }}</template
        ><template v-if="companions.length > 0">. With {{ companions.join(', ') }}</template
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
