<script setup lang="ts">
/** Heads by form and size against the pieces that go on heads: what fits, what only goes on, and the odd ones out. */
import { computed, nextTick, ref } from 'vue';
import { present, at as itemAt, cellKey, plainSize, type Head, type HeadClass, type Piece } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useCoverage } from '../../stores/coverage';
import { useView } from '../../stores/view';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import { spread } from '../../ui/bike/labels';
import { useSize } from '../../ui/useSize';
import * as texts from '../../words/match/coveragePicture';

const answers = useAnswer();
const view = useView();
const box = ref<HTMLElement>();
const size = useSize(box);
const picture = useCoverage();

const LABEL = 78;
const TOP = 20;
const GAP = 5;
const columns = computed(() => {
  const out: { piece: Piece; x: number; group: string; first: boolean }[] = [];
  const groups = picture.value?.groups ?? [];
  const n = groups.reduce((s, g) => s + g.pieces.length, 0);
  const room = size.width - LABEL - GAP * groups.length - 4;
  const step = n > 0 ? Math.min(15, Math.max(5, room / n)) : 10;
  let x = LABEL;
  for (const g of groups) {
    g.pieces.forEach((piece, i) => {
      out.push({ piece, x, group: g.name, first: i === 0 });
      x += step;
    });
    x += GAP;
  }
  return { list: out, step, width: x };
});
const rows = computed(() => picture.value?.rows ?? []);
/** Names of groups as near to their columns as their neighbours allow. */
const groupNames = computed(() => {
  const labels = columns.value.list
    .filter((c) => c.first)
    .map((c) => ({ key: c.group, text: c.group, x: c.x, width: c.group.length * 6.2 }));
  const middles = spread(
    labels.map((l) => ({ ...l, anchorX: l.x + l.width / 2 })),
    LABEL,
    Math.max(columns.value.width, size.width),
    8,
  );
  return labels.map((l) => ({ name: l.text, x: middles.get(l.key) ?? l.x }));
});
const ROW = 17;
const height = computed(() => TOP + rows.value.length * ROW + 4);
const y = (i: number) => TOP + i * ROW;
const inKit = computed(() => new Set(answers.answer?.kit.pieces.map((k) => k.piece.id) ?? []));
/** A head that one piece alone turns, or none: what stands out. */
const odd = (row: HeadClass) => row.fitting <= 1;
const cell = (row: HeadClass, piece: Piece) => picture.value?.cells.get(cellKey(row, piece)) ?? null;

const at = ref({ row: 0, column: 0 });
const over = ref<{ row: number; column: number } | null>(null);
const here = computed(() => over.value ?? at.value);
const said = computed(() => {
  const row = rows.value[here.value.row];
  const column = columns.value.list[here.value.column];
  if (!row || !column) return '';
  const c = cell(row, column.piece);
  const word = { fits: texts.fitsIt, some: texts.fitsSomeOfThem, limp: texts.goesOnBut, loose: texts.looseOn };
  const kit = inKit.value.has(column.piece.id) ? texts.inTheKit2 : '';
  return texts.toolOn(
    `${column.piece.name}${kit}`,
    row.key,
    c ? `${word[c.state]} ${view.inWords(c.why)}` : texts.doesNotGoOnOr,
  );
});
const names = (row: HeadClass) =>
  row.fasteners
    .slice(0, 3)
    .map((f) => f.name.toLowerCase())
    .join(', ') + (row.fasteners.length > 3 ? texts.andMore(row.fasteners.length - 3) : '');

