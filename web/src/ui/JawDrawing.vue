<script setup lang="ts">
/** A head in a tool at the true free play: where the corners bite, and how much of the flank is left. */
import { computed } from 'vue';
import { fit, printSize, type Head, type Shape } from '@necessaire/core';
import { hexagon, jawOf, lobe } from './jaw';
import * as texts from '../words/ui/jawDrawing';

const props = defineProps<{ head: Head; tool: Shape; measure: number }>();
const SIZE = 172;
const HALF = SIZE / 2;

const jaw = computed(() => jawOf(props.head, props.tool, props.measure));
const onHead = computed(() => fit(props.tool, props.head, 'six'));
const scale = computed(() => (jaw.value ? (SIZE * 0.52) / Math.max(jaw.value.opening, jaw.value.inner) : 1));
const turn = computed(() => {
  const play = jaw.value?.play ?? 0;
  return Number.isNaN(play) ? 0 : play >= 30 ? 14 : play;
});
const path = (points: [number, number][]) =>
  `M${points.map(([x, y]) => `${(HALF + x * scale.value).toFixed(2)} ${(HALF + y * scale.value).toFixed(2)}`).join('L')}Z`;
const outline = (across: number, degrees: number) =>
  path(jaw.value?.kind === 'lobe' ? lobe(across, degrees) : hexagon(across, degrees));
const state = computed(() => {
  const play = jaw.value?.play ?? Number.NaN;
  if (Number.isNaN(play)) return 'no';
  if (jaw.value?.kind === 'lobe') return play <= 6 ? 'good' : 'bad';
  return play <= 5 ? 'good' : play <= 9 ? 'fair' : 'bad';
});
/** Open jaw: two flats left and right, closed above like a spanner's mouth. */
const mouth = computed(() => {
  const w = ((jaw.value?.opening ?? 0) / 2) * scale.value;
  const out = w + 20;
  const deep = w * 1.22;
  return `M${HALF - out} ${HALF + deep}V${HALF - deep - 14}H${HALF + out}V${HALF + deep}H${HALF + w}V${HALF - deep}H${HALF - w}V${HALF + deep}Z`;
});
const words = computed(() => {
  const j = jaw.value;
  if (!j) return '';
  const name = `${printSize(props.tool.size)}${/in$/.test(props.tool.size) ? '' : j.kind === 'lobe' ? '' : ' mm'}`;
  const tool = `${j.kind === 'lobe' ? 'T' : ''}${name}`;
  if (Number.isNaN(j.play)) return texts.doesNotGoOn(tool);
  if (j.play >= 30) return texts.spins(tool);
  const left = Math.round((1 - j.play / 30) * 100);
  const what = state.value === 'good' ? texts.fits : state.value === 'fair' ? texts.loose : texts.roundsItOff;
  return texts.turnsOfTheFlankHolds(tool, j.play.toFixed(1), what, left);
});
</script>

<template>
  <figure v-if="jaw" class="jaw" :class="state">
    <svg :width="SIZE" :height="SIZE" :viewBox="`0 0 ${SIZE} ${SIZE}`" role="img" :aria-label="words">
      <template v-if="jaw.headInside">
        <path v-if="jaw.kind === 'hexagon'" class="tool" :d="mouth" />
        <path v-else class="tool" :d="outline(jaw.opening, 0)" />
        <path class="head" :d="outline(jaw.inner, turn)" />
      </template>
      <template v-else>
        <circle class="body" :cx="HALF" :cy="HALF" :r="(jaw.opening / 2) * scale * 1.45" />
        <path class="hole" :d="outline(jaw.opening, 0)" />
        <path class="head" :d="outline(jaw.inner, turn)" />
      </template>
      <circle class="axis" :cx="HALF" :cy="HALF" r="2" />
    </svg>
    <figcaption>
      {{ words }}
      <span v-if="onHead.goesOn < 0.995 && onHead.goesOn > 0.005" class="soft">{{
        texts.ofAllMadePairsIt(Math.round(onHead.goesOn * 100))
      }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.jaw {
  margin: 0;
  width: 190px;
}
svg {
  display: block;
  margin: 0 auto;
}
.tool,
.body {
  fill: var(--hair);
  stroke: var(--soft);
  stroke-width: 1.2;
}
.hole {
  fill: var(--ground);
  stroke: var(--soft);
  stroke-width: 1.2;
}
.head {
  fill: var(--sheet);
  stroke: var(--gap);
  stroke-width: 2.4;
  stroke-linejoin: round;
}
.good .head {
  stroke: var(--proven);
}
.fair .head {
  stroke: var(--assumed);
}
.axis {
  fill: var(--ink);
}
figcaption {
  font-family: var(--v-font-heading);
  font-weight: 600;
  font-size: 14.5px;
  line-height: 1.2;
  text-align: center;
  color: var(--gap);
}
.good figcaption {
  color: var(--proven);
}
.fair figcaption {
  color: var(--assumed);
}
figcaption .soft {
  display: block;
  font-weight: 500;
  color: var(--soft);
}
</style>
