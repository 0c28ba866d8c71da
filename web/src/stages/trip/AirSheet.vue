<script setup lang="ts">
/** What fills each tyre: cartridges, hand pump, electric pump; for one flat and for a trip of airing down and up. */
import { computed, ref } from 'vue';
import {
  cartridgeMass,
  CARTRIDGE_YIELD,
  figure,
  filling,
  shownBy,
  STROKE_YIELD,
  TRAVEL_PUMP,
  tripSchema,
  unitOf,
  type Bike,
  type Filling,
  type Trip,
  withUnit,
} from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NumberField from '../../ui/NumberField.vue';
import { counted, massText } from '../../ui/words';

const props = defineProps<{ trip: Trip; bike: Bike }>();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const litres = (v: number) => withUnit(view.units, 'capacity', v);
// What is on the rider's own pump and cartridge; typical values to begin with.
const cartridge = ref(16);
const stroke = ref(90);
const flow = ref(TRAVEL_PUMP.flow);
const celsius = computed(() =>
  props.trip.legs.length > 0 ? Math.min(...props.trip.legs.map((l) => l.temperature)) : 20,
);
const by = computed(() => ({
  celsius: celsius.value,
  cartridge: cartridge.value,
  stroke: stroke.value,
  pump: { ...TRAVEL_PUMP, flow: flow.value },
}));
const tyres = computed(() => [
  { name: 'Front', mark: props.bike.tyreFront },
  { name: 'Rear', mark: props.bike.tyreRear },
]);
const rows = computed(() => {
  const { low, high, times } = props.trip.air;
  return tyres.value.map((t) => ({
    ...t,
    flat: filling(t.mark, 0, high, by.value),
    again: filling(t.mark, low, high, by.value),
    times,
  }));
});
const all = computed(() => {
  const sum = (of: (f: Filling) => number) => rows.value.reduce((s, r) => s + of(r.again) * r.times, 0);
  return {
    cartridges: sum((f) => f.cartridges),
    strokes: sum((f) => f.strokes),
    hand: sum((f) => f.handMinutes),
    electric: sum((f) => f.electricMinutes),
    ampereHours: sum((f) => f.ampereHours),
  };
});
/** What the switch asks to be carried, for one flat at the rear and, where it says so, a bead to seat. */
const chosen = computed(() => {
  const rear = rows.value[1]!;
  const bead = props.bike.tyres === 'tubeless' ? 2 : 0;
  const burst = bead > 0 ? `, and ${bead} cartridges for the burst that seats a bead` : '; a tube needs no burst';
  switch (garage.doc?.garage.practice.air) {
    case 'electric pump':
      return `${minutes(rear.flat.electricMinutes)} for a flat rear, ${rear.flat.ampereHours.toFixed(1)} A·h from a battery that has them.`;
    case 'hand pump':
      return `${rear.flat.strokes} strokes in ${minutes(rear.flat.handMinutes)} for a flat rear.`;
    case 'gas cartridges':
      return `${counted(rear.flat.cartridges, 'cartridge')} for each flat rear${bead > 0 ? `, ${bead} more where a bead must be seated` : ''}; refill with air within a day.`;
    case 'two of them':
      return `${minutes(rear.flat.electricMinutes)} electric, and ${rear.flat.strokes} strokes by hand should it fail.`;
    default:
      return `${rear.flat.strokes} strokes by hand or ${minutes(rear.flat.electricMinutes)} electric for a flat rear${burst}.`;
  }
});
function setAir(fields: Partial<Trip['air']>) {
  const checked = tripSchema.safeParse({ ...props.trip, air: { ...props.trip.air, ...fields } });
  if (checked.success) garage.put('change the pressures', 'trips', checked.data);
}
/** What the rider's own gauge shows at a pressure, where it was compared and is off. */
const gauge = computed(() => garage.doc?.garage.gauge ?? null);
const off = computed(() => (gauge.value ? gauge.value.shows - gauge.value.good : 0));
const kpa = (v: number) => `${figure(view.units, 'pressure', v)} ${unitOf(view.units, 'pressure')}`;
const minutes = (v: number) => (v === Infinity ? 'stalls' : `${v < 10 ? v.toFixed(1) : Math.round(v)} min`);
function why(name: string, mark: string, f: Filling, from: number) {
  explain.show({
    title: `${name} tyre ${mark}`,
    value: `${litres(f.litres)}, ${litres(f.freeAir)} of air`,
    formula:
      'volume ≈ (π/4)·W·H·2π·(rim/2 + H/2); a cartridge raises by (m/44.01)·R·T/V; strokes = V·Δp/(101.3·stroke·0.7); electric minutes = ∫ of its flow falling to the stall pressure',
    inputs: [
      { name: 'from and to', value: `${kpa(from)} to ${kpa(props.trip.air.high)}` },
      { name: 'coldest leg', value: withUnit(view.units, 'temperature', celsius.value) },
      { name: `cartridges of ${cartridge.value} g, ${CARTRIDGE_YIELD} of the ideal`, value: String(f.cartridges) },
      {
        name: `strokes of ${withUnit(view.units, 'dose', stroke.value)}, ${STROKE_YIELD} of them`,
        value: `${f.strokes}, ${minutes(f.handMinutes)}`,
      },
      {
        name: `electric, ${withUnit(view.units, 'air flow', flow.value)} free`,
        value: `${minutes(f.electricMinutes)}, ${f.ampereHours.toFixed(1)} A·h`,
      },
    ],
    source: 'typical values; never above the tyre or rim maker’s seating pressure',
  });
}
</script>