function move(event: KeyboardEvent) {
  const by: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
  };
  const step = by[event.key];
  if (!step) return;
  event.preventDefault();
  over.value = null;
  at.value = {
    row: Math.min(rows.value.length - 1, Math.max(0, at.value.row + step[0])),
    column: Math.min(columns.value.list.length - 1, Math.max(0, at.value.column + step[1])),
  };
}
function point(event: MouseEvent): { row: number; column: number } | null {
  const svg = (event.currentTarget as SVGElement).getBoundingClientRect();
  const [px, py] = [event.clientX - svg.left, event.clientY - svg.top];
  const row = Math.floor((py - TOP) / ROW);
  const column = columns.value.list.findIndex((c) => px >= c.x && px < c.x + columns.value.step);
  return row >= 0 && row < rows.value.length && column >= 0 ? { row, column } : null;
}
function press(event: MouseEvent) {
  const hit = point(event);
  if (hit) at.value = hit;
  open();
}
/** Opens the head, or where the cursor stands on a piece its row in the toolbox. */
function open() {
  const row = rows.value[at.value.row];
  if (row) view.fastenerId = itemAt(row.fasteners, 0).id;
  const column = columns.value.list[at.value.column];
  if (column) view.pieceId = column.piece.id;
  void nextTick();
}
/** The same by head, for a narrow screen. */
const byHead = computed(() =>
  rows.value.map((row) => {
    const found = (state: string) =>
      columns.value.list.filter((c) => cell(row, c.piece)?.state === state).map((c) => c.piece.name);
    return { row, fits: found('fits'), some: found('some'), limp: found('limp'), loose: found('loose') };
  }),
);
/** Size as short as it can be said. */
const short = (head: Head) => {
  const size = plainSize(head.size).replace(' in', '″');
  return head.form.startsWith('lobe') ? `${head.form === 'lobe-out' ? 'E' : 'T'}${size}` : size;
};
const few = (list: string[]) => list.slice(0, 4).join(', ') + (list.length > 4 ? texts.andMore(list.length - 4) : '');
</script>

