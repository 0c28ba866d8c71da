<script setup lang="ts">
import * as texts from '../../words/ui/examples/proveExample';
/** Hours at risk by problem: proven, or only planned. */
const ROWS = [
  { name: texts.puncture, width: 320, proven: 190, hours: '2.6 h' },
  { name: texts.brakeLeverBroken, width: 190, proven: 190, hours: '56 min' },
  { name: texts.batteryFlat, width: 110, proven: 0, hours: '30 min' },
  { name: texts.chainOff, width: 60, proven: 0, hours: '12 min' },
] as const;
</script>

<template>
  <text x="8" y="24">{{ texts.n38Proven }}</text>
  <g v-for="(r, i) in ROWS" :key="r.name" :transform="`translate(0 ${46 + i * 44})`">
    <text x="8" y="18">{{ r.name }}</text>
    <rect x="170" y="2" :width="r.width" height="22" class="planned" />
    <rect v-if="r.proven > 0" x="170" y="2" :width="r.proven" height="22" class="proven" />
    <text x="590" y="18" text-anchor="end">{{ r.hours }}</text>
  </g>
</template>

<style scoped>
.planned {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.proven {
  fill: var(--proven);
}
</style>
