<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import { STATION_NAMES, STATIONS, type Fastener, type Station } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import BikeDrawing from '../../ui/BikeDrawing.vue';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import EntryLine from './EntryLine.vue';
import FastenerPanel from './FastenerPanel.vue';
import FastenerRow from './FastenerRow.vue';

const garage = useGarage();
const view = useView();
const station = ref<Station | null>(null);
const editing = shallowRef<Fastener | null>(null);
const sheet = ref<HTMLElement>();

const counted = computed(() => garage.fasteners.filter((f) => f.leftOut === null));
const unsure = computed(() => counted.value.filter((f) => f.evidence === 'assumed'));
const assumed = computed(() => unsure.value.length);
const picked = computed(() => garage.fasteners.find((f) => f.id === view.fastenerId) ?? null);
/** The first station on the round that still has something assumed, or nothing at all. */
const next = computed(() =>
  STATIONS.find((s) => {
    const here = counted.value.filter((f) => f.station === s);
    return here.length === 0 || here.some((f) => f.evidence === 'assumed');
  }),
);
const entryStation = computed<Station>(() => station.value ?? picked.value?.station ?? next.value ?? 'front-wheel');
const groups = computed(() =>
  STATIONS.filter((s) => station.value === null || s === station.value)
    .map((s) => {
      const rows = garage.fasteners.filter((f) => f.station === s && f.leftOut === null);
      return { station: s, rows, sure: rows.filter((f) => f.evidence !== 'assumed').length };
    })
    .filter((g) => g.rows.length > 0 || g.station === station.value),
);
const leftOut = computed(() =>
  garage.fasteners.filter((f) => f.leftOut !== null && (station.value === null || f.station === station.value)),
);

watch(
  () => view.bikeId,
  () => {
    station.value = null;
    editing.value = null;
  },
);

function pick(f: Fastener) {
  view.fastenerId = f.id;
  editing.value = f;
}
async function close() {
  view.fastenerId = null;
  editing.value = null;
  await nextTick();
}
function rows() {
  return [...(sheet.value?.querySelectorAll<HTMLElement>('[data-fastener]') ?? [])];
}
function step(event: KeyboardEvent, by: number) {
  const all = rows();
  const at = all.indexOf(document.activeElement as HTMLElement);
  if (at < 0) return;
  event.preventDefault();
  if (at + by < 0) sheet.value?.querySelector<HTMLElement>('[data-entry]')?.focus();
  else all[Math.min(all.length - 1, at + by)]?.focus();
}
async function added(id: string) {
  if (view.fastenerId && view.fastenerId !== id) view.fastenerId = null;
  await nextTick();
  rows()
    .find((r) => r.dataset['fastener'] === id)
    ?.scrollIntoView({ block: 'nearest' });
}
</script>

<template>
  <div v-if="garage.bike" class="stage">
    <section class="picture walk">
      <div class="stage-head">
        <h1>Walk the bike</h1>
        <p v-if="counted.length > 0">
          <span class="num">{{ counted.length - assumed }}</span> of
          <span class="num">{{ counted.length }}</span> measured or better, <span class="num">{{ assumed }}</span> still
          assumed.
          <template v-if="next"
            >Next:
            <button class="link" @click="station = next">
              <strong>{{ STATION_NAMES[next].toLowerCase() }}</strong>
            </button></template
          >
        </p>
        <p v-else>
          Start at the front axle: put a spanner or a calliper on it and type its size, such as
          <code class="num">24 axle nut</code>.
        </p>
      </div>
      <BikeDrawing
        :bike="garage.bike"
        :fasteners="garage.fasteners"
        :station="station"
        class="bike-picture"
        @station="station = $event"
      />
      <p class="legend soft">
        <span class="swatch proven" /> tried or proven <span class="swatch measured" /> measured
        <span class="swatch assumed" /> only assumed
      </p>
      <FastenerPanel v-if="picked" :key="picked.id" :fastener="picked" @close="close" @correct="editing = picked" />
      <section v-else-if="unsure.length > 0" class="unsure">
        <h2>Still only assumed: put a spanner on these</h2>
        <p class="chips">
          <button v-for="f in unsure" :key="f.id" class="plain chip" @click="pick(f)">
            <HeadGlyph :head="f.head" tone="assumed" :size="26" />{{ f.name }}
          </button>
        </p>
      </section>
    </section>
    <section
      ref="sheet"
      class="sheet"
      aria-label="Fasteners"
      @keydown.down="step($event, 1)"
      @keydown.up="step($event, -1)"
    >
      <EntryLine v-model:editing="editing" :station="entryStation" @down="rows()[0]?.focus()" @added="added" />
      <p v-if="station" class="filter">
        Only {{ STATION_NAMES[station].toLowerCase() }}. <button class="link" @click="station = null">Show all</button>
      </p>
      <template v-for="g in groups" :key="g.station">
        <div class="sheet-head">
          <h2>{{ STATION_NAMES[g.station] }}</h2>
          <span class="num soft">{{ g.sure }} / {{ g.rows.length }}</span>
        </div>
        <FastenerRow v-for="f in g.rows" :key="f.id" :fastener="f" :picked="f.id === view.fastenerId" @pick="pick(f)" />
        <p v-if="g.rows.length === 0" class="empty">Nothing here yet. Type the first one above.</p>
      </template>
      <template v-if="leftOut.length > 0">
        <div class="sheet-head">
          <h2>Left out, with the reason</h2>
          <span class="num soft">{{ leftOut.length }}</span>
        </div>
        <FastenerRow
          v-for="f in leftOut"
          :key="f.id"
          :fastener="f"
          :picked="f.id === view.fastenerId"
          @pick="pick(f)"
        />
      </template>
    </section>
  </div>
</template>

<style scoped>
.walk {
  display: flex;
  flex-direction: column;
}
.bike-picture {
  flex: 1 1 300px;
  min-height: 300px;
  max-height: 560px;
}
.legend {
  font-size: 13px;
  display: flex;
  align-items: center;
  gap: 6px;
  margin-top: 6px;
}
.swatch {
  width: 14px;
  height: 5px;
  display: inline-block;
  margin-left: 10px;
}
.swatch.proven {
  background: var(--proven);
}
.swatch.measured {
  background: var(--measured);
}
.swatch.assumed {
  background: var(--assumed);
}
.unsure {
  border-top: 1px solid var(--line);
  margin-top: 10px;
  padding-top: 8px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin-top: 6px;
}
.chip {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 34px;
}
.chip:hover {
  text-decoration: underline;
}
.filter {
  padding: 8px 16px;
  border-bottom: 1px solid var(--hair);
}
@media (max-width: 760px) {
  .unsure,
  .legend {
    display: none;
  }
  .bike-picture {
    flex: none;
    height: 250px;
    min-height: 0;
  }
}
</style>
