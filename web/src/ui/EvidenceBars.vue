<script setup lang="ts">
/** The evidence ladder as four rising bars. */
import { computed } from 'vue';
import { EVIDENCE, type Evidence } from '@necessaire/core';
const props = defineProps<{ evidence: Evidence }>();
const rung = computed(() => EVIDENCE.indexOf(props.evidence));
</script>

<template>
  <svg class="bars" :class="evidence" viewBox="0 0 30 20" width="30" height="20" role="img" :aria-label="evidence">
    <rect
      v-for="i in 4"
      :key="i"
      :x="(i - 1) * 7.6 + 0.8"
      :y="20 - (4 + i * 3.8)"
      width="5.4"
      :height="3.2 + i * 3.8"
      :class="{ on: i - 1 <= rung }"
    />
  </svg>
</template>

<style scoped>
.bars {
  color: var(--measured);
  flex: none;
}
.assumed {
  color: var(--assumed);
}
.proven,
.tried {
  color: var(--proven);
}
rect {
  fill: none;
  stroke: var(--line);
  stroke-width: 1;
}
rect.on {
  fill: currentColor;
  stroke: currentColor;
}
</style>
