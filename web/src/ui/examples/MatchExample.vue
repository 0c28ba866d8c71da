<script setup lang="ts">
/** Heads by shape and size; one of them is out of reach. */
import type { Head } from '@necessaire/core';
import HeadGlyph from '../HeadGlyph.vue';
import * as texts from '../../words/ui/examples/matchExample';

interface Shown {
  head: Head;
  tone: 'proven' | 'gap';
}
const hex = (size: string, tone: Shown['tone'] = 'proven'): Shown => ({ head: { form: 'hex', size }, tone });
const key = (size: string): Shown => ({ head: { form: 'key', size }, tone: 'proven' });
const HEADS: readonly Shown[] = [
  ...['8', '8', '10', '10', '10', '12', '13', '17'].map((size) => hex(size)),
  ...['4', '5', '6'].map(key),
  hex('32', 'gap'),
  ...['22', '24', '27'].map((size) => hex(size)),
  key('8'),
];
const EACH_ROW = 8;
</script>

<template>
  <g
    v-for="({ head, tone }, i) in HEADS"
    :key="i"
    :transform="`translate(${14 + (i % EACH_ROW) * 73} ${8 + Math.floor(i / EACH_ROW) * 74})`"
  >
    <HeadGlyph :head="head" :tone="tone" :size="56" />
    <path v-if="tone === 'gap'" d="M44 2 L56 14 M56 2 L44 14" class="cross" />
  </g>
  <text x="14" y="184">{{ texts.n15Of16Fasteners1 }}</text>
  <text x="14" y="206" class="soft">{{ texts.buyThisToReachIt }}</text>
</template>

<style scoped>
.cross {
  stroke: var(--gap);
  stroke-width: 3;
}
</style>
