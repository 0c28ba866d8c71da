<script setup lang="ts">
/** Places on the bike's drawing, those that are asked for filled and named. */
import { computed } from 'vue';
import type { Place } from '@necessaire/core';

const props = defineProps<{
  places: readonly Place[];
  lit: ReadonlySet<string | null>;
  x: (mm: number) => number;
  y: (mm: number) => number;
  s: number;
}>();
const boxes = computed(() =>
  props.places.map((p) => {
    const wide = Math.max(18, (p.kind === 'roll' ? 130 : p.inside.length) * props.s);
    const high = Math.max(12, (p.kind === 'roll' ? 80 : p.inside.height) * props.s);
    return {
      place: p,
      on: props.lit.has(p.id),
      left: props.x(p.at.x) - wide / 2,
      top: props.y(p.at.z) - high / 2,
      wide,
      high,
    };
  }),
);
</script>

<template>
  <g aria-hidden="true">
    <g v-for="b in boxes" :key="b.place.id" :class="{ on: b.on }">
      <rect :x="b.left" :y="b.top" :width="b.wide" :height="b.high" />
      <text v-if="b.on" :x="b.left + b.wide / 2" :y="b.top - 6" text-anchor="middle">{{ b.place.name }}</text>
    </g>
  </g>
</template>

<style scoped>
rect {
  fill: none;
  stroke: var(--line);
}
.on rect {
  fill: var(--ink);
  stroke: var(--ink);
}
text {
  font-family: var(--v-font-heading);
  font-size: 15px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 4px;
}
</style>
