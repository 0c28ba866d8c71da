<script setup lang="ts">
/** The rider's own record: rides and what happened on them, and what that makes of each planning rate. */
import SelectField from '../../ui/SelectField.vue';
import LineField from '../../ui/LineField.vue';
import { scaleLinear } from 'd3-scale';
import { computed, ref } from 'vue';
import {
  present,
  figure,
  posterior,
  posteriorSpread,
  readRides,
  recordOf,
  RIDE_COLUMNS,
  TROUBLES,
  unitOf,
  writeRides,
  type Ride,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useExplain } from '../../stores/explain';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { watchOfLog } from '../../stores/proveEdits';
import { useView } from '../../stores/view';
import CsvDialog from '../../ui/CsvDialog.vue';
import { today } from '../../ui/day';
import { download, fileName } from '../../ui/download';
import DropMenu from '../../ui/DropMenu.vue';
import NumberField from '../../ui/NumberField.vue';
import TextField from '../../ui/TextField.vue';
import * as texts from '../../words/trip/recordSheet';

const garage = useGarage();
const view = useView();
const notice = useNotice();
const explain = useExplain();
const answers = useAnswer();
const rides = computed(() => [...(garage.doc?.rides ?? [])].sort((a, b) => (a.date < b.date ? 1 : -1)));
const opened = ref<string | null>(null);
function add() {
  const ride: Ride = {
    id: crypto.randomUUID(),
    bike: garage.bike?.id ?? null,
    date: today(),
    km: { paved: 0, gravel: 0, track: 0 },
    crossings: 0,
    mishaps: [],
    note: '',
  };
  garage.put(texts.logARide2, 'rides', ride);
  opened.value = ride.id;
}
const change = (ride: Ride, fields: Partial<Ride>) => garage.put(texts.changeARide, 'rides', { ...ride, ...fields });
function setDate(ride: Ride, text: string) {
  if (/^\d{4}-\d{2}-\d{2}$/.test(text)) change(ride, { date: text });
}
function remove(ride: Ride) {
  garage.remove(texts.takeOutARide, { table: 'rides', id: ride.id });
  notice.done(texts.rideTakenOut);
}
const addMishap = (ride: Ride, trouble: string) => {
  if (!trouble) return;
  const after = { ...ride, mishaps: [...ride.mishaps, { trouble, count: 1, used: '' }] };
  const { doc, bike } = garage;
  const way = answers.answer?.kit.mends.find((m) => m.troubleId === trouble && m.bikeId === bike?.id)?.wayName ?? null;
  const watch =
    doc && bike ? watchOfLog(doc, bike, ride, { trouble, way }, { id: crypto.randomUUID(), today: today() }) : null;
  const ok = garage.edit(texts.changeARide, [
    { table: 'rides', id: ride.id, before: ride, after },
    ...(watch ? [{ table: 'watches' as const, id: watch.id, before: null, after: watch }] : []),
  ]);
  if (ok && watch) notice.say(texts.isOnTheWatchList(watch.name));
};
const setMishap = (ride: Ride, i: number, fields: Partial<Ride['mishaps'][number]>) =>
  change(ride, { mishaps: ride.mishaps.map((m, k) => (k === i ? { ...m, ...fields } : m)) });
const nameOf = (id: string) => TROUBLES.find((t) => t.id === id)?.name ?? id;
const kmOf = (r: Ride) => r.km.paved + r.km.gravel + r.km.track;
const what = (r: Ride) =>
  r.mishaps.map((m) => `${nameOf(m.trouble)}${m.count > 1 ? ` ×${m.count}` : ''}`).join(', ') || texts.nothingHappened;

