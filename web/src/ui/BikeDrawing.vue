<script setup lang="ts">
/** The bike as a picture with its stations: count in a ring that fills with evidence; pressing one chooses it. */
import { computed, ref } from 'vue';
import {
  at as itemAt,
  present,
  STATION_NAMES,
  STATIONS,
  type Bike,
  type Fastener,
  type Station,
} from '@necessaire/core';
import BikeShape from './bike/BikeShape.vue';
import { bikeGeometry } from './bike/geometry';
import { spread, type Label } from './bike/labels';
import { useSize } from './useSize';
import * as texts from '../words/ui/bikeDrawing';

const props = defineProps<{ bike: Bike; fasteners?: readonly Fastener[]; station?: Station | null; faint?: boolean }>();
const emit = defineEmits<{ station: [station: Station | null] }>();
const element = ref<HTMLElement>();
const size = useSize(element);

const BELOW: readonly Station[] = ['front-wheel', 'engine', 'controls', 'suspension', 'exhaust', 'rear-wheel'];
const CHAR = 6.9;
const labelled = computed(() => size.width >= 560 && size.height >= 330 && props.fasteners !== undefined);
const margin = computed(() => (labelled.value ? 34 : 6));
const ringRadius = computed(() => (size.width < 560 ? 13 : 15));

const g = computed(() => bikeGeometry(props.bike));
const view = computed(() => {
  const width = g.value.right - g.value.left;
  const height = g.value.top + 40;
  const s = Math.min((size.width - 16) / width, (size.height - 2 * margin.value) / height);
  return {
    s,
    ox: (size.width - width * s) / 2 - g.value.left * s,
    ground: size.height - margin.value - 4,
  };
});
/** Height that the drawing takes at this width; more would only be empty. */
const wanted = computed(
  () => ((g.value.top + 40) * (size.width - 16)) / (g.value.right - g.value.left) + 2 * margin.value + 8,
);
const X = (x: number) => view.value.ox + x * view.value.s;
const Y = (z: number) => view.value.ground - z * view.value.s;

interface Mark {
  station: Station;
  x: number;
  y: number;
  count: number;
  sure: number;
  proven: number;
  labelX: number;
  labelY: number;
  above: boolean;
}
/** Marks that would touch are pushed apart; each stays near its place. */
function apart(marks: { x: number; y: number }[], least: number) {
  for (let round = 0; round < 24; round++)
    for (let i = 0; i < marks.length; i++)
      for (let j = i + 1; j < marks.length; j++) {
        const [a, b] = [itemAt(marks, i), itemAt(marks, j)];
        const [dx, dy] = [b.x - a.x, b.y - a.y];
        const d = Math.hypot(dx, dy) || 0.01;
        if (d >= least) continue;
        const push = (least - d) / 2 / d;
        a.x -= dx * push;
        a.y -= dy * push;
        b.x += dx * push;
        b.y += dy * push;
      }
}
const marks = computed<Mark[]>(() => {
  if (!props.fasteners) return [];
  const list = STATIONS.map((station) => {
    const here = present(props.fasteners).filter((f) => f.station === station && f.leftOut === null);
    const share = (test: (f: Fastener) => boolean) => (here.length ? here.filter(test).length / here.length : 0);
    const at = g.value.stations[station];
    return {
      station,
      x: X(at.x),
      y: Y(at.z),
      count: here.length,
      sure: share((f) => f.evidence !== 'assumed'),
      proven: share((f) => f.evidence === 'tried' || f.evidence === 'proven'),
      labelX: 0,
      labelY: 0,
      above: !BELOW.includes(station),
    };
  });
  apart(list, ringRadius.value * 2 + 5);
  for (const above of [true, false]) {
    const labels: Label[] = list
      .filter((m) => m.above === above)
      .map((m) => ({
        key: m.station,
        text: STATION_NAMES[m.station],
        anchorX: m.x,
        width: STATION_NAMES[m.station].length * CHAR,
      }));
    const middles = spread(labels, 0, size.width, 10);
    for (const m of list)
      if (m.above === above) {
        m.labelX = middles.get(m.station) ?? m.x;
        m.labelY = above ? Math.max(16, Y(g.value.top) - 14) : size.height - 6;
      }
  }
  return list;
});
const arc = (share: number, r: number) => `${share * 2 * Math.PI * r} ${2 * Math.PI * r}`;
const choose = (station: Station) => emit('station', props.station === station ? null : station);
const say = (m: Mark) => texts.fastenersMeasuredOrBetter(STATION_NAMES[m.station], m.count, Math.round(m.sure * 100));
</script>

