<script setup lang="ts">
/** Troubles ranked by the hours that they put at stake: outlined without a kit, filled with the present one. */
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { computed, ref } from 'vue';
import { byTrouble, type Answer, type Exposure, type TroubleSum, unmarkedRoles } from '@necessaire/core';
import { factWords } from '@necessaire/words';
import { useExplain } from '../../stores/explain';
import { useSize } from '../../ui/useSize';
import { percent } from '../../ui/words';
import * as texts from '../../words/trip/troubleBars';

const props = defineProps<{ answer: Answer; bikeId: string }>();
const explain = useExplain();
const element = ref<HTMLElement>();
const size = useSize(element);

/** Rows are taller where names need two lines. */
const ROW = computed(() => (size.width < 620 ? 40 : 27));
const sums = computed(() => byTrouble(props.answer.kit, props.bikeId));
/** A trouble that no part of the kit speaks of: nothing is lost or won by it. */
const NOTHING = (e: Exposure): TroubleSum => ({
  troubleId: e.trouble.id,
  grade: null,
  wayName: '',
  stake: 0,
  parts: 0,
  partsBelow: 0,
  mends: 0,
  covered: 1 - e.odds,
  lacks: [],
  below: false,
  hoursSaved: 0,
  hoursLeft: e.atStake,
});
const rows = computed(() =>
  props.answer.exposures
    .map((e) => ({ e, m: sums.value.get(e.trouble.id) ?? NOTHING(e) }))
    .filter(({ e }) => e.atStake > 0.0005 || e.odds > 0.001),
);
/** A phone shows the first; the rest is a press away. */
const FIRST = 12;
const all = ref(false);
const short = computed(() => size.width < 520 && !all.value);
const shown = computed(() => (short.value ? rows.value.slice(0, FIRST) : rows.value));
const labelWidth = computed(() => (size.width < 520 ? 138 : size.width < 620 ? 220 : size.width < 650 ? 256 : 292));
const x = computed(() =>
  scaleLinear(
    [0, max(rows.value, ({ e }) => e.atStake) ?? 1],
    [0, Math.max(60, size.width - labelWidth.value - 112)],
  ).nice(4),
);
const tickCount = computed(() => (size.width < 520 ? 2 : 4));
const minutes = (h: number) => (h >= 1 ? `${h.toFixed(1)} h` : `${Math.round(h * 60)} min`);

/** A name in one line, or two where it is long; what is longer still ends there, the whole name is in the row's own label. */
const linesOf = (name: string): string[] => {
  const most = labelWidth.value < 200 ? 19 : labelWidth.value < 250 ? 32 : labelWidth.value < 290 ? 38 : 44;
  const cut = (text: string) => (text.length > most ? `${text.slice(0, most - 2).trimEnd()}…` : text);
  if (name.length <= most || ROW.value < 40) return [cut(name)];
  const at = name.lastIndexOf(' ', most);
  return at > 0 ? [name.slice(0, at), cut(name.slice(at + 1))] : [cut(name)];
};
function show({ e, m }: { e: Exposure; m: TroubleSum }) {
  const t = e.trouble;
  const [unmarked] = unmarkedRoles(m.lacks);
  explain.show({
    title: t.name,
    value: texts.hereAtStake(percent(e.odds, 1), minutes(e.atStake)),
    formula: texts.oddsAndRisk(factWords(e.formula)),
    inputs: [
      {
        name: t.stops ? texts.hoursStrandedOverWhereIt : texts.hoursLostWithoutARepair,
        value: `${e.without.toFixed(1)} h`,
      },
      { name: texts.hoursOfTheMend, value: `${t.mend} h` },
      { name: texts.mendsThatTheKitAllows, value: m.mends === Infinity ? texts.asManyAsNeeded : String(m.mends) },
      { name: texts.lacking, value: m.lacks.length > 0 ? m.lacks : texts.nothing },
      { name: texts.pNoMoreThanThat, value: percent(m.covered, 1) },
      { name: texts.leftAtStakeWithThe, value: minutes(m.hoursLeft) },
    ],
    source: texts.ratesTypicalValuesByGround(t.caution ?? ''),
    ...(unmarked ? { to: { path: `/walk?mark=${encodeURIComponent(unmarked)}`, label: texts.markThe(unmarked) } } : {}),
  });
}
</script>

