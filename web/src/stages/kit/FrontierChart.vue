<script setup lang="ts">
/** Weight against what it saves: the best kit of every limit, what none can beat, the nested kits, the rider's own list. The limit is dragged. */
import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { computed, ref } from 'vue';
import { at, present, LEVEL_NAMES, type CurvePicture, type CurvePoint } from '@necessaire/core';
import type { LevelPoint } from '../../workers/answer.worker';
import { useView } from '../../stores/view';
import { useSize } from '../../ui/useSize';
import { massText } from '../../ui/words';
import { useMoney } from '../../ui/useMoney';
import * as texts from '../../words/kit/frontierChart';

const props = defineProps<{
  picture: CurvePicture;
  levels: readonly LevelPoint[];
  own: { name: string; point: CurvePoint }[];
  /** Where the kit in use lies: what it weighs and saves. */
  now: { mass: number; value: number; name: string } | null;
  limit: number;
  value: 'hours' | 'money';
  /** What the handle drags: the weight limit, the kit that is best for its weight, or nothing where the kit follows no handle. */
  handle: 'limit' | 'knee' | null;
}>();
const { money } = useMoney();
const emit = defineEmits<{ drag: [grams: number]; settle: [grams: number] }>();
const view = useView();
const element = ref<HTMLElement>();
const size = useSize(element);

const LEFT = 46;
const TOP = 54;
const FOOT = 44;
const height = computed(() => (size.width < 520 ? 300 : 350));
const top = computed(() =>
  Math.max(
    0.1,
    ...props.picture.band.map((b) => Math.min(b.bound, b.best * 1.4 + 0.5)),
    ...props.own.map((o) => o.point.value),
    props.now?.value ?? 0,
  ),
);
const x = computed(() => scaleLinear([0, props.picture.most], [0, Math.max(80, size.width - LEFT - 14)]));
const y = computed(() => scaleLinear([0, top.value * 1.02], [height.value - TOP - FOOT, 0]).nice(4));
const bottom = computed(() => y.value(0));
const steps = computed(() => [
  ...props.picture.points.map((p) => ({ limit: p.limit, value: p.value })),
  { limit: props.picture.most, value: props.picture.points.at(-1)?.value ?? 0 },
]);
const best = computed(() =>
  line<(typeof steps.value)[number]>(
    (p) => x.value(p.limit),
    (p) => y.value(p.value),
  ).curve(curveStepAfter)(steps.value),
);
const under = computed(() =>
  area<(typeof steps.value)[number]>(
    (p) => x.value(p.limit),
    bottom.value,
    (p) => y.value(p.value),
  ).curve(curveStepAfter)(steps.value),
);
const band = computed(() =>
  area<CurvePicture['band'][number]>(
    (b) => x.value(b.limit),
    (b) => y.value(b.best),
    (b) => y.value(Math.min(b.bound, at(y.value.domain(), 1))),
  )(props.picture.band),
);
const valueAt = (grams: number) => {
  let v = 0;
  for (const p of props.picture.points) if (p.limit <= grams) v = p.value;
  return v;
};
const shown = computed(() => Math.min(props.limit, props.picture.most));
/** What the handle stands for: the kit itself where it is the best for its weight, else what the curve has at the limit. */
const saved = computed(() =>
  props.handle === 'knee' && props.now && props.limit === Math.round(props.now.mass)
    ? props.now.value
    : valueAt(shown.value),
);
const words = (v: number) => (props.value === 'money' ? money(v) : `${v.toFixed(1)} h`);
const atEnd = computed(() => x.value(shown.value) > size.width - LEFT - 210);
const narrow = computed(() => size.width < 520);
/** Names of lists that stand close to one another go under each other. */
const rowOf = (i: number) => 18 + 15 * i;
const clamp = (g: number) => Math.round(Math.max(0, Math.min(props.picture.most, g)) / 10) * 10;

function gramsOf(e: PointerEvent): number {
  const box = present(element.value).getBoundingClientRect();
  return clamp(x.value.invert(e.clientX - box.left - LEFT));
}
const holding = ref(false);
function down(e: PointerEvent) {
  if (e.button !== 0) return;
  holding.value = true;
  (e.currentTarget as Element).setPointerCapture(e.pointerId);
  emit('drag', gramsOf(e));
}
function move(e: PointerEvent) {
  if (holding.value) emit('drag', gramsOf(e));
}
function up(e: PointerEvent) {
  if (!holding.value) return;
  holding.value = false;
  emit('settle', gramsOf(e));
}
const KEYS: Record<string, number> = {
  ArrowLeft: -50,
  ArrowDown: -50,
  ArrowRight: 50,
  ArrowUp: 50,
  PageDown: -500,
  PageUp: 500,
};
function key(e: KeyboardEvent) {
  const to =
    e.key === 'Home'
      ? 0
      : e.key === 'End'
        ? props.picture.most
        : e.key in KEYS
          ? props.limit + present(KEYS[e.key])
          : null;
  if (to === null) return;
  e.preventDefault();
  emit('settle', clamp(to));
}
</script>

