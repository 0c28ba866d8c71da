<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import {
  present,
  FASTENER_COLUMNS,
  guideOf,
  readFasteners,
  ROLES,
  STATION_NAMES,
  writeFasteners,
  type Fastener,
  type Station,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import BikeDrawing from '../../ui/BikeDrawing.vue';
import CsvDialog from '../../ui/CsvDialog.vue';
import { download, fileName } from '../../ui/download';
import NextStage from '../../shell/NextStage.vue';
import TermWord from '../../ui/TermWord.vue';
import FastenerList from './FastenerList.vue';
import BulkBar from './BulkBar.vue';
import CompareDialog from './CompareDialog.vue';
import CopyDialog from './CopyDialog.vue';
import EntryLine from './EntryLine.vue';
import FastenerPanel, { type PanelTab } from './FastenerPanel.vue';
import FastenerRow from './FastenerRow.vue';
import GuideCard from './GuideCard.vue';
import MarkBar from './MarkBar.vue';
import { EVERYTHING, groupsOf, stretch, type Showing } from './rows';
import SheetTools from './SheetTools.vue';
import * as texts from '../../words/walk/walkView';
import { SORT_WORDS } from '../../words/walk';

const garage = useGarage();
const view = useView();
const answers = useAnswer();
const showing = ref<Showing>(EVERYTHING);
const editing = shallowRef<Fastener | null>(null);
const tab = ref<PanelTab>('size');
const dialog = ref<'csv' | 'compare' | 'copy' | 'list' | null>(null);
const listText = ref('');
function openList(text: string) {
  listText.value = text;
  dialog.value = 'list';
}
const sheet = ref<HTMLElement>();
const line = ref<InstanceType<typeof EntryLine>>();

const station = computed({
  get: () => showing.value.station,
  set: (to: Station | null) => (showing.value = { ...showing.value, station: to }),
});
const counted = computed(() => garage.fasteners.filter((f) => f.leftOut === null));
const assumed = computed(() => counted.value.filter((f) => f.evidence === 'assumed').length);
const picked = computed(() => garage.fasteners.find((f) => f.id === view.fastenerId) ?? null);

// The walk: what to look at next; what was put off comes last, until the page is left.
const later = ref<string[]>([]);
const guide = computed(() => {
  const g = guideOf(present(garage.bike), garage.fasteners, station.value);
  const open = g.visits.filter((v) => v.state !== 'done' && !later.value.includes(v.look.key));
  const here = station.value ? open.filter((v) => v.look.station === station.value) : [];
  const first = (list: typeof open) => list.find((v) => v.state === 'to do') ?? list.find((v) => v.state === 'assumed');
  return { ...g, next: first(here) ?? first(open) ?? null };
});
const entryStation = computed<Station>(
  () => station.value ?? picked.value?.station ?? guide.value.next?.look.station ?? 'front-wheel',
);

// The rows, at most so many at once: ten thousand would stop the page.
const AT_ONCE = 300;
const FEW = 40;
const most = ref(AT_ONCE);
const reached = (f: Fastener) => answers.byFastener.get(f.id)?.reached ?? true;
const all = computed(() => groupsOf(garage.fasteners, showing.value, reached));
const shown = computed(() => all.value.reduce((s, g) => s + g.rows.length, 0));
const groups = computed(() => {
  let left = most.value;
  return all.value
    .map((g) => {
      const rows = g.rows.slice(0, left);
      left -= rows.length;
      return { ...g, rows, total: g.rows.length };
    })
    .filter((g) => g.rows.length > 0 || g.total === 0);
});
const leftOut = computed(() =>
  showing.value.only === 'all' && showing.value.words === ''
    ? garage.fasteners.filter((f) => f.leftOut !== null && (station.value === null || f.station === station.value))
    : [],
);

// Choosing several rows.
const choosing = ref(false);
const chosen = ref<string[]>([]);
const from = ref<string | null>(null);
const chosenRows = computed(() => garage.fasteners.filter((f) => chosen.value.includes(f.id)));
function toggle(id: string, whole: boolean) {
  choosing.value = true;
  const ids = whole && from.value ? stretch(all.value, from.value, id) : [id];
  const on = !chosen.value.includes(id);
  chosen.value = on ? [...new Set([...chosen.value, ...ids])] : chosen.value.filter((c) => !ids.includes(c));
  from.value = id;
}
function clear() {
  chosen.value = [];
  choosing.value = false;
}

watch(
  () => view.bikeId,
  () => {
    showing.value = EVERYTHING;
    editing.value = null;
    later.value = [];
    most.value = AT_ONCE;
    clear();
  },
);

function press(f: Fastener, event: MouseEvent) {
  if (choosing.value || event.shiftKey || event.ctrlKey || event.metaKey) {
    toggle(f.id, event.shiftKey);
    return;
  }
  view.fastenerId = f.id;
  correct(f);
}
/** Into the line with it; where it stands there already, only the focus goes back, and what was typed stays. */
function correct(f: Fastener) {
  if (editing.value === f) line.value?.focus();
  else editing.value = f;
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
  const list = rows();
  const at = list.indexOf(document.activeElement as HTMLElement);
  if (at < 0) return;
  event.preventDefault();
  if (at + by < 0) sheet.value?.querySelector<HTMLElement>('[data-entry]')?.focus();
  else list[Math.min(list.length - 1, at + by)]?.focus();
}
/** Space chooses the row that has the focus, with Shift the whole stretch. */
function space(event: KeyboardEvent) {
  const id = (document.activeElement as HTMLElement | null)?.dataset['fastener'];
  if (!id) return;
  event.preventDefault();
  toggle(id, event.shiftKey);
}
async function added(id: string) {
  if (view.fastenerId && view.fastenerId !== id) view.fastenerId = null;
  await nextTick();
  rows()
    .find((r) => r.dataset['fastener'] === id)
    ?.scrollIntoView({ block: 'nearest' });
}
/** A reading came for a row: its bench opens, and the line waits for the next. */
function measured(id: string) {
  view.fastenerId = id;
  tab.value = 'size';
}
function writeTable() {
  download(
    fileName(texts.fastenersOf(garage.bike?.name ?? texts.bike), 'csv'),
    writeFasteners(garage.fasteners),
    'text/csv',
  );
}

// A repair that found no fastener with its job leads here.
const route = useRoute();
const router = useRouter();
const marking = computed(() => ROLES.find((r) => r === route.query['mark']) ?? null);
function marked(id: string | null) {
  if (id) view.fastenerId = id;
  void router.replace({ path: '/walk' });
}

const notice = useNotice();
const readTable = (text: string) =>
  readFasteners(text, present(garage.bike).id, garage.fasteners, () => crypto.randomUUID());
function takeTable(rows: Fastener[]) {
  garage.put(texts.readRowsFromATable(rows.length), 'fasteners', ...rows);
  notice.done(texts.rowsRead(rows.length));
  dialog.value = null;
}
</script>

<template>
  <div v-if="garage.bike" class="stage">
    <section class="picture walk" aria-labelledby="title">
      <div class="stage-head" role="group">
        <h1 id="title">{{ texts.walkTheBike }}</h1>
        <p v-if="counted.length > 0">
          <span class="num">{{ counted.length - assumed }}</span> {{ texts.of2 }}
          <span class="num">{{ counted.length }}</span>{{ ' ' }}<TermWord term="evidence" :label="texts.measured" />{{
            ' '
          }}{{ texts.orBetter }} <span class="num">{{ assumed }}</span> {{ texts.stillAssumed }}
          <template v-if="guide.next"
            >{{ texts.next }}
            <v-btn variant="plain" @click="station = guide.next.look.station">
              <strong>{{ guide.next.look.name.toLowerCase() }}</strong>
            </v-btn></template
          >
        </p>
        <p v-else>{{ texts.startAtTheFrontAxle }}</p>
        <NextStage />
      </div>
      <BikeDrawing
        :bike="garage.bike"
        :fasteners="garage.fasteners"
        :station="station"
        class="bike-picture"
        :class="{ small: picked }"
        @station="station = $event"
      />
      <p v-if="!picked" class="legend soft">
        <span class="swatch proven" /> {{ texts.triedOrProven }} <span class="swatch measured" /> {{ texts.measured }}
        <span class="swatch assumed" /> {{ texts.onlyAssumed }}
      </p>
      <FastenerPanel
        v-if="picked"
        :key="picked.id"
        v-model:tab="tab"
        :fastener="picked"
        @close="close"
        @correct="correct(picked)"
      />
      <GuideCard
        v-else
        :guide="guide"
        :skipped="later.length"
        @skip="guide.next && later.push(guide.next.look.key)"
        @measure="measured($event.id)"
        @type="line?.focus()"
      />
    </section>
    <section
      ref="sheet"
      class="sheet"
      :aria-label="texts.fasteners"
      @keydown.down="step($event, 1)"
      @keydown.up="step($event, -1)"
      @keydown.space="space"
    >
      <EntryLine
        ref="line"
        v-model:editing="editing"
        :station="entryStation"
        :visit="picked ? null : guide.next"
        @down="rows()[0]?.focus()"
        @added="added"
        @list="openList"
        @measured="measured"
      />
      <MarkBar v-if="marking" :key="marking" :role="marking" @done="marked" />
      <SheetTools
        v-model="showing"
        :shown="shown"
        :of="counted.length"
        :choosing="choosing"
        @choose="choosing ? clear() : (choosing = true)"
        @list="openList('')"
        @csv-in="dialog = 'csv'"
        @csv-out="writeTable"
        @compare="dialog = 'compare'"
        @copy="dialog = 'copy'"
      />
      <p v-if="station" class="filter">
        {{ texts.only(STATION_NAMES[station].toLowerCase()) }}
        <v-btn variant="plain" @click="station = null">{{ texts.showAll }}</v-btn>
      </p>
      <template v-for="g in groups" :key="g.key">
        <div class="sheet-head">
          <h2>{{ g.station ? STATION_NAMES[g.station] : SORT_WORDS[showing.sort] }}</h2>
          <span class="num soft">{{ g.sure }} / {{ g.total }}</span>
        </div>
        <div
          v-if="g.rows.length > 0"
          role="list"
          :aria-label="g.station ? STATION_NAMES[g.station] : SORT_WORDS[showing.sort]"
        >
          <FastenerRow
            v-for="f in g.rows"
            :key="f.id"
            :fastener="f"
            :picked="f.id === view.fastenerId"
            :choosing="choosing"
            :chosen="chosen.includes(f.id)"
            @press="press(f, $event)"
          />
        </div>
        <p v-if="g.total === 0" class="empty">
          {{ g.station ? texts.nothingHereYetPressA : texts.noFastenerMatches }}
        </p>
      </template>
      <p v-if="groups.length === 0 && counted.length > 0" class="empty">{{ texts.noFastenerMatches }}</p>
      <p v-if="shown > most" class="more">
        <v-btn variant="tonal" @click="most += AT_ONCE">
          {{ texts.showOfMore(Math.min(AT_ONCE, shown - most), shown - most) }}
        </v-btn>
      </p>
      <template v-if="leftOut.length > 0">
        <div class="sheet-head">
          <h2>{{ texts.leftOutWithTheReason }}</h2>
          <span class="num soft">{{ leftOut.length }}</span>
        </div>
        <div role="list" :aria-label="texts.leftOutWithTheReason">
          <FastenerRow
            v-for="f in leftOut.slice(0, FEW)"
            :key="f.id"
            :fastener="f"
            :picked="f.id === view.fastenerId"
            :choosing="choosing"
            :chosen="chosen.includes(f.id)"
            @press="press(f, $event)"
          />
        </div>
        <p v-if="leftOut.length > FEW" class="more">
          <v-btn variant="tonal" @click="showing = { ...showing, only: 'left out' }">
            {{ texts.showAllLeftOut(leftOut.length) }}
          </v-btn>
        </p>
      </template>
      <BulkBar
        v-if="choosing && chosenRows.length > 0"
        :chosen="chosenRows"
        @clear="clear"
        @all="chosen = all.flatMap((g) => g.rows.map((f) => f.id))"
      />
    </section>
    <CsvDialog
      v-if="dialog === 'csv'"
      what="fasteners"
      :columns="FASTENER_COLUMNS"
      :reader="readTable"
      @close="dialog = null"
      @write="takeTable"
    />
    <FastenerList v-if="dialog === 'list'" :text="listText" :station="entryStation" @close="dialog = null" />
    <CompareDialog v-if="dialog === 'compare'" @close="dialog = null" />
    <CopyDialog v-if="dialog === 'copy'" @close="dialog = null" />
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
.bike-picture.small {
  flex: 1 1 270px;
  min-height: 250px;
  max-height: 290px;
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
.more {
  padding: 12px 16px;
}
.filter {
  padding: 8px 16px;
  border-bottom: 1px solid var(--hair);
}
@media (max-width: 760px) {
  .legend {
    display: none;
  }
  .bike-picture {
    flex: none;
    height: 250px;
    min-height: 0;
  }
  .bike-picture.small {
    flex: none;
    height: 180px;
    min-height: 0;
  }
}
</style>