<template>
  <div ref="box" class="coverage">
    <p v-if="!picture" class="soft">{{ texts.calculating }}</p>
    <template v-else-if="size.width >= 560">
      <svg
        :width="size.width"
        :height="height"
        tabindex="0"
        role="application"
        :aria-label="texts.fastenersAgainstToolsArrowKeys"
        aria-describedby="cell-says"
        @keydown="move"
        @keydown.enter.prevent="open"
        @mousemove="over = point($event)"
        @mouseleave="over = null"
        @click="press"
      >
        <rect class="across" :x="0" :y="y(here.row)" :width="columns.width" :height="ROW" />
        <rect
          v-if="columns.list[here.column]"
          class="across"
          :x="present(columns.list[here.column]).x"
          :y="TOP"
          :width="columns.step"
          :height="rows.length * ROW"
        />
        <text v-for="g in groupNames" :key="g.name" class="group" :x="g.x" y="13" text-anchor="middle">
          {{ g.name }}
        </text>
        <rect
          v-for="c in columns.list.filter((c) => inKit.has(c.piece.id))"
          :key="`kit ${c.piece.id}`"
          class="kit"
          :x="c.x"
          :y="TOP - 4"
          :width="columns.step - 1"
          height="3"
        />
        <g v-for="(row, i) in rows" :key="row.key" :transform="`translate(0 ${y(i)})`">
          <rect
            v-if="odd(row)"
            class="odd"
            role="img"
            :aria-label="texts.atMostOneToolTurns"
            x="0"
            y="0"
            width="3"
            :height="ROW - 1"
          />
          <foreignObject x="6" y="0" width="70" :height="ROW"
            ><span class="row-head" :class="{ gap: row.fitting === 0 }"
              ><HeadGlyph :head="row.head" :size="15" tone="ink" :label="' '" aria-hidden="true" /><strong
                class="num"
                >{{ short(row.head) }}</strong
              ><span class="num">×{{ row.fasteners.length }}</span></span
            ></foreignObject
          >
          <path class="line" :d="`M${LABEL} ${ROW - 0.5}H${columns.width}`" />
          <template v-for="c in columns.list" :key="c.piece.id">
            <rect
              v-if="cell(row, c.piece)?.state === 'fits'"
              class="fits"
              :x="c.x + 0.5"
              y="2"
              :width="columns.step - 1"
              :height="ROW - 5"
            />
            <path
              v-else-if="cell(row, c.piece)?.state === 'some'"
              class="some"
              :d="`M${c.x + 0.5} ${ROW - 3}V2H${c.x + columns.step - 0.5}Z`"
            />
            <rect
              v-else-if="cell(row, c.piece)?.state === 'limp'"
              class="limp"
              :x="c.x + 1"
              y="3"
              :width="columns.step - 2"
              :height="ROW - 7"
            />
            <circle
              v-else-if="cell(row, c.piece)?.state === 'loose'"
              class="loose"
              :cx="c.x + columns.step / 2"
              :cy="ROW / 2 - 0.5"
              r="2.4"
            />
          </template>
        </g>
        <rect
          v-if="columns.list[at.column]"
          class="cursor"
          :x="present(columns.list[at.column]).x - 0.5"
          :y="y(at.row) + 0.5"
          :width="columns.step"
          :height="ROW - 2"
        />
      </svg>
      <p id="cell-says" class="says" aria-live="polite">{{ said }}</p>
      <p class="legend soft">
        <svg width="14" height="12" aria-hidden="true"><rect class="fits" x="1" y="1" width="12" height="10" /></svg>
        {{ texts.fits }} <svg width="14" height="12" aria-hidden="true"><path class="some" d="M1 11V1H13Z" /></svg>
        {{ texts.fitsSome }}
        <svg width="14" height="12" aria-hidden="true"><rect class="limp" x="1.5" y="1.5" width="11" height="9" /></svg>
        {{ texts.goesOnReachOrTorque }}
        <svg width="14" height="12" aria-hidden="true"><circle class="loose" cx="7" cy="6" r="3" /></svg>
        {{ texts.loose }}
        <svg width="14" height="12" aria-hidden="true"><rect class="odd" x="5" y="0" width="3" height="12" /></svg>
        {{ texts.atMostOneToolTurns }}
        <svg width="14" height="12" aria-hidden="true"><rect class="kit" x="1" y="5" width="12" height="3" /></svg>
        {{ texts.inTheKit }}
      </p>
      <p v-if="picture.idle.length > 0" class="soft idle">
        {{ texts.turnNothingOnThisBike(few(picture.idle.map((p) => p.name))) }}
      </p>
    </template>
    <ul v-else class="narrow">
      <li v-for="h in byHead" :key="h.row.key" :class="{ lone: odd(h.row) }">
        <v-btn variant="text" @click="view.fastenerId = present(h.row.fasteners[0]).id">
          <HeadGlyph :head="h.row.head" :size="34" :tone="h.row.fitting > 0 ? 'proven' : 'gap'" />
          <span
            ><span class="soft">{{ names(h.row) }}</span>
            <span v-if="h.fits.length > 0" class="good">{{ texts.fits2(few(h.fits)) }}</span>
            <span v-if="h.some.length > 0">{{ texts.some(few(h.some)) }}</span>
            <span v-if="h.limp.length > 0" class="soft">{{ texts.goesOnOnly(few(h.limp)) }}</span>
            <span v-if="h.loose.length > 0" class="brass">{{ texts.loose2(few(h.loose)) }}</span>
            <span v-if="h.fits.length + h.some.length === 0" class="gap">{{ texts.nothingTurnsIt }}</span></span
          >
        </v-btn>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.coverage {
  min-width: 0;
}
svg {
  display: block;
  cursor: crosshair;
}
.across {
  fill: var(--picked);
}
.group {
  font-family: var(--v-font-heading);
  font-size: 13px;
  fill: var(--soft);
}
.line {
  stroke: var(--hair);
}
.fits {
  fill: var(--proven);
}
.some {
  fill: var(--measured);
}
.limp {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.2;
}
.loose {
  fill: var(--assumed);
}
.odd {
  fill: var(--gap);
}
.kit {
  fill: var(--ink);
}
.cursor {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.row-head {
  display: flex;
  align-items: center;
  gap: 3px;
  height: 16px;
  font-size: 10.5px;
  color: var(--soft);
}
.row-head :deep(text) {
  display: none;
}
.row-head strong {
  color: var(--ink);
  font-size: 11.5px;
  font-weight: 600;
  flex: 1;
}
.row-head.gap,
.row-head.gap strong {
  color: var(--gap);
}
.says {
  min-height: 40px;
  font-size: 14.5px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.legend {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 3px 6px;
  font-size: 12.5px;
}
.legend svg {
  margin-left: 5px;
}
.idle {
  font-size: 13.5px;
  margin-top: 4px;
}
.narrow {
  list-style: none;
  margin: 0;
  padding: 0;
}
.narrow li {
  border-bottom: 1px solid var(--hair);
}
.narrow .lone {
  box-shadow: inset 3px 0 0 var(--gap);
}
.narrow button {
  display: flex;
  gap: 10px;
  padding: 8px 6px;
  width: 100%;
  min-height: 44px;
}
.narrow button span span {
  display: block;
  line-height: 1.25;
}
.brass {
  color: var(--assumed);
}
</style>