<template>
  <div ref="element" class="troubles">
    <p class="soft note">
      <span class="key-box" /> {{ texts.hoursAtRiskWithoutA }} <span class="key-box left" />
      {{ texts.leftWithThisKitThen }}
    </p>
    <svg :width="size.width" :height="shown.length * ROW + 34" role="group" :aria-label="texts.troublesByHoursAtStake">
      <g :transform="`translate(${labelWidth} 22)`">
        <template v-for="tick in x.ticks(tickCount)" :key="tick">
          <path class="grid" :d="`M${x(tick)} 0V${shown.length * ROW}`" />
          <text class="tick" :x="x(tick)" y="-7" text-anchor="middle">{{ tick === 0 ? '0' : minutes(tick) }}</text>
        </template>
      </g>
      <g
        v-for="(r, i) in shown"
        :key="r.e.trouble.id"
        class="trouble"
        role="button"
        tabindex="0"
        :transform="`translate(0 ${22 + i * ROW})`"
        :aria-label="
          texts.atStakeLeftWithThe(r.e.trouble.name, percent(r.e.odds, 1), minutes(r.e.atStake), minutes(r.m.hoursLeft))
        "
        @click="show(r)"
        @keydown.enter="show(r)"
        @keydown.space.prevent="show(r)"
      >
        <rect class="hit" x="0" y="0" :width="size.width" :height="ROW" />
        <text class="name" :y="ROW / 2 + (linesOf(r.e.trouble.name).length > 1 ? -3 : 5)">
          <tspan v-for="(text, k) in linesOf(r.e.trouble.name)" :key="k" x="2" :dy="k === 0 ? 0 : 16">{{ text }}</tspan>
        </text>
        <g :transform="`translate(${labelWidth} ${(ROW - 17) / 2})`">
          <rect class="without" x="0" y="0.5" :width="Math.max(1.5, x(r.e.atStake))" :height="16" />
          <rect class="left" x="0" y="0.5" :width="x(r.m.hoursLeft)" :height="16" />
        </g>
        <text class="figure" :x="size.width - 62" :y="ROW / 2 + 5" text-anchor="end">{{ minutes(r.e.atStake) }}</text>
        <text class="figure odds" :x="size.width - 2" :y="ROW / 2 + 5" text-anchor="end">
          {{ percent(r.e.odds, r.e.odds < 0.1 ? 1 : 0) }}
        </text>
      </g>
    </svg>
    <p v-if="short && rows.length > FIRST">
      <v-btn variant="tonal" @click="all = true">{{ texts.showMore(rows.length - FIRST) }}</v-btn>
    </p>
  </div>
</template>

<style scoped>
.troubles {
  margin-top: 10px;
}
svg {
  display: block;
}
.grid {
  stroke: var(--hair);
}
.tick {
  font-family: var(--figures);
  font-size: 11.5px;
  fill: var(--soft);
}
.trouble {
  cursor: pointer;
  outline: none;
}
.hit {
  fill: transparent;
}
.trouble:hover .hit,
.trouble:focus-visible .hit {
  fill: var(--picked);
}
.name {
  font-size: 14px;
  fill: var(--ink);
}
.without {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.left {
  fill: var(--gap);
}
.figure {
  font-family: var(--figures);
  font-size: 13px;
  font-weight: 500;
  fill: var(--ink);
}
.figure.odds {
  fill: var(--soft);
}
.note {
  font-size: 13px;
  margin-bottom: 8px;
}
.key-box {
  display: inline-block;
  width: 14px;
  height: 10px;
  border: 1.4px solid var(--ink);
  margin: 0 2px 0 0;
}
.key-box + .key-box {
  margin-left: 8px;
  vertical-align: -1px;
}
.key-box.left {
  background: var(--gap);
  border-color: var(--gap);
}
</style>
