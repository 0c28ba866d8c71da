<script setup lang="ts">
import * as texts from '../../words/ui/examples/crewExample';
/** Three riders side by side, with what each of them carries. */
const RIDERS = [
  { name: texts.you, mass: '3.1 kg', things: [texts.handPump, texts.tyreLevers, texts.socketSet], share: 0.8 },
  { name: texts.ada, mass: '2.4 kg', things: [texts.tube21In, texts.chainTool, texts.firstAid], share: 0.62 },
  { name: texts.tom, mass: '1.6 kg', things: [texts.patches, texts.waterBag], share: 0.41 },
] as const;
</script>

<template>
  <g v-for="(r, i) in RIDERS" :key="r.name" :transform="`translate(${10 + i * 198} 6)`">
    <rect width="180" height="204" class="column" />
    <text x="12" y="26">{{ r.name }}</text>
    <text x="168" y="26" text-anchor="end">{{ r.mass }}</text>
    <rect x="12" y="36" width="156" height="8" class="column" />
    <rect x="12" y="36" :width="156 * r.share" height="8" class="share" />
    <g v-for="(thing, k) in r.things" :key="thing" :transform="`translate(12 ${60 + k * 46})`">
      <rect width="156" height="36" class="token" />
      <text x="10" y="23">{{ thing }}</text>
    </g>
  </g>
</template>

<style scoped>
.column {
  fill: none;
  stroke: var(--line);
}
.share {
  fill: var(--measured);
}
.token {
  fill: var(--sheet);
  stroke: var(--soft);
}
</style>
