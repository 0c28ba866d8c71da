<script setup lang="ts">
/** The grade of a mend as a shape: a whole, a half and an open hexagon; none where nothing mends it. */
import type { Grade } from '@necessaire/core';
import * as texts from '../../words/kit/gradeMark';

const props = defineProps<{ grade: Grade | null }>();
const HEX = 'M8 1L14.1 4.5V11.5L8 15L1.9 11.5V4.5Z';
const WORDS = { proper: 'full', 'ride-out': 'ride-out', limp: 'limp' } as const;
const word = () => (props.grade ? WORDS[props.grade] : texts.noRepair);
</script>

<template>
  <span class="grade" :class="grade ?? 'none'">
    <svg width="16" height="16" aria-hidden="true">
      <path :d="HEX" class="edge" />
      <path v-if="grade === 'proper'" :d="HEX" class="fill" />
      <path v-else-if="grade === 'ride-out'" d="M8 15L1.9 11.5V4.5L8 1Z" class="fill" />
      <path v-else-if="grade === null" d="M4 4L12 12M12 4L4 12" class="edge" />
    </svg>
    {{ word() }}
  </span>
</template>

<style scoped>
.grade {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  font-family: var(--v-font-heading);
  font-size: 14px;
  font-weight: 500;
}
.edge {
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.8;
}
.fill {
  fill: currentcolor;
}
.proper {
  color: var(--proven);
}
.ride-out {
  color: var(--assumed);
}
.limp {
  color: var(--soft);
}
.none {
  color: var(--gap);
}
</style>