<template>
  <div>
    <div class="form">
      <NumberField
        label="Aired down and up, times"
        :max="500"
        :model-value="trip.air.times"
        @update:model-value="setAir({ times: Math.round($event) })"
      />
      <NumberField
        label="from"
        quantity="pressure"
        :max="600"
        :model-value="trip.air.low"
        @update:model-value="setAir({ low: $event })"
      />
      <NumberField
        label="to"
        quantity="pressure"
        :max="600"
        :model-value="trip.air.high"
        @update:model-value="setAir({ high: $event })"
      />
      <NumberField v-model="cartridge" label="Cartridge (g of gas)" :min="8" :max="100" />
      <NumberField v-model="stroke" label="Hand pump, a stroke" quantity="dose" :min="10" :max="1000" />
      <NumberField v-model="flow" label="Electric pump" quantity="air flow" :min="1" :max="200" />
    </div>
    <p v-if="gauge && Math.abs(off) >= 0.5" class="note">
      Your gauge shows <strong class="num">{{ kpa(Math.abs(off)) }}</strong> too
      {{ off > 0 ? 'much' : 'little' }} (compared {{ gauge.on }}): for {{ kpa(trip.air.high) }} it must show
      <strong class="num">{{ kpa(shownBy(gauge, trip.air.high)) }}</strong><template v-if="trip.air.times > 0"
        >, for {{ kpa(trip.air.low) }} <strong class="num">{{ kpa(shownBy(gauge, trip.air.low)) }}</strong></template
      >.
    </p>
    <p v-else-if="!gauge" class="note soft">
      A cheap gauge is often off:
      <router-link :to="{ path: '/prove', query: { tab: 'checks' } }">compare yours with a good one</router-link> under
      Checks, and what it must show is said here.
    </p>
    <template v-for="r in rows" :key="r.name">
      <div class="sheet-head">
        <h2>{{ r.name }} {{ r.mark }}</h2>
        <span class="num">{{ litres(r.flat.litres) }}</span>
      </div>
      <v-table>
        <thead>
          <tr>
            <th scope="col">from</th>
            <th scope="col">cartridges</th>
            <th scope="col">by hand</th>
            <th scope="col">electric</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="line in [
              { from: 0, f: r.flat },
              { from: trip.air.low, f: r.again },
            ]"
            :key="line.from"
          >
            <th scope="row">
              <v-btn variant="plain" @click="why(r.name, r.mark, line.f, line.from)">
                {{ line.from === 0 ? 'flat' : kpa(line.from) }}
              </v-btn>
            </th>
            <td class="num">{{ line.f.cartridges }}</td>
            <td class="num">
              {{ line.f.strokes }}<small class="soft">{{ minutes(line.f.handMinutes) }}</small>
            </td>
            <td class="num">
              {{ minutes(line.f.electricMinutes)
              }}<small class="soft"
                >{{ line.f.ampereHours.toFixed(1) }} A·h{{ line.f.rests ? ', with a rest' : '' }}</small
              >
            </td>
          </tr>
        </tbody>
      </v-table>
    </template>
    <p class="note">
      You chose <strong>{{ garage.doc?.garage.practice.air }}</strong>: {{ chosen }}
    </p>
    <p v-if="trip.air.times > 0" class="note">
      Both tyres {{ trip.air.times }} times over the trip: <strong class="num">{{ all.cartridges }}</strong> cartridges
      (<span class="num">{{ massText(view.units, all.cartridges * cartridgeMass(cartridge)) }}</span
      >), or <strong class="num">{{ all.strokes }}</strong> strokes in <span class="num">{{ minutes(all.hand) }}</span>,
      or <strong class="num">{{ minutes(all.electric) }}</strong> of an electric pump.
      <template v-if="all.cartridges > 12">A pump: cartridges for that weigh more than it does.</template>
    </p>
    <p class="caution">
      A cartridge-filled tyre loses gas through the rubber within a day: refill with air. Cartridges freeze skin and
      burst when hot.
    </p>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px 12px;
  padding: 10px 16px;
  align-items: end;
}
table {
  width: calc(100% - 32px);
  margin: 4px 16px 8px;
  border-collapse: collapse;
  font-size: 14.5px;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 4px 6px 4px 0;
  border-bottom: 1px solid var(--hair);
  vertical-align: top;
}
thead th {
  color: var(--soft);
  font-size: 13px;
}
small {
  display: block;
  font-size: 12px;
}
.note {
  padding: 8px 16px;
  font-size: 14.5px;
  line-height: 1.35;
}
.caution {
  margin: 8px 16px;
}
@media (max-width: 760px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
  .v-btn--variant-plain {
    min-height: 44px;
  }
}
</style>
