<script setup lang="ts">
/** What is looked at again since a repair, with its limits, until a workshop has seen to it. */
import { computed, ref } from 'vue';
import { present, STATION_NAMES, STATIONS, watchState, withUnit, type Station, type Watch } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import LineField from '../../ui/LineField.vue';
import NumberField from '../../ui/NumberField.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import SelectField from '../../ui/SelectField.vue';
import * as texts from '../../words/prove/watchSheet';
import * as edits from '../../words/edits';

const garage = useGarage();
const view = useView();
const notice = useNotice();
const km = (v: number) => withUnit(view.units, 'distance', v);
const mine = computed(() => (garage.doc?.watches ?? []).filter((w) => w.bikeId === garage.bike?.id));
const open = computed(() =>
  mine.value
    .filter((w) => w.closed === null)
    .map((w) => ({ w, state: watchState(w, garage.bike?.odometer ?? 0) }))
    .sort((a, b) => a.state.nextIn - b.state.nextIn),
);
const past = computed(() => mine.value.filter((w) => w.closed !== null));
const FROM = { drill: 'a drill', log: texts.theRideLog, road: texts.theRoad, hand: texts.yourHand } as const;
function looked(w: Watch, ok: boolean) {
  const at = { on: today(), km: garage.bike?.odometer ?? 0, ok, note: '' };
  if (garage.put(texts.lookedAt(w.name), 'watches', { ...w, looked: [...w.looked, at].slice(-200) }))
    notice.say(ok ? texts.fineAgainIn(w.name, km(w.everyKm)) : texts.haveItSeenToBefore(w.name));
}
const close = (w: Watch, how: NonNullable<Watch['closed']>['how']) =>
  garage.put(`${w.name}: ${how}`, 'watches', { ...w, closed: { on: today(), how } });
function setOdometer(odometer: number) {
  if (garage.bike) garage.put(texts.theOdometer, 'bikes', { ...garage.bike, odometer });
}
const adding = ref(false);
const name = ref('');
const why = ref('');
const everyKm = ref(50);
const lastsKm = ref<number | null>(null);
const lastsKmh = ref<number | null>(null);
const station = ref<Station | ''>('');
function add() {
  const bike = garage.bike;
  if (!bike || name.value.trim() === '') return;
  const row: Watch = {
    ...{ id: crypto.randomUUID(), bikeId: bike.id, name: name.value.trim(), why: why.value.trim(), caution: '' },
    ...{ station: station.value === '' ? null : station.value, from: 'hand', since: today(), atKm: bike.odometer },
    ...{ everyKm: everyKm.value, lastsKm: lastsKm.value, lastsKmh: lastsKmh.value, looked: [], closed: null },
  };
  if (!garage.put(edits.watch(row.name), 'watches', row)) return;
  name.value = '';
  why.value = '';
  adding.value = false;
}
</script>

<template>
  <div>
    <section v-if="garage.bike">
      <NumberField
        :label="texts.onTheClockNow"
        quantity="distance"
        :min="0"
        :max="100000"
        :model-value="garage.bike.odometer"
        @update:model-value="setOdometer"
      />
    </section>
    <section v-if="open.length > 0">
      <h2>{{ texts.lookAtItAgain }}</h2>
      <ul class="plain">
        <li v-for="{ w, state } in open" :key="w.id" class="watch" :class="{ overdue: state.overdue || state.ended }">
          <p class="head-line">
            <strong>{{ w.name }}</strong>
            <span class="num" :class="{ gap: state.overdue }">{{
              state.nextIn <= 0 ? texts.overdue(km(-state.nextIn)) : texts.in2(km(state.nextIn))
            }}</span>
          </p>
          <p class="soft">
            {{
              texts.sinceFrom(
                w.why,
                w.why ? '. ' : '',
                w.since,
                FROM[w.from],
                w.station ? `; ${STATION_NAMES[w.station]}` : '',
              )
            }}
          </p>
          <p v-if="w.lastsKm !== null || w.lastsKmh !== null" :class="{ gap: state.ended }">
            <template v-if="state.endsIn !== null">{{
              state.ended ? texts.goodForAndThatHas(km(present(w.lastsKm))) : texts.goodForMore(km(state.endsIn))
            }}</template>
            <template v-if="w.lastsKmh !== null">
              {{
                texts.noMoreThan(
                  state.endsIn !== null && !state.ended ? texts.at : texts.at2,
                  withUnit(view.units, 'speed', w.lastsKmh),
                )
              }}</template>.
          </p>
          <p v-if="w.caution" class="caution">{{ w.caution }}</p>
          <p class="acts">
            <v-btn @click="looked(w, true)">{{ texts.checkedFine }}</v-btn>
            <v-btn variant="tonal" @click="looked(w, false)">{{ texts.notFine }}</v-btn>
            <v-btn variant="tonal" @click="close(w, 'replaced')">{{ texts.replaced }}</v-btn>
            <v-btn variant="tonal" @click="close(w, 'seen by a workshop')">{{ texts.workshopHasSeenIt }}</v-btn>
            <v-btn variant="plain" @click="close(w, 'not needed')">{{ texts.notNeeded }}</v-btn>
          </p>
        </li>
      </ul>
    </section>
    <p v-else class="empty">
      {{ texts.nothingIsWatchedAfterWork }}
    </p>
    <section>
      <v-btn v-if="!adding" variant="tonal" @click="adding = true">{{ texts.watchSomething }}</v-btn>
      <form v-else @submit.prevent="add">
        <LineField v-model="name" :label="texts.whatToLookAtAgain" maxlength="120" autofocus />
        <LineField v-model="why" :label="texts.whatWasDone" maxlength="300" />
        <NumberField v-model="everyKm" :label="texts.every" quantity="distance" :min="1" :max="100000" />
        <OptionalNumber
          v-model="lastsKm"
          :label="texts.goodFor"
          quantity="distance"
          :min="1"
          :max="100000"
          :empty="texts.asBefore"
        />
        <OptionalNumber
          v-model="lastsKmh"
          :label="texts.atNoMoreThan"
          quantity="speed"
          :min="1"
          :max="300"
          :empty="texts.asBefore"
        />
        <SelectField
          v-model="station"
          :label="texts.where"
          :items="[
            { title: texts.notSaid, value: '' as const },
            ...STATIONS.map((s) => ({ title: STATION_NAMES[s], value: s })),
          ]"
        />
        <p class="acts">
          <v-btn type="submit" :disabled="name.trim() === ''">{{ texts.add }}</v-btn>
          <v-btn variant="tonal" @click="adding = false">{{ texts.cancel }}</v-btn>
        </p>
      </form>
    </section>
    <section v-if="past.length > 0">
      <h2>{{ texts.closed }}</h2>
      <ul class="plain">
        <li v-for="w in past" :key="w.id" class="soft">{{ w.name }}: {{ w.closed?.how }}, {{ w.closed?.on }}</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
}
.watch {
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
  display: grid;
  gap: 4px;
}
.head-line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: 16px;
}
</style>
