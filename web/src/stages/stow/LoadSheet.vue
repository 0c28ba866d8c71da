<script setup lang="ts">
/** What the bike makes of the load: bare, with its people, packed; against every limit; and what one move would change. */
import { computed } from 'vue';
import {
  present,
  figure,
  frontShare,
  loadWarnings,
  MOST_BACK,
  MOST_SHARE_LOST,
  MOST_SIDE,
  tyreBears,
  unitOf,
  type Bike,
  type Load,
  type LoadCase,
  withUnit,
} from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NumberField from '../../ui/NumberField.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import * as texts from '../../words/stow/loadSheet';
import * as edits from '../../words/edits';

const props = defineProps<{ bike: Bike; load: LoadCase; trial: { name: string; load: LoadCase } | null }>();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const shown = computed(() => props.trial?.load ?? props.load);
const kg = (grams: number) => figure(view.units, 'weight', grams, 1);
const mm = (v: number) => figure(view.units, 'length', v);
const share = (l: Load) => `${(frontShare(l) * 100).toFixed(1)} %`;
const columns = computed(() => [
  { name: texts.bare, load: props.load.bare },
  {
    name: props.load.ridden.mass > 0 && (garage.trip?.pillion ?? 0) > 0 ? texts.twoUp : texts.withRider,
    load: props.load.ridden,
  },
  { name: props.trial ? texts.packedIfMoved : texts.packed, load: shown.value.packed },
]);
const side = (l: Load) =>
  Math.abs(l.side) < 0.005
    ? texts.even
    : `${figure(view.units, 'moment', Math.abs(l.side))} ${l.side > 0 ? texts.left : texts.right}`;
const ROWS: { name: string; of: (l: Load) => string; unit: () => string }[] = [
  { name: texts.weight, of: (l) => kg(l.mass), unit: () => unitOf(view.units, 'weight') },
  {
    name: texts.centreOfGravityHeight,
    of: (l) => (l.centre ? mm(l.centre.z) : '–'),
    unit: () => unitOf(view.units, 'length'),
  },
  {
    name: texts.middleBehindAxle,
    of: (l) => (l.centre ? mm(l.centre.x) : '–'),
    unit: () => unitOf(view.units, 'length'),
  },
  { name: texts.frontAxle, of: (l) => kg(l.front), unit: () => unitOf(view.units, 'weight') },
  { name: texts.rearAxle, of: (l) => kg(l.rear), unit: () => unitOf(view.units, 'weight') },
  { name: texts.onTheFront, of: share, unit: () => '' },
  { name: texts.sideImbalance, of: side, unit: () => unitOf(view.units, 'moment') },
];
const warned = computed(() => new Set(loadWarnings(props.bike, shown.value).map((w) => w.rule)));
interface Limit {
  name: string;
  is: number;
  most: number | null;
  text: string;
  rule: string;
}
const limits = computed<Limit[]>(() => {
  const { bare, ridden, packed, rack, back } = shown.value;
  const onBoard = packed.mass - bare.mass;
  const lost = Math.max(0, (frontShare(ridden) - frontShare(packed)) * 100);
  const w = unitOf(view.units, 'weight');
  const grams = (name: string, rule: string, is: number, most: number | null): Limit => ({
    name,
    rule,
    is,
    most,
    text: most === null ? texts.limitNotKnown(kg(is), w) : texts.ofMost(kg(is), kg(most), w),
  });
  const tyre = (index: number | null) => (index === null ? null : tyreBears(index) * 1000);
  return [
    grams(texts.payload, 'payload', onBoard, props.bike.payload),
    grams(texts.rearRack, 'rack', rack, props.bike.rackLimit),
    grams(texts.frontTyre, 'front tyre', packed.front, tyre(props.bike.loadIndexFront)),
    grams(texts.rearTyre, 'rear tyre', packed.rear, tyre(props.bike.loadIndexRear)),
    {
      name: texts.frontShareLost,
      rule: 'front share',
      is: lost,
      most: MOST_SHARE_LOST,
      text: texts.ofPoints(lost.toFixed(1), MOST_SHARE_LOST),
    },
    {
      name: texts.sideImbalance,
      rule: 'side',
      is: Math.abs(packed.side),
      most: MOST_SIDE,
      text: `${figure(view.units, 'moment', Math.abs(packed.side))} of ${withUnit(view.units, 'moment', MOST_SIDE, 1)}`,
    },
    grams(texts.onTheRider, 'back', back, MOST_BACK),
  ];
});
const setBike = (fields: Partial<Bike>) =>
  garage.put(edits.change(props.bike.name), 'bikes', { ...props.bike, ...fields });
function setRider(mass: number) {
  const { doc } = garage;
  if (doc) garage.edit(texts.changeTheRidersWeight, [], { ...doc.garage, rider: { ...doc.garage.rider, mass } });
}
function setPillion(pillion: number) {
  if (garage.trip) garage.put(texts.pillionOn(garage.trip.name), 'trips', { ...garage.trip, pillion });
}
function explainLoad(l: Load, name: string) {
  explain.show({
    title: texts.load(name.toLowerCase()),
    value: texts.onTheFront2(kg(l.mass), unitOf(view.units, 'weight'), share(l)),
    formula: texts.middleMRMRear,
    inputs: [
      { name: texts.wheelbase, value: `${mm(props.bike.wheelbase)} ${unitOf(view.units, 'length')}` },
      {
        name: texts.bareBikeOnTheFront,
        value:
          props.bike.frontAxle === null
            ? texts.n48TypicalValue
            : texts.weighed(kg(props.bike.frontAxle), unitOf(view.units, 'weight')),
      },
      {
        name: texts.heightOfItsMiddle,
        value:
          props.bike.centreHeight === null
            ? texts.n64OfTheSeatHeight
            : `${mm(props.bike.centreHeight)} ${unitOf(view.units, 'length')}`,
      },
      {
        name: texts.rider,
        value: texts.n62OfTheWheelbase + withUnit(view.units, 'length', 190) + texts.aboveTheSeatTypicalValues,
      },
      {
        name: texts.pillion,
        value: texts.n88OfTheWheelbase + withUnit(view.units, 'length', 230) + texts.aboveTheSeatTypicalValues,
      },
    ],
    source: texts.staticsPlacesAsYouMeasured,
  });
}
</script>

