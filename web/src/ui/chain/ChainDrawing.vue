<script setup lang="ts">
/** A chain drawn to scale as linked pieces: the head at the foot, the hand at the top. */
import { computed, ref } from 'vue';
import { printShape, type Access, type Chain, type Head } from '@necessaire/core';
import { useSize } from '../useSize';
import { chainLayout } from './layout';
import * as texts from '../../words/ui/chain/chainDrawing';

const props = withDefaults(defineProps<{ chain: Chain; head: Head; access: Access; most?: number }>(), { most: 260 });
const element = ref<HTMLElement>();
const size = useSize(element);
const l = computed(() => chainLayout(props.chain, props.head, props.access, size.width, props.most));
const words = computed(
  () => props.chain.links.map((k) => k.piece.name).join(texts.then) + texts.onHead(printShape(props.head)),
);
</script>

<template>
  <div ref="element" class="chain-drawing">
    <svg
      :width="size.width"
      :height="l.height"
      :viewBox="`0 0 ${size.width} ${l.height}`"
      role="img"
      :aria-label="words"
    >
      <g :transform="`translate(${l.axisX} 0)`">
        <path
          class="floor"
          :d="
            l.well
              ? `M-34 ${l.well.top}H${-l.well.half}V${l.floor}H${l.well.half}V${l.well.top}H${l.well.half + 60}`
              : `M-34 ${l.floor}H60`
          "
        />
        <path class="axis" :d="`M0 ${l.floor + 8}V4`" />
        <rect class="bolt" :x="-l.head.half" :y="l.head.y" :width="l.head.half * 2" :height="l.head.depth" />
        <template v-for="(b, i) in l.blocks" :key="i">
          <rect
            v-if="b.handle"
            class="piece"
            :class="b.kind === 'pipe' ? 'pipe' : ''"
            :x="b.handle.left"
            :y="b.jaw ? b.y0 + 3 * l.scale : (b.y0 + b.y1) / 2 - b.handle.thick / 2"
            :width="b.handle.right - b.handle.left"
            :height="b.handle.thick"
            :rx="b.handle.thick / 2"
          />
          <rect
            v-if="b.jaw"
            class="piece jaw"
            :x="b.jaw.left"
            :y="b.y0"
            :width="b.jaw.right - b.jaw.left"
            :height="b.y1 - b.y0"
            rx="4"
          />
          <rect
            v-if="b.half > 0"
            class="piece"
            :x="-b.half"
            :y="b.y0"
            :width="b.half * 2"
            :height="Math.max(3, b.y1 - b.y0)"
            :rx="b.round ? Math.min(b.half, (b.y1 - b.y0) / 2) : 1.5"
          />
          <rect
            v-if="b.grip > 0"
            class="piece"
            :x="-Math.max(b.half * 1.6, 9)"
            :y="b.y0 - b.grip"
            :width="2 * Math.max(b.half * 1.6, 9)"
            :height="b.grip"
            rx="6"
          />
        </template>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.chain-drawing {
  width: 100%;
  overflow: hidden;
}
svg {
  display: block;
}
.piece {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.pipe {
  fill: none;
  stroke-dasharray: 5 3;
}
.jaw {
  fill-opacity: 0.55;
}
.bolt {
  fill: var(--measured);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.floor {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.axis {
  stroke: var(--soft);
  stroke-width: 0.8;
  stroke-dasharray: 8 3 2 3;
}
</style>
