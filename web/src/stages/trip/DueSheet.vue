<script setup lang="ts">
/** What falls due on the trip and on which leg, so that it can be done before leaving; oil, fuel and water. */
import LineField from '../../ui/LineField.vue';
import { computed, ref } from 'vue';
import {
  dueOn,
  figure,
  legNeeds,
  oilBurnt,
  unitOf,
  type Bike,
  type Due,
  type Service,
  type Trip,
  withUnit,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NumberField from '../../ui/NumberField.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import TextField from '../../ui/TextField.vue';
import { massText } from '../../ui/words';
import { today } from '../../ui/day';

const props = defineProps<{ trip: Trip; bike: Bike }>();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const notice = useNotice();
const due = computed(() => dueOn(props.bike, props.trip, today()));
const oil = computed(() => oilBurnt(props.bike, props.trip));
const needs = computed(() => props.trip.legs.map((l) => legNeeds(props.bike, l)));
const opened = ref<string | null>(null);
const litres = (v: number) => withUnit(view.units, 'capacity', v);
const km = (v: number) => `${figure(view.units, 'distance', v)} ${unitOf(view.units, 'distance')}`;
const when = (d: Due) =>
  d.overdue
    ? 'overdue: before leaving'
    : d.times === 0
      ? d.leftKm === null
        ? 'not on this trip'
        : `not on this trip; ${km(d.leftKm)} left now`
      : `on ${props.trip.legs[d.leg!]?.name ?? 'the trip'}${d.times > 1 ? `, ${d.times} times in all` : ''}: or before leaving`;
const setBike = (label: string, fields: Partial<Bike>) => garage.put(label, 'bikes', { ...props.bike, ...fields });
const setService = (s: Service, fields: Partial<Service>) =>
  setBike(`change ${s.name}`, { services: props.bike.services.map((x) => (x.id === s.id ? { ...x, ...fields } : x)) });
function add() {
  const service: Service = {
    id: crypto.randomUUID(),
    name: 'New service',
    everyKm: 5000,
    everyDays: null,
    everyHours: null,
    dust: 1,
    lastKm: props.bike.odometer,
    lastHours: props.bike.engineHours,
    lastDate: today(),
    uses: '',
    quantity: 0,
  };
  setBike('add a service', { services: [...props.bike.services, service] });
  opened.value = service.id;
}
function done(s: Service) {
  setService(s, { lastKm: props.bike.odometer, lastHours: props.bike.engineHours, lastDate: today() });
  notice.done(`${s.name} is done today at ${km(props.bike.odometer)}.`);
}
function remove(s: Service) {
  setBike(`take out ${s.name}`, { services: props.bike.services.filter((x) => x.id !== s.id) });
  notice.done(`${s.name} taken out.`);
}
const setDate = (s: Service, text: string) => {
  if (text === '' || /^\d{4}-\d{2}-\d{2}$/.test(text)) setService(s, { lastDate: text === '' ? null : text });
};
function why(d: Due) {
  explain.show({
    title: d.service.name,
    value: when(d),
    formula: 'due when the wear since it was last done reaches its interval, or its days are over, whichever is first',
    inputs: [
      { name: 'interval', value: d.formula },
      { name: 'left before the trip', value: d.leftKm === null ? 'by days only' : km(d.leftKm) },
      { name: 'times by the end of the trip', value: String(d.times) },
      { name: 'takes', value: d.quantity > 0 ? `${d.quantity} × ${d.service.uses}` : 'nothing' },
    ],
    source: 'your bike’s service book; what dust takes is a typical value. The maker’s manual wins.',
  });
}
function whyLeg(n: (typeof needs.value)[number]) {
  explain.show({
    title: `Fuel and water on ${n.leg.name}`,
    value: `${km(n.range)} on a tank`,
    formula: n.formula,
    inputs: [
      {
        name: 'spare fuel',
        value:
          n.spareFuel === null
            ? 'the way between pumps is not known'
            : `${litres(n.spareFuel)}, ${massText(view.units, n.fuelMass)}`,
      },
      {
        name: 'water a day',
        value: `${litres(n.water)} at ${withUnit(view.units, 'temperature', n.leg.temperature)} and ${n.leg.hours} h in the saddle`,
      },
    ],
    source:
      'typical values: a seventh of the tank kept back, pumps a fifth farther than planned, half a litre to a litre of water an hour by the heat',
  });
}
</script>

<template>
  <div>
    <div class="sheet-head">
      <h2>Falls due</h2>
      <v-btn variant="plain" @click="add">Add a service</v-btn>
    </div>
    <div class="form">
      <NumberField
        label="On the clock"
        quantity="distance"
        :max="100000"
        :model-value="bike.odometer"
        @update:model-value="setBike('set the odometer', { odometer: $event })"
      />
      <NumberField
        label="Engine hours"
        :max="100000"
        :model-value="bike.engineHours"
        @update:model-value="setBike('set the engine hours', { engineHours: $event })"
      />
      <NumberField
        label="Fuel"
        quantity="consumption"
        :min="0.5"
        :max="20"
        :model-value="bike.consumption"
        @update:model-value="setBike('set the consumption', { consumption: $event })"
      />
      <NumberField
        label="Oil used"
        quantity="oil use"
        :max="3000"
        :model-value="bike.oilUse"
        @update:model-value="setBike('set the oil use', { oilUse: $event })"
      />
    </div>
    <p v-if="bike.services.length === 0" class="note soft">
      No services yet. Add oil, filter, chain, pads, tyres: with the interval, and when it was last done.
    </p>
    <template v-for="d in due" :key="d.service.id">
      <div class="row due">
        <v-btn
          variant="text"
          :aria-expanded="opened === d.service.id"
          @click="opened = opened === d.service.id ? null : d.service.id"
        >
          <span class="title">{{ d.service.name }}</span>
          <span class="sub" :class="{ gap: d.overdue, soft: d.times === 0 }">{{ when(d) }}</span>
        </v-btn>
        <v-btn variant="plain" class="num" :aria-label="`Why ${d.service.name}`" @click="why(d)">
          {{ d.times }}×<small v-if="d.quantity > 0" class="soft">{{ d.quantity }} {{ d.service.uses }}</small>
        </v-btn>
      </div>
      <div v-if="opened === d.service.id" class="form detail">
        <TextField
          label="Name"
          :most="120"
          :value="d.service.name"
          @take="$event.trim() && setService(d.service, { name: $event.trim() })"
        />
        <OptionalNumber
          label="Every"
          quantity="distance"
          :min="1"
          :max="100000"
          empty="no km"
          :model-value="d.service.everyKm"
          @update:model-value="setService(d.service, { everyKm: $event })"
        />
        <OptionalNumber
          label="or days"
          :min="1"
          :max="10000"
          whole
          empty="no days"
          :model-value="d.service.everyDays"
          @update:model-value="setService(d.service, { everyDays: $event })"
        />
        <OptionalNumber
          label="or engine hours"
          :min="1"
          :max="10000"
          empty="no hours"
          :model-value="d.service.everyHours"
          @update:model-value="setService(d.service, { everyHours: $event })"
        />
        <NumberField
          label="Left of it in dust (%)"
          :min="5"
          :max="100"
          :model-value="d.service.dust * 100"
          @update:model-value="setService(d.service, { dust: $event / 100 })"
        />
        <NumberField
          label="Last done at"
          quantity="distance"
          :max="100000"
          :model-value="d.service.lastKm"
          @update:model-value="setService(d.service, { lastKm: $event })"
        />
        <NumberField
          label="at engine hours"
          :max="100000"
          :model-value="d.service.lastHours"
          @update:model-value="setService(d.service, { lastHours: $event })"
        />
        <LineField
          label="on"
          kind="date"
          :model-value="d.service.lastDate ?? ''"
          @change="setDate(d.service, ($event.target as HTMLInputElement).value)"
        />
        <TextField label="Takes" :most="60" :value="d.service.uses" @take="setService(d.service, { uses: $event })" />
        <NumberField
          label="how much"
          :max="10000"
          :model-value="d.service.quantity"
          @update:model-value="setService(d.service, { quantity: $event })"
        />
        <p class="wide acts">
          <v-btn variant="tonal" @click="done(d.service)">Done today</v-btn>
          <v-btn variant="tonal" class="gap" @click="remove(d.service)">Delete</v-btn>
        </p>
      </div>
    </template>
    <p class="note">
      Oil that the engine burns on the way: <strong class="num">{{ withUnit(view.units, 'dose', oil) }}</strong>.
    </p>
    <div class="sheet-head">
      <h2>Fuel and water, leg by leg</h2>
      <span class="soft">tank {{ litres(bike.tank) }}</span>
    </div>
    <v-btn variant="text" v-for="n in needs" :key="n.leg.id" class="row leg" @click="whyLeg(n)">
      <span class="title">{{ n.leg.name }}</span>
      <span class="num">{{ km(n.range) }}<small class="soft">on a tank</small></span>
      <span class="num"
        >{{ n.spareFuel === null ? '?' : litres(n.spareFuel)
        }}<small class="soft">{{ n.spareFuel === null ? 'gap not known' : 'spare fuel' }}</small></span
      >
      <span class="num">{{ litres(n.water) }}<small class="soft">water a day</small></span>
    </v-btn>
    <p class="caution">Fuel only in approved cans, away from the exhaust. Water from the wild: treat it.</p>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px 12px;
  padding: 8px 16px 10px;
  align-items: end;
}
.detail {
  grid-template-columns: repeat(4, 1fr);
  background: var(--picked);
  border-bottom: 1px solid var(--line);
}
.small {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 10px;
}
.note {
  padding: 8px 16px;
  font-size: 14.5px;
}
.caution {
  margin: 10px 16px;
}
.due {
  grid-template-columns: minmax(0, 1fr) auto;
}
.due .title,
.due .sub {
  display: block;
}
.leg {
  grid-template-columns: minmax(0, 1fr) 76px 84px 84px;
  width: 100%;
}
.leg:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.num {
  text-align: right;
}
small {
  display: block;
  font-size: 12px;
}
@media (max-width: 760px) {
  .form,
  .detail {
    grid-template-columns: 1fr 1fr;
  }
  .v-btn--variant-plain {
    min-height: 44px;
  }
}
</style>
