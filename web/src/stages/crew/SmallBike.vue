<script setup lang="ts">
/** A bike in outline, as small as a column's head. */
import { computed } from 'vue';
import type { Bike } from '@necessaire/core';
import BikeShape from '../../ui/bike/BikeShape.vue';
import { bikeGeometry } from '../../ui/bike/geometry';

const props = defineProps<{ bike: Bike }>();
const [WIDTH, HEIGHT] = [150, 84];
const at = computed(() => {
  const g = bikeGeometry(props.bike);
  const width = g.right - g.left;
  const s = Math.min(WIDTH / width, (HEIGHT - 4) / (g.top + 40));
  return { s, ox: (WIDTH - width * s) / 2 - g.left * s, ground: HEIGHT - 2 };
});
</script>

<template>
  <svg :width="WIDTH" :height="HEIGHT" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="bike.name">
    <BikeShape :bike="bike" v-bind="at" />
  </svg>
</template>
