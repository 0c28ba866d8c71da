<script setup lang="ts">
/** What fills each tyre: cartridges, hand pump, electric pump; for one flat and for a trip of airing down and up. */
import { computed, ref } from 'vue';
import {
  at,
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
import * as texts from '../../words/trip/airSheet';

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
  { name: texts.front, mark: props.bike.tyreFront },
  { name: texts.rear, mark: props.bike.tyreRear },
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
  const rear = at(rows.value, 1);
  const bead = props.bike.tyres === 'tubeless' ? 2 : 0;
  const burst = bead > 0 ? texts.andCartridgesForTheBurst(bead) : texts.aTubeNeedsNoBurst;
  switch (garage.doc?.garage.practice.air) {
    case 'electric':
      return texts.forAFlatRearA(minutes(rear.flat.electricMinutes), rear.flat.ampereHours.toFixed(1));
    case 'hand':
      return texts.strokesInForAFlat(rear.flat.strokes, minutes(rear.flat.handMinutes));
    case 'gas':
      return texts.forEachFlatRearRefill(
        counted(rear.flat.cartridges, 'cartridge'),
        bead > 0 ? texts.moreWhereABeadMust(bead) : '',
      );
    case 'two':
      return texts.electricAndStrokesByHand(minutes(rear.flat.electricMinutes), rear.flat.strokes);
    default:
      return texts.strokesByHandOrElectric(rear.flat.strokes, minutes(rear.flat.electricMinutes), burst);
  }
});
function setAir(fields: Partial<Trip['air']>) {
  const checked = tripSchema.safeParse({ ...props.trip, air: { ...props.trip.air, ...fields } });
  if (checked.success) garage.put(texts.changeThePressures, 'trips', checked.data);
}
/** What the rider's own gauge shows at a pressure, where it was compared and is off. */
const gauge = computed(() => garage.doc?.garage.gauge ?? null);
const off = computed(() => (gauge.value ? gauge.value.shows - gauge.value.good : 0));
const kpa = (v: number) => `${figure(view.units, 'pressure', v)} ${unitOf(view.units, 'pressure')}`;
const minutes = (v: number) => (v === Infinity ? texts.stalls : `${v < 10 ? v.toFixed(1) : Math.round(v)} min`);
function why(name: string, mark: string, f: Filling, from: number) {
  explain.show({
    title: texts.tyre(name, mark),
    value: texts.ofAir(litres(f.litres), litres(f.freeAir)),
    formula: texts.volume4WH2,
    inputs: [
      { name: texts.fromAndTo, value: texts.oneToTheOther(kpa(from), kpa(props.trip.air.high)) },
      { name: texts.coldestLeg, value: withUnit(view.units, 'temperature', celsius.value) },
      { name: texts.cartridgesOfGOfThe(cartridge.value, CARTRIDGE_YIELD), value: String(f.cartridges) },
      {
        name: texts.strokesOfOfThem(withUnit(view.units, 'dose', stroke.value), STROKE_YIELD),
        value: `${f.strokes}, ${minutes(f.handMinutes)}`,
      },
      {
        name: texts.electricFree(withUnit(view.units, 'air flow', flow.value)),
        value: `${minutes(f.electricMinutes)}, ${f.ampereHours.toFixed(1)} A·h`,
      },
    ],
    source: texts.typicalValuesNeverAboveThe,
  });
}
</script>

<template>
  <div>
    <div class="form">
      <NumberField
        :label="texts.airedDownAndUpTimes"
        :max="500"
        :model-value="trip.air.times"
        @update:model-value="setAir({ times: Math.round($event) })"
      />
      <NumberField
        :label="texts.from"
        quantity="pressure"
        :max="600"
        :model-value="trip.air.low"
        @update:model-value="setAir({ low: $event })"
      />
      <NumberField
        :label="texts.to"
        quantity="pressure"
        :max="600"
        :model-value="trip.air.high"
        @update:model-value="setAir({ high: $event })"
      />
      <NumberField v-model="cartridge" :label="texts.cartridgeGOfGas" :min="8" :max="100" />
      <NumberField v-model="stroke" :label="texts.handPumpAStroke" quantity="dose" :min="10" :max="1000" />
      <NumberField v-model="flow" :label="texts.electricPump" quantity="air flow" :min="1" :max="200" />
    </div>
    <p v-if="gauge && Math.abs(off) >= 0.5" class="note">
      {{ texts.yourGaugeShows }} <strong class="num">{{ kpa(Math.abs(off)) }}</strong>
      {{ texts.tooComparedForItMust(off > 0 ? texts.much : texts.little, gauge.on, kpa(trip.air.high)) }}
      <strong class="num">{{ kpa(shownBy(gauge, trip.air.high)) }}</strong><template v-if="trip.air.times > 0"
        >{{ texts.for2(kpa(trip.air.low)) }}
        <strong class="num">{{ kpa(shownBy(gauge, trip.air.low)) }}</strong></template
      >.
    </p>
    <p v-else-if="!gauge" class="note soft">
      {{ texts.aCheapGaugeIsOften }}
      <router-link :to="{ path: '/prove', query: { tab: 'checks' } }">{{ texts.compareYoursWithAGood }}</router-link>
      {{ texts.underChecksAndWhatIt }}
    </p>
    <template v-for="r in rows" :key="r.name">
      <div class="sheet-head">
        <h2>{{ r.name }} {{ r.mark }}</h2>
        <span class="num">{{ litres(r.flat.litres) }}</span>
      </div>
      <v-table>
        <thead>
          <tr>
            <th scope="col">{{ texts.from }}</th>
            <th scope="col">{{ texts.cartridges }}</th>
            <th scope="col">{{ texts.byHand }}</th>
            <th scope="col">{{ texts.electric }}</th>
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
                {{ line.from === 0 ? texts.flat : kpa(line.from) }}
              </v-btn>
            </th>
            <td class="num">{{ line.f.cartridges }}</td>
            <td class="num">
              {{ line.f.strokes }}<small class="soft">{{ minutes(line.f.handMinutes) }}</small>
            </td>
            <td class="num">
              {{ minutes(line.f.electricMinutes)
              }}<small class="soft"
                >{{ line.f.ampereHours.toFixed(1) }} A·h{{ line.f.rests ? texts.withARest : '' }}</small
              >
            </td>
          </tr>
        </tbody>
      </v-table>
    </template>
    <p class="note">
      {{ texts.youChose }} <strong>{{ garage.doc?.garage.practice.air }}</strong>: {{ chosen }}
    </p>
    <p v-if="trip.air.times > 0" class="note">
      {{ texts.bothTyresTimesOverThe(trip.air.times) }} <strong class="num">{{ all.cartridges }}</strong>
      {{ texts.cartridges2
      }}<span class="num">{{ massText(view.units, all.cartridges * cartridgeMass(cartridge)) }}</span
      >{{ texts.or }} <strong class="num">{{ all.strokes }}</strong> {{ texts.strokesIn }}
      <span class="num">{{ minutes(all.hand) }}</span>{{ texts.or2 }}
      <strong class="num">{{ minutes(all.electric) }}</strong> {{ texts.ofAnElectricPump }}
      <template v-if="all.cartridges > 12">{{ texts.aPumpCartridgesForThat }}</template>
    </p>
    <p class="caution">
      {{ texts.aCartridgeFilledTyreLoses }}
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