<template>
  <div class="load">
    <p v-if="trial" role="status" class="trial">{{ texts.ifGoesThere(trial.name) }}</p>
    <div class="wrap">
      <v-table>
        <thead>
          <tr>
            <th scope="col">
              <span class="hidden-label">{{ texts.figure }}</span>
            </th>
            <th v-for="c in columns" :key="c.name" scope="col">
              <v-btn variant="plain" @click="explainLoad(c.load, c.name)">{{ c.name }}</v-btn>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in ROWS" :key="r.name">
            <th scope="row">
              {{ r.name }} <span class="soft">{{ r.unit() }}</span>
            </th>
            <td v-for="c in columns" :key="c.name" class="num">{{ r.of(c.load) }}</td>
          </tr>
        </tbody>
      </v-table>
      <ul class="limits" :aria-label="texts.limits">
        <li v-for="l in limits" :key="l.rule" :class="{ over: warned.has(l.rule as never) }">
          <span>{{ l.name }}</span><span class="num">{{ l.text }}</span>
          <span class="bar"
            ><span :style="{ width: l.most ? `${Math.min(100, (l.is / l.most) * 100)}%` : '0%' }"
          /></span>
        </li>
      </ul>
    </div>
    <div class="form">
      <NumberField
        :label="texts.riderInGear"
        quantity="weight"
        :max="250000"
        :digits="1"
        :model-value="present(garage.doc).garage.rider.mass"
        @update:model-value="setRider"
      />
      <NumberField
        v-if="garage.trip"
        :label="texts.pillionInGear"
        quantity="weight"
        :max="250000"
        :digits="1"
        :model-value="garage.trip.pillion"
        @update:model-value="setPillion"
      />
      <NumberField
        :label="texts.bikeReadyToRide"
        quantity="weight"
        :max="500000"
        :digits="1"
        :model-value="bike.mass"
        @update:model-value="setBike({ mass: $event })"
      />
      <OptionalNumber
        :label="texts.weightOnFrontAxle"
        quantity="weight"
        :min="0"
        :max="500000"
        empty="48 %"
        :model-value="bike.frontAxle"
        @update:model-value="setBike({ frontAxle: $event })"
      />
      <OptionalNumber
        :label="texts.centreOfGravityHeight"
        quantity="length"
        :min="200"
        :max="1200"
        :empty="texts.guess"
        :model-value="bike.centreHeight"
        @update:model-value="setBike({ centreHeight: $event })"
      />
      <NumberField
        :label="texts.payloadAllowed"
        quantity="weight"
        :max="500000"
        :digits="1"
        :model-value="bike.payload"
        @update:model-value="setBike({ payload: $event })"
      />
      <OptionalNumber
        :label="texts.rearRackBears"
        quantity="weight"
        :min="0"
        :max="500000"
        :empty="texts.notKnown"
        :model-value="bike.rackLimit"
        @update:model-value="setBike({ rackLimit: $event })"
      />
      <OptionalNumber
        :label="texts.frontLoadIndex"
        :min="20"
        :max="90"
        whole
        :empty="texts.onTheTyre"
        :model-value="bike.loadIndexFront"
        @update:model-value="setBike({ loadIndexFront: $event })"
      />
      <OptionalNumber
        :label="texts.rearLoadIndex"
        :min="20"
        :max="90"
        whole
        :empty="texts.onTheTyre"
        :model-value="bike.loadIndexRear"
        @update:model-value="setBike({ loadIndexRear: $event })"
      />
    </div>
    <p class="soft">
      {{ texts.theFrontIsWeighedWith }}
    </p>
  </div>
</template>

<style scoped>
.load {
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
.trial {
  font-weight: 600;
}
.wrap {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
}
table {
  border-collapse: collapse;
  flex: 1 1 380px;
  font-size: 14px;
}
th {
  font-weight: 500;
  text-align: left;
  padding: 3px 10px 3px 0;
}
thead th,
td {
  text-align: right;
}
td {
  padding: 3px 0 3px 14px;
  white-space: nowrap;
}
tbody tr {
  border-top: 1px solid var(--hair);
}
td:last-child {
  font-weight: 700;
}
.limits {
  list-style: none;
  margin: 0;
  padding: 0;
  flex: 1 1 240px;
  font-size: 13.5px;
}
.limits li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 10px;
  padding: 2px 0;
}
.bar {
  grid-column: 1 / -1;
  height: 6px;
  background: var(--hair);
}
.bar span {
  display: block;
  height: 100%;
  background: var(--ink);
}
.over {
  color: var(--gap);
  font-weight: 600;
}
.over .bar span {
  background: var(--gap);
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  gap: 8px 12px;
  align-items: end;
  padding: 10px 0 4px;
}
</style>
