<script setup lang="ts">
/** The bike from behind, to scale, with whatever lies on it. */
import { computed, ref } from 'vue';
import type { Bike } from '@necessaire/core';
import BehindShape from '../../ui/bike/BehindShape.vue';
import { useSize } from '../../ui/useSize';
import * as texts from '../../words/stow/behindDrawing';

const props = defineProps<{ bike: Bike }>();
const element = ref<HTMLElement>();
const size = useSize(element);
/** mm that must be seen: panniers reach out half a metre, a backpack stands high. */
const WIDE = 1250;
const s = computed(() => Math.min((size.width - 16) / WIDE, (size.height - 20) / (props.bike.seatHeight + 500)));
const X = (y: number) => size.width / 2 - y * s.value;
const Y = (z: number) => size.height - 10 - z * s.value;
</script>

<template>
  <div ref="element" class="drawing">
    <svg
      :width="size.width"
      :height="size.height"
      :viewBox="`0 0 ${size.width} ${size.height}`"
      role="group"
      :aria-label="texts.fromBehind(bike.name)"
    >
      <path class="ground" :d="`M0 ${Y(0)}H${size.width}`" />
      <BehindShape :bike="bike" :x="X" :y="Y" :s="s" />
      <path class="middle" :d="`M${X(0)} ${Y(0)}V12`" />
      <slot :x="X" :y="Y" :s="s" :width="size.width" :height="size.height" />
    </svg>
  </div>
</template>

<style scoped>
.drawing {
  position: relative;
  min-height: 0;
}
svg {
  position: absolute;
  inset: 0;
}
.ground {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.middle {
  stroke: var(--line);
  stroke-dasharray: 8 4 2 4;
}
</style>
