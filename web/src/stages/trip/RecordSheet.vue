<script setup lang="ts">
/** The rider's own record: rides and what happened on them, and what that makes of each planning rate. */
import SelectField from '../../ui/SelectField.vue';
import LineField from '../../ui/LineField.vue';
import { scaleLinear } from 'd3-scale';
import { computed, ref } from 'vue';
import {
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
  garage.put('log a ride', 'rides', ride);
  opened.value = ride.id;
}
const change = (ride: Ride, fields: Partial<Ride>) => garage.put('change a ride', 'rides', { ...ride, ...fields });
function setDate(ride: Ride, text: string) {
  if (/^\d{4}-\d{2}-\d{2}$/.test(text)) change(ride, { date: text });
}
function remove(ride: Ride) {
  garage.remove('take out a ride', { table: 'rides', id: ride.id });
  notice.done('Ride taken out.');
}
const addMishap = (ride: Ride, trouble: string) => {
  if (!trouble) return;
  const after = { ...ride, mishaps: [...ride.mishaps, { trouble, count: 1, used: '' }] };
  const { doc, bike } = garage;
  const way = answers.answer?.kit.mends.find((m) => m.troubleId === trouble && m.bikeId === bike?.id)?.wayName ?? null;
  const watch =
    doc && bike ? watchOfLog(doc, bike, ride, { trouble, way }, { id: crypto.randomUUID(), today: today() }) : null;
  const ok = garage.edit('change a ride', [
    { table: 'rides', id: ride.id, before: ride, after },
    ...(watch ? [{ table: 'watches' as const, id: watch.id, before: null, after: watch }] : []),
  ]);
  if (ok && watch) notice.say(`${watch.name} is on the watch list now: see Prove.`);
};
const setMishap = (ride: Ride, i: number, fields: Partial<Ride['mishaps'][number]>) =>
  change(ride, { mishaps: ride.mishaps.map((m, k) => (k === i ? { ...m, ...fields } : m)) });
const nameOf = (id: string) => TROUBLES.find((t) => t.id === id)?.name ?? id;
const kmOf = (r: Ride) => r.km.paved + r.km.gravel + r.km.track;
const what = (r: Ride) =>
  r.mishaps.map((m) => `${nameOf(m.trouble)}${m.count > 1 ? ` ×${m.count}` : ''}`).join(', ') || 'nothing happened';

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
    formula:
      'factor on the planning rate = (κ + n) ÷ (κ + E), κ = 2; spread = √(κ + n) ÷ (κ + E). The count on a trip is then negative binomial.',
    inputs: [
      { name: 'happened (n)', value: String(f.events) },
      { name: 'expected by the planning rates over what you rode (E)', value: f.expected.toFixed(2) },
      { name: 'your record alone (n ÷ E)', value: f.expected > 0 ? (f.events / f.expected).toFixed(2) : '–' },
      { name: 'factor, and its spread', value: `${f.factor.toFixed(2)} ± ${f.spread.toFixed(2)}` },
    ],
    source: 'your own record, with the planning rates weighing as two events',
  });
}

/** A factor on the rate of one trouble of this bike; null forgets it. */
function setWeak(trouble: string, factor: number | null) {
  const bike = garage.bike;
  if (!bike || !trouble) return;
  const rest = bike.weak.filter((w) => w.trouble !== trouble);
  garage.put('change a weak point', 'bikes', {
    ...bike,
    weak: factor === null ? rest : [...rest, { trouble, factor }],
  });
}

const reading = ref(false);
const readTable = (text: string) =>
  readRides(text, garage.bike!.id, garage.doc?.rides ?? [], () => crypto.randomUUID());
function writeTable(rows: Ride[]) {
  garage.put(`read ${rows.length} rides`, 'rides', ...rows);
  notice.done(`${rows.length} rides read.`);
  reading.value = false;
}
const csvOut = () => download(fileName('rides', 'csv'), writeRides(garage.doc?.rides ?? []), 'text/csv');
</script>

<template>
  <div>
    <div class="sheet-head">
      <h2>Rides</h2>
      <span
        ><v-btn variant="plain" @click="add">Log a ride</v-btn
        ><DropMenu label="Table" hint="All rides as a table" quiet>
          <v-list-item role="menuitem" @click="reading = true">Import CSV…</v-list-item>
          <v-list-item role="menuitem" @click="csvOut">Export CSV</v-list-item></DropMenu
        ></span
      >
    </div>
    <p v-if="rides.length === 0" class="note soft">
      No rides yet. Log distance and what broke; trouble-free rides count too.
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
          label="Date"
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
          label="Crossings"
          :max="500"
          :model-value="r.crossings"
          @update:model-value="change(r, { crossings: Math.round($event) })"
        />
        <div v-for="(m, i) in r.mishaps" :key="i" class="mishap">
          <strong>{{ nameOf(m.trouble) }}</strong>
          <NumberField
            label="times"
            :min="1"
            :max="50"
            :model-value="m.count"
            @update:model-value="setMishap(r, i, { count: Math.round($event) })"
          />
          <TextField label="what was used" :most="200" :value="m.used" @take="setMishap(r, i, { used: $event })" />
          <v-btn
            variant="plain"
            class="gap"
            :aria-label="`Remove ${nameOf(m.trouble)}`"
            @click="change(r, { mishaps: r.mishaps.filter((_, k) => k !== i) })"
          >
            Remove
          </v-btn>
        </div>
        <SelectField
          class="wide"
          label="What happened"
          :items="[{ title: 'add …', value: '' }, ...TROUBLES.map((t) => ({ title: t.name, value: t.id }))]"
          model-value=""
          @update:model-value="addMishap(r, $event)"
        />
        <p class="wide"><v-btn variant="tonal" class="gap" @click="remove(r)">Delete this ride</v-btn></p>
      </div>
    </template>
    <template v-if="factors.length > 0">
      <div class="sheet-head">
        <h2>What that makes of the rates</h2>
        <span class="soft key">dashed: planning = 1 · ◇ your record alone · ● both, with its spread</span>
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
      <h2>Known weak points of {{ garage.bike?.name }}</h2>
      <span class="soft">factor on the rate</span>
    </div>
    <div v-for="w in garage.bike?.weak ?? []" :key="w.trouble" class="row weak">
      <span class="title">{{ nameOf(w.trouble) }}</span>
      <NumberField
        :label="`Factor on ${nameOf(w.trouble)}`"
        hide-label
        :min="0.1"
        :max="50"
        :model-value="w.factor"
        @update:model-value="setWeak(w.trouble, $event)"
      />
      <v-btn variant="plain" class="gap" :aria-label="`Forget ${nameOf(w.trouble)}`" @click="setWeak(w.trouble, null)">
        Forget
      </v-btn>
    </div>
    <p class="note">
      <SelectField
        hide-label
        label="Add a weak point"
        :items="[{ title: 'add a weak point …', value: '' }, ...TROUBLES.map((t) => ({ title: t.name, value: t.id }))]"
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
