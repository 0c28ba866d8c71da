<script setup lang="ts">
/** The way from start to end: how high it goes, where days end, and how far each kind of help is. Hovering or arrow keys read a point. */
import { bisector, extent, max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  at as itemAt,
  present,
  figure,
  MARK_KINDS,
  routeKm,
  strandedHours,
  unitOf,
  type Leg,
  type MarkKind,
  type ProfilePoint,
  type Route,
  type Trip,
} from '@necessaire/core';
import { useView } from '../../stores/view';
import { useSize } from '../../ui/useSize';
import { useTripWork } from './useTripWork';
import WorkBar from '../../ui/WorkBar.vue';
import * as texts from '../../words/trip/wayProfile';

const props = defineProps<{ trip: Trip; route: Route }>();
const view = useView();
const work = useTripWork();
const element = ref<HTMLElement>();
const size = useSize(element);
const points = shallowRef<ProfilePoint[]>([]);
watch(
  () => props.route,
  async (route) => {
    const made = await work.run((w, onProgress) => w.profile(JSON.parse(JSON.stringify(route)) as Route, onProgress));
    if (made && route === props.route) points.value = made;
  },
  { immediate: true },
);
const kinds = computed(() => MARK_KINDS.filter((k) => points.value.some((p) => p.help[k])));
const shownKind = ref<MarkKind | null>(null);
const kind = computed(() =>
  shownKind.value && kinds.value.includes(shownKind.value)
    ? shownKind.value
    : kinds.value.includes('workshop')
      ? 'workshop'
      : (kinds.value[0] ?? null),
);

const LEFT = 46;
const TOP = 14;
const HIGH = 150;
const HELP = 150;
const GAP = 26;
const width = computed(() => Math.max(200, size.width - LEFT - 10));
const x = computed(() => scaleLinear([0, routeKm(props.route)], [0, width.value]));
const heights = computed(() => points.value.filter((p) => p.ele !== null));
const yEle = computed(() => {
  const [low, high] = extent(heights.value, (p) => present(p.ele));
  return scaleLinear([Math.min(low ?? 0, (high ?? 100) - 50), high ?? 100], [HIGH, 0]).nice(3);
});
const helpAt = (p: ProfilePoint, k: MarkKind) => p.help[k]?.km ?? 0;
const yHelp = computed(() =>
  scaleLinear([0, max(points.value, (p) => (kind.value ? helpAt(p, kind.value) : 0)) || 1], [HELP, 0]).nice(3),
);
const ground = computed(
  () =>
    area<ProfilePoint>()
      .x((p) => x.value(p.km))
      .y0(HIGH)
      .y1((p) => yEle.value(present(p.ele)))(heights.value) ?? '',
);
const helpLine = computed(() =>
  kind.value
    ? (line<ProfilePoint>()
        .x((p) => x.value(p.km))
        .y((p) => yHelp.value(helpAt(p, present(kind.value))))(points.value) ?? '')
    : '',
);
const worst = computed(() => {
  const k = kind.value;
  if (!k || points.value.length === 0) return null;
  return points.value.reduce((a, b) => (helpAt(b, k) > helpAt(a, k) ? b : a));
});
/** The stretch around the worst point on which help is at least nine tenths as far. */
const stretch = computed(() => {
  const [k, w] = [kind.value, worst.value];
  if (!k || !w) return null;
  const least = 0.9 * helpAt(w, k);
  const at = points.value.indexOf(w);
  let [from, to] = [at, at];
  while (from > 0 && helpAt(itemAt(points.value, from - 1), k) >= least) from--;
  while (to < points.value.length - 1 && helpAt(itemAt(points.value, to + 1), k) >= least) to++;
  return { from: present(points.value[from]).km, to: present(points.value[to]).km };
});

const cursor = ref<number | null>(null);
const nearest = bisector((p: ProfilePoint) => p.km).center;
const read = computed(() =>
  cursor.value === null ? worst.value : (points.value[nearest(points.value, cursor.value)] ?? null),
);
function move(event: PointerEvent) {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect();
  cursor.value = Math.max(0, Math.min(routeKm(props.route), x.value.invert(event.clientX - box.left - LEFT)));
}
function step(by: number) {
  const at = cursor.value ?? worst.value?.km ?? 0;
  cursor.value = Math.max(0, Math.min(routeKm(props.route), at + (by * routeKm(props.route)) / 100));
}
/** Hours stranded at a point: as on a leg whose worst point it is. */
function hoursAt(p: ProfilePoint) {
  const people = (['shop', 'road-head', 'workshop', 'signal', 'fuel'] as const)
    .map((k) => p.help[k]?.km)
    .filter((v) => v !== undefined);
  const signal = (p.help.signal?.km ?? Infinity) <= 3 * props.route.detour;
  if (p.help.workshop === undefined || (people.length === 0 && !signal)) return null;
  const leg = { helpKm: people.length > 0 ? Math.min(...people) : 0, signal, workshopKm: p.help.workshop.km } as Leg;
  return strandedHours(leg, props.trip);
}
const hours = computed(() => (read.value ? hoursAt(read.value) : null));
const km = (v: number) => `${figure(view.units, 'distance', v)} ${unitOf(view.units, 'distance')}`;
</script>