// What the record makes of each rate: planning at 1, the rider's factor with its spread.
const factors = computed(() => {
  const { doc, bike } = garage;
  if (!doc || !bike) return [];
  return [...recordOf(doc.rides, bike, doc.bikes)]
    .map(([id, e]) => ({ id, name: nameOf(id), ...e, ...posterior(e), spread: posteriorSpread(e) }))
    .sort((a, b) => b.events - a.events || b.expected - a.expected)
    .slice(0, 14);
});
const x = scaleLinear([0, 3], [0, 120]).clamp(true);
function why(f: (typeof factors.value)[number]) {
  explain.show({
    title: f.name,
    value: `× ${f.factor.toFixed(2)}`,
    formula: texts.factorOnThePlanningRate,
    inputs: [
      { name: texts.happenedN, value: String(f.events) },
      { name: texts.expectedByThePlanningRates, value: f.expected.toFixed(2) },
      { name: texts.yourRecordAloneNE, value: f.expected > 0 ? (f.events / f.expected).toFixed(2) : '–' },
      { name: texts.factorAndItsSpread, value: `${f.factor.toFixed(2)} ± ${f.spread.toFixed(2)}` },
    ],
    source: texts.yourOwnRecordWithThe,
  });
}

/** A factor on the rate of one trouble of this bike; null forgets it. */
function setWeak(trouble: string, factor: number | null) {
  const bike = garage.bike;
  if (!bike || !trouble) return;
  const rest = bike.weak.filter((w) => w.trouble !== trouble);
  garage.put(texts.changeAWeakPoint, 'bikes', {
    ...bike,
    weak: factor === null ? rest : [...rest, { trouble, factor }],
  });
}

const reading = ref(false);
const readTable = (text: string) =>
  readRides(text, present(garage.bike).id, garage.doc?.rides ?? [], () => crypto.randomUUID());
function writeTable(rows: Ride[]) {
  garage.put(texts.readRides(rows.length), 'rides', ...rows);
  notice.done(texts.ridesRead(rows.length));
  reading.value = false;
}
const csvOut = () => download(fileName('rides', 'csv'), writeRides(garage.doc?.rides ?? []), 'text/csv');
</script>