<template>
  <div ref="element" class="drawing" :style="{ maxHeight: `${wanted}px` }">
    <svg
      :width="size.width"
      :height="size.height"
      :viewBox="`0 0 ${size.width} ${size.height}`"
      role="group"
      :aria-label="texts.sideView(bike.name)"
    >
      <path class="ground" :d="`M0 ${view.ground}H${size.width}`" />
      <BikeShape :bike="bike" v-bind="view" :faint="faint" />
      <slot :x="X" :y="Y" :s="view.s" :width="size.width" :height="size.height" />
      <template v-if="labelled">
        <path
          v-for="m in marks"
          :key="m.station"
          class="leader"
          :class="{ on: m.station === station }"
          :d="`M${m.x} ${m.y}L${m.labelX} ${m.above ? m.labelY + 5 : m.labelY - 14}`"
        />
      </template>
      <g
        v-for="m in marks"
        :key="m.station"
        class="mark"
        :class="{ on: m.station === station, none: m.count === 0 }"
        role="button"
        tabindex="0"
        :aria-pressed="m.station === station"
        :aria-label="say(m)"
        :data-station="m.station"
        @click="choose(m.station)"
        @keydown.enter.prevent="choose(m.station)"
        @keydown.space.prevent="choose(m.station)"
      >
        <circle v-if="size.width < 560" class="touch" :cx="m.x" :cy="m.y" r="19" />
        <circle class="plate" :cx="m.x" :cy="m.y" :r="ringRadius" />
        <g :transform="`rotate(-90 ${m.x} ${m.y})`">
          <circle class="ring" :cx="m.x" :cy="m.y" :r="ringRadius" />
          <circle class="ring sure" :cx="m.x" :cy="m.y" :r="ringRadius" :stroke-dasharray="arc(m.sure, ringRadius)" />
          <circle
            class="ring tried"
            :cx="m.x"
            :cy="m.y"
            :r="ringRadius"
            :stroke-dasharray="arc(m.proven, ringRadius)"
          />
        </g>
        <text :x="m.x" :y="m.y + 4.6" text-anchor="middle">{{ m.count }}</text>
      </g>
      <template v-if="labelled">
        <text
          v-for="m in marks"
          :key="m.station"
          class="label"
          :class="{ on: m.station === station }"
          :x="m.labelX"
          :y="m.labelY"
          text-anchor="middle"
          aria-hidden="true"
          @click="choose(m.station)"
        >
          {{ STATION_NAMES[m.station] }}
        </text>
      </template>
    </svg>
  </div>
</template>

<style scoped>
.drawing {
  width: 100%;
  min-height: 180px;
  overflow: hidden;
}
svg {
  display: block;
}
.ground {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.leader {
  stroke: var(--soft);
  stroke-width: 0.8;
  fill: none;
}
.leader.on {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.mark {
  cursor: pointer;
  outline: none;
}
.plate {
  fill: var(--sheet);
}
.touch {
  fill: transparent;
}
.ring {
  fill: none;
  stroke: var(--assumed);
  stroke-width: 4.5;
}
.none .ring {
  stroke: var(--line);
}
.ring.sure {
  stroke: var(--measured);
}
.ring.tried {
  stroke: var(--proven);
}
.mark text {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 14px;
  fill: var(--ink);
}
.mark.on .plate {
  fill: var(--ink);
}
.mark.on text {
  fill: var(--sheet);
}
.mark:focus-visible .plate {
  stroke: var(--ink);
  stroke-width: 12;
}
.label {
  font-family: var(--v-font-heading);
  font-weight: 500;
  font-size: 15px;
  fill: var(--soft);
  cursor: pointer;
}
.label.on {
  fill: var(--ink);
  font-weight: 600;
}
</style>
