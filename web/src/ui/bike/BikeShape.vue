<script setup lang="ts">
/** The side view itself, drawn stroke by stroke from the bike's numbers. */
import { computed } from 'vue';
import type { Bike } from '@necessaire/core';
import { bikeOutlines } from './outlines';

const props = defineProps<{ bike: Bike; s: number; ox: number; ground: number; faint?: boolean }>();
const strokes = computed(() => bikeOutlines(props.bike, props).strokes);
/** Tubes are two strokes: the ink, and inside it the light, as wide as they really are. */
const px = (mm: number) => Math.max(2.6, mm * props.s);
</script>

<template>
  <g class="bike" :class="{ faint }" aria-hidden="true">
    <template v-for="(k, i) in strokes" :key="i">
      <template v-if="k.ink === 'tube'">
        <path class="tube" :d="k.d" :stroke-width="px(k.width ?? 20) + 1.4" />
        <path class="inner" :d="k.d" :stroke-width="Math.max(0.6, px(k.width ?? 20) - 1.4)" />
      </template>
      <path v-else-if="k.width" :class="k.ink" :d="k.d" :stroke-width="px(k.width)" />
      <path v-else :class="k.ink" :d="k.d" />
    </template>
  </g>
</template>

<style scoped>
.bike {
  fill: none;
  stroke: var(--ink);
  stroke-linejoin: round;
  stroke-linecap: round;
}
.faint {
  opacity: 0.45;
}
.line {
  stroke-width: 1.2;
}
.hair {
  stroke-width: 0.6;
  stroke: var(--soft);
}
.soft {
  stroke-width: 2.2;
  stroke: var(--soft);
}
.plate {
  fill: var(--sheet);
  stroke-width: 1.3;
  fill-rule: evenodd;
}
.tone {
  fill: color-mix(in srgb, var(--ink) 24%, var(--sheet));
  stroke-width: 1.3;
}
.dark {
  fill: var(--ink);
  stroke: none;
}
.inner {
  stroke: var(--sheet);
}
.pipe {
  stroke: var(--ink);
}
.core {
  stroke: color-mix(in srgb, var(--soft) 55%, var(--sheet));
}
.chain {
  stroke-width: 2.2;
  stroke-dasharray: 2.6 1.6;
  stroke-linecap: butt;
}
.belt {
  stroke-width: 3;
}
.spring {
  stroke-width: 2.4;
}
</style>