<template>
  <div>
    <div class="sheet-head">
      <h2>{{ texts.rides }}</h2>
      <span
        ><v-btn variant="plain" @click="add">{{ texts.logARide }}</v-btn
        ><DropMenu :label="texts.table" :hint="texts.allRidesAsATable" quiet>
          <v-list-item role="menuitem" @click="reading = true">{{ texts.importCsv }}</v-list-item>
          <v-list-item role="menuitem" @click="csvOut">{{ texts.exportCsv }}</v-list-item></DropMenu
        ></span
      >
    </div>
    <p v-if="rides.length === 0" class="note soft">
      {{ texts.noRidesYetLogDistance }}
    </p>
    <template v-for="r in rides" :key="r.id">
      <v-btn
        variant="text"
        class="row ride"
        :aria-expanded="opened === r.id"
        @click="opened = opened === r.id ? null : r.id"
      >
        <span class="num">{{ r.date }}</span>
        <span class="sub">{{ what(r) }}</span>
        <span class="num">{{ figure(view.units, 'distance', kmOf(r)) }} {{ unitOf(view.units, 'distance') }}</span>
      </v-btn>
      <div v-if="opened === r.id" class="detail">
        <LineField
          :label="texts.date"
          kind="date"
          :model-value="r.date"
          @change="setDate(r, ($event.target as HTMLInputElement).value)"
        />
        <NumberField
          v-for="on in ['paved', 'gravel', 'track'] as const"
          :key="on"
          :label="on"
          quantity="distance"
          :max="100000"
          :model-value="r.km[on]"
          @update:model-value="change(r, { km: { ...r.km, [on]: $event } })"
        />
        <NumberField
          :label="texts.crossings"
          :max="500"
          :model-value="r.crossings"
          @update:model-value="change(r, { crossings: Math.round($event) })"
        />
        <div v-for="(m, i) in r.mishaps" :key="i" class="mishap">
          <strong>{{ nameOf(m.trouble) }}</strong>
          <NumberField
            :label="texts.times"
            :min="1"
            :max="50"
            :model-value="m.count"
            @update:model-value="setMishap(r, i, { count: Math.round($event) })"
          />
          <TextField :label="texts.whatWasUsed" :most="200" :value="m.used" @take="setMishap(r, i, { used: $event })" />
          <v-btn
            variant="plain"
            class="gap"
            :aria-label="texts.removeOne(nameOf(m.trouble))"
            @click="change(r, { mishaps: r.mishaps.filter((_, k) => k !== i) })"
          >
            {{ texts.remove }}
          </v-btn>
        </div>
        <SelectField
          class="wide"
          :label="texts.whatHappened"
          :items="[{ title: texts.add, value: '' }, ...TROUBLES.map((t) => ({ title: t.name, value: t.id }))]"
          model-value=""
          @update:model-value="addMishap(r, $event)"
        />
        <p class="wide">
          <v-btn variant="tonal" class="gap" @click="remove(r)">{{ texts.deleteThisRide }}</v-btn>
        </p>
      </div>
    </template>
    <template v-if="factors.length > 0">
      <div class="sheet-head">
        <h2>{{ texts.whatThatMakesOfThe }}</h2>
        <span class="soft key">{{ texts.dashedPlanning1YourRecord }}</span>
      </div>
      <v-btn variant="text" v-for="f in factors" :key="f.id" class="row factor" @click="why(f)">
        <span class="title">{{ f.name }}</span>
        <svg width="124" height="18" aria-hidden="true">
          <path class="one" :d="`M${x(1)} 0V18`" />
          <path class="spread" :d="`M${x(f.factor - f.spread)} 9H${x(f.factor + f.spread)}`" />
          <path v-if="f.expected > 0" class="raw" :d="`M${x(f.events / f.expected)} 4l5 5l-5 5l-5 -5z`" />
          <circle class="mean" :cx="x(f.factor)" cy="9" r="4" />
        </svg>
        <span class="num">× {{ f.factor.toFixed(2) }}</span>
      </v-btn>
    </template>
    <div class="sheet-head">
      <h2>{{ texts.knownWeakPointsOf(garage.bike?.name) }}</h2>
      <span class="soft">{{ texts.factorOnTheRate }}</span>
    </div>
    <div v-for="w in garage.bike?.weak ?? []" :key="w.trouble" class="row weak">
      <span class="title">{{ nameOf(w.trouble) }}</span>
      <NumberField
        :label="texts.factorOn(nameOf(w.trouble))"
        hide-label
        :min="0.1"
        :max="50"
        :model-value="w.factor"
        @update:model-value="setWeak(w.trouble, $event)"
      />
      <v-btn
        variant="plain"
        class="gap"
        :aria-label="texts.forget(nameOf(w.trouble))"
        @click="setWeak(w.trouble, null)"
      >
        {{ texts.forget2 }}
      </v-btn>
    </div>
    <p class="note">
      <SelectField
        hide-label
        :label="texts.addAWeakPoint"
        :items="[{ title: texts.addAWeakPoint2, value: '' }, ...TROUBLES.map((t) => ({ title: t.name, value: t.id }))]"
        model-value=""
        @update:model-value="setWeak($event, 2)"
      />
    </p>
    <CsvDialog
      v-if="reading"
      what="rides"
      :columns="RIDE_COLUMNS"
      :reader="readTable"
      @close="reading = false"
      @write="writeTable"
    />
  </div>
</template>

<style scoped>
.note {
  padding: 8px 16px;
  font-size: 14.5px;
}
.sheet-head .v-btn--variant-plain {
  margin-right: 14px;
}
.ride {
  grid-template-columns: 96px minmax(0, 1fr) auto;
  width: 100%;
}
.ride:focus-visible,
.factor:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.detail {
  display: grid;
  grid-template-columns: 1.2fr 1fr 1fr 1fr;
  gap: 8px 12px;
  padding: 10px 16px 14px;
  background: var(--picked);
  border-bottom: 1px solid var(--line);
  align-items: end;
}
.small {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
.mishap,
.wide {
  grid-column: 1 / -1;
}
.mishap {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 70px 1fr auto;
  gap: 10px;
  align-items: end;
}
.factor {
  grid-template-columns: minmax(0, 1fr) 124px 66px;
  width: 100%;
}
.weak {
  grid-template-columns: minmax(0, 1fr) 80px auto;
}
.factor .num {
  text-align: right;
}
.one {
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.spread {
  stroke: var(--measured);
  stroke-width: 3;
}
.raw {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.key {
  font-size: 12.5px;
  text-align: right;
}
.mean {
  fill: var(--measured);
}
@media (max-width: 760px) {
  .detail {
    grid-template-columns: 1fr 1fr;
  }
  .mishap {
    grid-template-columns: 1fr 1fr;
  }
  .v-btn--variant-plain {
    min-height: 44px;
  }
}
</style>