<template>
  <div ref="element" class="way">
    <WorkBar v-if="points.length === 0" keeps :says="texts.measuringHowFarHelpIs" :share="work.progress.value ?? 0" />
    <template v-else>
      <p v-if="worst && stretch && kind" class="worst">
        {{ texts.farthestFrom(kind === 'road-head' || kind === 'workshop' ? `a ${kind}` : kind) }}
        <strong>{{ texts.kmTo(figure(view.units, 'distance', stretch.from), km(stretch.to)) }}</strong>,
        <strong class="num">{{ km(helpAt(worst, kind)) }}</strong> {{ texts.byTheGround }}
      </p>
      <p v-if="kinds.length > 1" class="kinds" role="group" :aria-label="texts.kindOfHelp">
        <v-btn
          variant="text"
          v-for="k in kinds"
          :key="k"
          class="kind"
          :aria-pressed="k === kind"
          @click="shownKind = k"
        >
          {{ k }}
        </v-btn>
      </p>
      <svg
        :width="size.width"
        :height="TOP + HIGH + GAP + HELP + 28"
        role="img"
        tabindex="0"
        :aria-label="texts.profileOfHeightAndDistance(km(routeKm(route)), kind ?? 'help')"
        @pointermove="move"
        @pointerleave="cursor = null"
        @keydown.left.prevent="step(-1)"
        @keydown.right.prevent="step(1)"
      >
        <g :transform="`translate(${LEFT} ${TOP})`">
          <template v-for="t in yEle.ticks(3)" :key="`e${t}`">
            <path class="grid" :d="`M0 ${yEle(t)}H${width}`" />
            <text class="tick" x="-6" :y="yEle(t) + 4" text-anchor="end">{{ t }}</text>
          </template>
          <path v-if="heights.length > 1" class="ground" :d="ground" />
          <text v-else class="tick" x="8" y="20">{{ texts.noHeightsInTheFile }}</text>
          <text class="axis" x="0" y="-3">{{ texts.metresAboveTheSea }}</text>
        </g>
        <g :transform="`translate(${LEFT} ${TOP + HIGH + GAP})`">
          <template v-for="t in yHelp.ticks(3)" :key="`h${t}`">
            <path class="grid" :d="`M0 ${yHelp(t)}H${width}`" />
            <text class="tick" x="-6" :y="yHelp(t) + 4" text-anchor="end">{{ figure(view.units, 'distance', t) }}</text>
          </template>
          <rect
            v-if="stretch"
            class="bad"
            :x="x(stretch.from)"
            y="0"
            :width="Math.max(2, x(stretch.to) - x(stretch.from))"
            :height="HELP"
          />
          <path class="help" :d="helpLine" />
          <text class="axis" x="0" y="-5">
            {{ texts.toByTheGround(unitOf(view.units, 'distance'), kind ?? 'help') }}{{ ' ' }}
          </text>
          <text
            v-for="t in x.ticks(size.width < 520 ? 4 : 8)"
            :key="`x${t}`"
            class="tick"
            :x="x(t)"
            :y="HELP + 18"
            text-anchor="middle"
          >
            {{ figure(view.units, 'distance', t) }}
          </text>
        </g>
        <g :transform="`translate(${LEFT} ${TOP})`">
          <template v-for="(d, i) in route.dayEnds" :key="`d${i}`">
            <path class="day" :d="`M${x(d)} 0V${HIGH + GAP + HELP}`" />
          </template>
          <path v-if="read" class="cursor" :d="`M${x(read.km)} 0V${HIGH + GAP + HELP}`" />
        </g>
      </svg>
      <p v-if="read" class="reads" role="status">
        <strong>{{ texts.km(figure(view.units, 'distance', read.km)) }}</strong><template v-if="read.ele !== null"
          >, {{ Math.round(read.ele) }} m</template
        >:
        <span v-for="k in kinds" :key="k"
          >{{ k }} <span class="num">{{ km(helpAt(read, k)) }}</span>{{ ' ' }}
          <span class="soft">({{ read.help[k]?.name }})</span>{{ k === kinds.at(-1) ? '.' : ', ' }}</span
        >
        <template v-if="hours">
          {{ ' ' }}{{ texts.strandedHere }} <strong class="num">{{ hours.total.toFixed(1) }} h</strong>{{ ' ' }}
          <span class="soft">= {{ view.inWords(hours.formula) }}.</span></template
        >
      </p>
      <p class="soft note">
        {{ texts.straightLinesToTheMarks(route.detour) }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.way {
  margin-top: 8px;
}
svg {
  display: block;
  touch-action: pan-y;
}
svg:focus-visible {
  outline: 2px solid var(--ink);
}
.worst {
  font-size: 16px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0;
}
.kind {
  padding: 3px 10px;
  border: 1px solid var(--line);
  min-height: 30px;
}
.kind[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
}
.grid {
  stroke: var(--hair);
}
.tick,
.axis {
  font-size: 11.5px;
  fill: var(--soft);
}
.tick {
  font-family: var(--figures);
}
.ground {
  fill: var(--line);
}
.help {
  fill: none;
  stroke: var(--measured);
  stroke-width: 2.2;
}
.bad {
  fill: var(--gap);
  opacity: 0.16;
}
.day {
  stroke: var(--soft);
  stroke-dasharray: 4 4;
}
.cursor {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.reads {
  font-size: 14.5px;
  min-height: 40px;
  line-height: 1.35;
}
.note {
  font-size: 13px;
}
@media (max-width: 760px) {
  .kind {
    min-height: 44px;
  }
}
</style>
