<script setup lang="ts">
/** Places drawn on the bike where they are, as large as they are, filled as they are filled; the kit's middle as a cross. */
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import type { Place } from '@necessaire/core';

const props = defineProps<{
  fill: readonly { place: Place; share: number; over: boolean; picked: boolean }[];
  x: (mm: number) => number;
  y: (mm: number) => number;
  s: number;
  centre: { x: number; y: number; z: number } | null;
}>();
const emit = defineEmits<{ pick: [id: string]; drop: [key: string, to: string] }>();
const group = ref<SVGGElement>();
const hovered = ref<string | null>(null);
const boxes = computed(() =>
  props.fill.map((f) => {
    const { at, inside, kind } = f.place;
    // Seen from the side: length along the bike, height upwards; a roll lies flat.
    const w = Math.max(26, inside.length * props.s * (kind === 'roll' ? 1.2 : 1));
    const h = Math.max(13, inside.height * props.s);
    return { ...f, w, h, left: props.x(at.x) - w / 2, top: props.y(at.z) - h / 2 };
  }),
);
let stop: (() => void) | undefined;
onMounted(() => {
  const cleanups = [...(group.value?.querySelectorAll('[data-place-mark]') ?? [])].map((element) =>
    dropTargetForElements({
      element,
      onDragEnter: () => (hovered.value = element.getAttribute('data-place-mark')),
      onDragLeave: () => (hovered.value = null),
      onDrop: ({ source }) => {
        hovered.value = null;
        const key = source.data['item'];
        const id = element.getAttribute('data-place-mark');
        if (typeof key === 'string' && id) emit('drop', key, id);
      },
    }),
  );
  stop = () => cleanups.forEach((c) => c());
});
onBeforeUnmount(() => stop?.());
</script>

<template>
  <g ref="group">
    <g
      v-for="b in boxes"
      :key="b.place.id"
      class="place-mark"
      :class="{ broken: b.over, on: b.picked, over: hovered === b.place.id }"
      role="button"
      tabindex="0"
      :data-place-mark="b.place.id"
      :aria-label="`${b.place.name}, ${Math.round(b.share * 100)} % full`"
      :aria-pressed="b.picked"
      @click="emit('pick', b.place.id)"
      @keydown.enter="emit('pick', b.place.id)"
      @keydown.space.prevent="emit('pick', b.place.id)"
    >
      <rect class="box" :x="b.left" :y="b.top" :width="b.w" :height="b.h" />
      <rect
        class="level"
        :x="b.left + 1.5"
        :y="b.top + b.h * (1 - b.share) + 1.5"
        :width="b.w - 3"
        :height="Math.max(0, b.h * b.share - 3)"
      />
      <text v-if="s > 0.25 || b.picked" :x="b.left + b.w / 2" :y="b.top - 5" text-anchor="middle">{{
        b.place.name
      }}</text>
    </g>
    <g v-if="centre" class="centre" :transform="`translate(${x(centre.x)} ${y(centre.z)})`"
      ><circle r="8" /><path d="M-8 0h16M0 -8v16"
    /></g>
  </g>
</template>

<style scoped>
.place-mark {
  cursor: pointer;
  outline: none;
}
.box {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.level {
  fill: var(--measured);
  opacity: 0.55;
}
.broken .box {
  stroke: var(--gap);
  stroke-width: 3;
}
.over .box {
  fill: var(--picked);
  stroke-width: 3.6;
  stroke-dasharray: 6 3;
}
.on .box,
.place-mark:focus-visible .box {
  stroke-width: 3.6;
}
.on text {
  text-decoration: underline;
}
text {
  font-family: var(--v-font-heading);
  font-weight: 600;
  font-size: 14px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 4;
  stroke-linejoin: round;
}
.centre {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.centre circle {
  fill: var(--sheet);
}
</style>