<template>
  <div ref="element" class="frontier">
    <svg :width="size.width" :height="height" role="group" :aria-label="texts.weightOfTheKitAgainst">
      <g :transform="`translate(${LEFT} ${TOP})`">
        <text class="axis" :x="narrow ? -LEFT + 4 : 0" y="-40">
          {{ value === 'money' ? texts.eurosSaved : texts.hoursSaved }}
        </text>
        <g v-for="t in y.ticks(4)" :key="`y${t}`">
          <path class="grid" :d="`M0 ${y(t)}H${x.range()[1]}`" />
          <text class="tick" x="-8" :y="y(t) + 4" text-anchor="end">{{ t }}</text>
        </g>
        <g v-for="t in x.ticks(size.width < 520 ? 4 : 8)" :key="`x${t}`">
          <text class="tick" :x="x(t)" :y="bottom + 18" text-anchor="middle">{{ t / 1000 }}</text>
        </g>
        <text class="axis" :x="x.range()[1]" :y="bottom + 36" text-anchor="end">{{ texts.kitKilograms }}</text>
        <path class="under" :d="under ?? ''" />
        <path class="band" :d="band ?? ''" />
        <path class="best" :d="best ?? ''" />
        <g v-for="(l, i) in levels" :key="l.limit">
          <template v-if="l.limit <= picture.most">
            <path class="level" :d="`M${x(l.limit)} -18V${bottom}`" />
            <rect
              class="level-dot"
              role="img"
              :aria-label="texts.levelSaves(String(LEVEL_NAMES[i]), massText(view.units, l.limit), words(l.value))"
              :x="x(l.limit) - 4"
              :y="y(l.value) - 4"
              width="8"
              height="8"
            />
            <text class="level-name" :x="x(l.limit) + 5" :y="narrow && i % 2 === 1 ? 8 : -8">{{ LEVEL_NAMES[i] }}</text>
          </template>
        </g>
        <g v-for="(o, i) in own" :key="`${o.name} ${i}`">
          <path class="own" :d="`M${x(Math.min(o.point.mass, picture.most))} ${y(o.point.value) - 6}l6 6-6 6-6-6z`" />
          <text
            class="own-name"
            :x="x(Math.min(o.point.mass, picture.most)) + (o.point.mass > picture.most * 0.7 ? -10 : 10)"
            :y="y(o.point.value) + rowOf(i + (now && !handle ? 1 : 0))"
            :text-anchor="o.point.mass > picture.most * 0.7 ? 'end' : 'start'"
          >
            {{ o.name }}
          </text>
        </g>
        <circle v-if="now && !handle" class="now" :cx="x(Math.min(now.mass, picture.most))" :cy="y(now.value)" r="6" />
        <text
          v-if="now && !handle"
          class="own-name"
          :x="x(Math.min(now.mass, picture.most)) + 10"
          :y="y(now.value) + 18"
        >
          {{ now.name }}
        </text>
        <g v-if="handle">
          <path class="limit" :d="`M${x(shown)} -4V${bottom}`" />
          <circle class="handle" :cx="x(shown)" :cy="y(saved)" r="7" />
          <text
            class="said"
            :x="narrow ? 0 : x(shown) + (atEnd ? -12 : 12)"
            :y="-24"
            :text-anchor="atEnd && !narrow ? 'end' : 'start'"
          >
            {{ texts.saved(words(saved)) }}
            <template v-if="handle === 'limit'">
              , {{ picture.proven ? texts.provenBest : texts.atMostFromProven(words(picture.gap)) }}
            </template>
          </text>
          <rect class="tag" :x="x(shown) - 40" :y="bottom + 4" width="80" height="24" />
          <text class="tag-text" :x="x(shown)" :y="bottom + 21" text-anchor="middle">
            {{ massText(view.units, limit) }}
          </text>
        </g>
        <rect
          v-if="handle"
          class="catch"
          x="0"
          y="-20"
          :width="x.range()[1]"
          :height="bottom + 60"
          @pointerdown="down"
          @pointermove="move"
          @pointerup="up"
          @pointercancel="up"
        />
        <rect
          v-if="handle"
          class="slider"
          role="slider"
          tabindex="0"
          :aria-label="handle === 'knee' ? texts.weightOfTheBestKit : texts.weightLimitOfTheKit"
          aria-valuemin="0"
          :aria-valuemax="picture.most"
          :aria-valuenow="limit"
          :aria-valuetext="texts.saved2(massText(view.units, limit), words(saved))"
          :x="x(shown) - 22"
          y="-20"
          width="44"
          :height="bottom + 50"
          @keydown="key"
          @pointerdown="down"
          @pointermove="move"
          @pointerup="up"
          @pointercancel="up"
        />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.frontier {
  margin-top: 8px;
  touch-action: pan-y;
}
svg {
  display: block;
  overflow: visible;
}
.axis,
.level-name,
.said,
.own-name {
  font-family: var(--v-font-heading);
  font-size: 14.5px;
  fill: var(--soft);
}
.level-name {
  fill: var(--ink);
}
.said {
  fill: var(--ink);
  font-weight: 600;
  font-size: 16px;
}
.tick {
  font-family: var(--figures);
  font-size: 13px;
  fill: var(--soft);
}
.grid {
  stroke: var(--line);
}
.under {
  fill: var(--proven);
  opacity: 0.1;
}
.band {
  fill: var(--assumed);
  opacity: 0.28;
}
.best {
  fill: none;
  stroke: var(--proven);
  stroke-width: 2.4;
}
.level {
  stroke: var(--soft);
  stroke-dasharray: 2 4;
}
.level-dot {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.own {
  fill: var(--ground);
  stroke: var(--measured);
  stroke-width: 2;
}
.now {
  fill: var(--ground);
  stroke: var(--proven);
  stroke-width: 2.4;
}
.limit {
  stroke: var(--ink);
  stroke-width: 2;
}
.handle {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 2.4;
}
.tag {
  fill: var(--ink);
}
.tag-text {
  font-family: var(--figures);
  font-size: 14px;
  font-weight: 600;
  fill: var(--ground);
}
.catch {
  fill: transparent;
  cursor: ew-resize;
}
.slider {
  fill: transparent;
  cursor: ew-resize;
}
.slider:focus-visible {
  outline: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
