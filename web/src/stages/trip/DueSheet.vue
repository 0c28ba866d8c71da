<script setup lang="ts">
/** What falls due on the trip and on which leg, so that it can be done before leaving; oil, fuel and water. */
import LineField from '../../ui/LineField.vue';
import { computed, ref } from 'vue';
import {
  present,
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
import * as texts from '../../words/trip/dueSheet';
import * as edits from '../../words/edits';

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
    ? texts.overdueBeforeLeaving
    : d.times === 0
      ? d.leftKm === null
        ? texts.notOnThisTrip
        : texts.notOnThisTripLeft(km(d.leftKm))
      : texts.onOrBeforeLeaving(
          props.trip.legs[present(d.leg)]?.name ?? texts.theTrip,
          d.times > 1 ? texts.timesInAll(d.times) : '',
        );
const setBike = (label: string, fields: Partial<Bike>) => garage.put(label, 'bikes', { ...props.bike, ...fields });
const setService = (s: Service, fields: Partial<Service>) =>
  setBike(edits.change(s.name), {
    services: props.bike.services.map((x) => (x.id === s.id ? { ...x, ...fields } : x)),
  });
function add() {
  const service: Service = {
    id: crypto.randomUUID(),
    name: texts.newService,
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
  setBike(texts.addAService2, { services: [...props.bike.services, service] });
  opened.value = service.id;
}
function done(s: Service) {
  setService(s, { lastKm: props.bike.odometer, lastHours: props.bike.engineHours, lastDate: today() });
  notice.done(texts.isDoneTodayAt(s.name, km(props.bike.odometer)));
}
function remove(s: Service) {
  setBike(texts.takeOut(s.name), { services: props.bike.services.filter((x) => x.id !== s.id) });
  notice.done(texts.takenOut(s.name));
}
const setDate = (s: Service, text: string) => {
  if (text === '' || /^\d{4}-\d{2}-\d{2}$/.test(text)) setService(s, { lastDate: text === '' ? null : text });
};
function why(d: Due) {
  explain.show({
    title: d.service.name,
    value: when(d),
    formula: texts.dueWhenTheWearSince,
    inputs: [
      { name: texts.interval, value: d.formula },
      { name: texts.leftBeforeTheTrip, value: d.leftKm === null ? texts.byDaysOnly : km(d.leftKm) },
      { name: texts.timesByTheEndOf, value: String(d.times) },
      { name: texts.usesUp, value: d.quantity > 0 ? `${d.quantity} × ${d.service.uses}` : texts.nothing },
    ],
    source: texts.yourBikesServiceBookWhat,
  });
}
function whyLeg(n: (typeof needs.value)[number]) {
  explain.show({
    title: texts.fuelAndWaterOn(n.leg.name),
    value: texts.onATank2(km(n.range)),
    formula: n.formula,
    inputs: [
      {
        name: texts.spareFuel,
        value:
          n.spareFuel === null
            ? texts.theWayBetweenPumpsIs
            : `${litres(n.spareFuel)}, ${massText(view.units, n.fuelMass)}`,
      },
      {
        name: texts.waterADay,
        value: texts.atAndHInThe(litres(n.water), withUnit(view.units, 'temperature', n.leg.temperature), n.leg.hours),
      },
    ],
    source: texts.typicalValuesASeventhOf,
  });
}
</script>

<template>
  <div>
    <div class="sheet-head">
      <h2>{{ texts.fallsDue }}</h2>
      <v-btn variant="plain" @click="add">{{ texts.addAService }}</v-btn>
    </div>
    <div class="form">
      <NumberField
        :label="texts.onTheClock"
        quantity="distance"
        :max="100000"
        :model-value="bike.odometer"
        @update:model-value="setBike(texts.setTheOdometer, { odometer: $event })"
      />
      <NumberField
        :label="texts.engineHours"
        :max="100000"
        :model-value="bike.engineHours"
        @update:model-value="setBike(texts.setTheEngineHours, { engineHours: $event })"
      />
      <NumberField
        :label="texts.fuel"
        quantity="consumption"
        :min="0.5"
        :max="20"
        :model-value="bike.consumption"
        @update:model-value="setBike(texts.setTheConsumption, { consumption: $event })"
      />
      <NumberField
        :label="texts.oilUsed"
        quantity="oil use"
        :max="3000"
        :model-value="bike.oilUse"
        @update:model-value="setBike(texts.setTheOilUse, { oilUse: $event })"
      />
    </div>
    <p v-if="bike.services.length === 0" class="note soft">
      {{ texts.noServicesYetAddOil }}
    </p>
    <template v-for="d in due" :key="d.service.id">
      <div class="row due" role="group" :aria-label="d.service.name">
        <v-btn
          variant="text"
          :aria-expanded="opened === d.service.id"
          @click="opened = opened === d.service.id ? null : d.service.id"
        >
          <span class="title">{{ d.service.name }}</span>
          <span class="sub" :class="{ gap: d.overdue, soft: d.times === 0 }">{{ when(d) }}</span>
        </v-btn>
        <v-btn variant="plain" class="num" :aria-label="texts.why(d.service.name)" @click="why(d)">
          {{ d.times }}×<small v-if="d.quantity > 0" class="soft">{{ d.quantity }} {{ d.service.uses }}</small>
        </v-btn>
      </div>
      <div v-if="opened === d.service.id" class="form detail" role="group" :aria-label="texts.change(d.service.name)">
        <TextField
          :label="texts.name"
          :most="120"
          :value="d.service.name"
          @take="$event.trim() && setService(d.service, { name: $event.trim() })"
        />
        <OptionalNumber
          :label="texts.every"
          quantity="distance"
          :min="1"
          :max="100000"
          :empty="texts.noKm"
          :model-value="d.service.everyKm"
          @update:model-value="setService(d.service, { everyKm: $event })"
        />
        <OptionalNumber
          :label="texts.orDays"
          :min="1"
          :max="10000"
          whole
          :empty="texts.noDays"
          :model-value="d.service.everyDays"
          @update:model-value="setService(d.service, { everyDays: $event })"
        />
        <OptionalNumber
          :label="texts.orEngineHours"
          :min="1"
          :max="10000"
          :empty="texts.noHours"
          :model-value="d.service.everyHours"
          @update:model-value="setService(d.service, { everyHours: $event })"
        />
        <NumberField
          :label="texts.leftOfItInDust"
          :min="5"
          :max="100"
          :model-value="d.service.dust * 100"
          @update:model-value="setService(d.service, { dust: $event / 100 })"
        />
        <NumberField
          :label="texts.lastDoneAt"
          quantity="distance"
          :max="100000"
          :model-value="d.service.lastKm"
          @update:model-value="setService(d.service, { lastKm: $event })"
        />
        <NumberField
          :label="texts.atEngineHours"
          :max="100000"
          :model-value="d.service.lastHours"
          @update:model-value="setService(d.service, { lastHours: $event })"
        />
        <LineField
          :label="texts.on"
          kind="date"
          :model-value="d.service.lastDate ?? ''"
          @change="setDate(d.service, ($event.target as HTMLInputElement).value)"
        />
        <TextField
          :label="texts.takes"
          :most="60"
          :value="d.service.uses"
          @take="setService(d.service, { uses: $event })"
        />
        <NumberField
          :label="texts.howMuch"
          :max="10000"
          :model-value="d.service.quantity"
          @update:model-value="setService(d.service, { quantity: $event })"
        />
        <p class="wide acts">
          <v-btn variant="tonal" @click="done(d.service)">{{ texts.doneToday }}</v-btn>
          <v-btn variant="tonal" class="gap" @click="remove(d.service)">{{ texts.deleteIt }}</v-btn>
        </p>
      </div>
    </template>
    <p class="note">
      {{ texts.oilThatTheEngineBurns }} <strong class="num">{{ withUnit(view.units, 'dose', oil) }}</strong>.
    </p>
    <div class="sheet-head">
      <h2>{{ texts.fuelAndWaterLegBy }}</h2>
      <span class="soft">{{ texts.tank(litres(bike.tank)) }}</span>
    </div>
    <v-btn variant="text" v-for="n in needs" :key="n.leg.id" class="row leg" @click="whyLeg(n)">
      <span class="title">{{ n.leg.name }}</span>
      <span class="num"
        >{{ km(n.range) }}<small class="soft">{{ texts.onATank }}</small></span
      >
      <span class="num"
        >{{ n.spareFuel === null ? '?' : litres(n.spareFuel)
        }}<small class="soft">{{ n.spareFuel === null ? texts.gapNotKnown : texts.spareFuel }}</small></span
      >
      <span class="num"
        >{{ litres(n.water) }}<small class="soft">{{ texts.waterADay }}</small></span
      >
    </v-btn>
    <p class="caution">{{ texts.fuelOnlyInApprovedCans }}</p>
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
