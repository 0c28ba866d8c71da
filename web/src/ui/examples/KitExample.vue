<script setup lang="ts">
/** What a kit saves against what it weighs: steep at first, then hardly. */
import { at } from '@necessaire/core';
import { line, curveStepAfter } from 'd3-shape';
import * as texts from '../../words/ui/examples/kitExample';

/** kg and hours, made up. */
const CURVE: readonly (readonly [number, number])[] = [
  [0.2, 1.2],
  [0.5, 3],
  [0.9, 4.8],
  [1.3, 6],
  [1.8, 6.9],
  [2.4, 7.6],
  [3.2, 8.1],
  [4.4, 8.4],
  [6, 8.6],
];
const x = (kg: number) => 50 + kg * 88;
const y = (h: number) => 180 - h * 18;
const path =
  line<readonly [number, number]>(
    ([kg]) => x(kg),
    ([, h]) => y(h),
  ).curve(curveStepAfter)(CURVE) ?? '';
const CHOSEN = at(CURVE, 5);
</script>

<template>
  <path :d="`M50 180 H590 M50 180 V12`" class="axis" />
  <path :d="`${path} V180 H${x(0.2)} Z`" class="area" />
  <path :d="path" class="curve" />
  <path :d="`M${x(CHOSEN[0])} 20 V180`" class="axis" />
  <circle :cx="x(CHOSEN[0])" :cy="y(CHOSEN[1])" r="7" class="handle" />
  <text x="8" y="16" class="soft">{{ texts.hours }}</text>
  <text :x="x(CHOSEN[0]) + 12" y="120">{{ texts.n24KgSaves7 }}</text>
  <text x="548" y="204" class="soft">{{ texts.weight }}</text>
</template>

<style scoped>
.axis {
  stroke: var(--soft);
  fill: none;
}
.area {
  fill: var(--proven);
  opacity: 0.14;
}
.curve {
  fill: none;
  stroke: var(--proven);
  stroke-width: 2.5;
}
.handle {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
