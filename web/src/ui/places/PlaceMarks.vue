<script setup lang="ts">
/**
 * Places drawn on the bike where they are, as large as they are, filled as they are filled; the middle of the weight with the kit and without.
 * Unlocked, each mark is moved by finger, mouse or arrow keys.
 */
import { at as itemAt, present } from '@necessaire/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import type { At, Place } from '@necessaire/core';
import { dropTarget } from './dragging';
import { over } from './held';
import { apart, beside } from './labels';
import * as texts from '../../words/ui/places/placeMarks';

export interface Mark {
  place: Place;
  share: number;
  broken: boolean;
  picked: boolean;
  lit: boolean;
}
const props = defineProps<{
  marks: readonly Mark[];
  look: 'side' | 'behind';
  x: (mm: number) => number;
  y: (mm: number) => number;
  s: number;
  width: number;
  height: number;
  ridden: At | null;
  packed: At | null;
  movable: boolean;
  /** Whether places without a name on a small picture have a number, for a list beside it. */
  numbered?: boolean;
}>();
const emit = defineEmits<{
  pick: [id: string];
  drop: [key: string, to: string];
  shift: [id: string, at: At];
  settle: [];
}>();
const group = ref<SVGGElement>();
const CHAR = 6.6;
/** Between a line and the name that it leads to, px. */
const GAP = 5;
/** Half of what a handlebar is wide, mm. */
const HANDLEBAR = 400;
const across = (at: At) => (props.look === 'side' ? props.x(at.x) : props.x(at.y));
const boxes = computed(() => {
  const list = props.marks.map((m) => {
    const { at, inside, kind } = m.place;
    const along = props.look === 'side' ? inside.length : inside.width;
    // A roll lies rolled up across the bike.
    const [w, h] = kind === 'roll' ? (props.look === 'side' ? [130, 80] : [inside.length, 80]) : [along, inside.height];
    const wide = Math.max(20, w * props.s);
    const high = Math.max(13, h * props.s);
    return { ...m, wide, high, left: across(at) - wide / 2, top: props.y(at.z) - high / 2 };
  });
  const wanted = list.map((b) => ({
    x: b.left + b.wide / 2,
    y: b.top - 5,
    width: b.place.name.length * CHAR,
    mark: { left: b.left, right: b.left + b.wide, top: b.top, bottom: b.top + b.high },
  }));
  if (props.look === 'behind') {
    // From behind all lies one over another: the names stand in columns on both sides.
    const middle = props.x(0);
    const reach = Math.max(
      HANDLEBAR * props.s,
      ...wanted.flatMap(({ mark: m }) => [middle - m.left, m.right - middle]),
    );
    const labels = beside(wanted, { width: props.width, height: props.height }, middle, reach);
    return list.map((b, i) => {
      const { x, y, anchor, from, fits } = itemAt(labels, i);
      return {
        ...b,
        label: { x, y, anchor, fits, line: `M${from.x} ${from.y}L${x + (anchor === 'end' ? GAP : -GAP)} ${y - 5}` },
      };
    });
  }
  const labels = apart(wanted, props.width);
  return list.map((b, i) => {
    const { x, y, shifted } = itemAt(labels, i);
    const line = shifted ? `M${b.left + b.wide / 2} ${b.top}L${x} ${y + 3}` : null;
    return { ...b, label: { x, y, anchor: 'middle' as const, fits: props.s > 0.19, line } };
  });
});

/** A small picture names only what is asked for; from behind a name that has no room is a number in its column. */
const named = (m: Mark & { label: { fits: boolean } }) =>
  m.label.fits || (props.look === 'side' && (m.picked || m.lit));
/** Whether a line leads to what names the mark. */
const led = (m: Mark & { label: { fits: boolean } }) => named(m) || (props.look === 'behind' && props.numbered);

let cleanups: (() => void)[] = [];
function listen() {
  cleanups.forEach((c) => c());
  cleanups = [...(group.value?.querySelectorAll('[data-place-mark]') ?? [])].map((element) => {
    const id = present(element.getAttribute('data-place-mark'));
    return dropTarget(element, id, (key) => emit('drop', key, id));
  });
}
onMounted(listen);
watch(() => props.marks.map((m) => m.place.id).join(), listen, { flush: 'post' });
onBeforeUnmount(() => cleanups.forEach((c) => c()));

let grabbed: { id: string; x: number; y: number; at: At } | null = null;
function grab(event: PointerEvent, place: Place) {
  if (!props.movable) return;
  grabbed = { id: place.id, x: event.clientX, y: event.clientY, at: place.at };
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent) {
  if (!grabbed) return;
  const dx = Math.round((event.clientX - grabbed.x) / props.s);
  const dz = Math.round((grabbed.y - event.clientY) / props.s);
  // From behind, the bike's left is the picture's left.
  const at = props.look === 'side' ? { ...grabbed.at, x: grabbed.at.x + dx } : { ...grabbed.at, y: grabbed.at.y - dx };
  emit('shift', grabbed.id, { ...at, z: Math.max(0, grabbed.at.z + dz) });
}
function release() {
  if (grabbed) emit('settle');
  grabbed = null;
}
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
function nudge(event: KeyboardEvent, place: Place) {
  const step = STEPS[event.key];
  if (!props.movable || !step) return;
  event.preventDefault();
  const by = event.shiftKey ? 50 : 10;
  const { x, y, z } = place.at;
  const at = props.look === 'side' ? { x: x + step[0] * by, y, z } : { x, y: y - step[0] * by, z };
  emit('shift', place.id, { ...at, z: Math.max(0, z + step[1] * by) });
  emit('settle');
}
</script>

<template>
  <g ref="group">
    <!-- Lines lie under the boxes: they pass by those that are not theirs. -->
    <template v-for="b in boxes" :key="`line ${b.place.id}`">
      <path v-if="b.label.line && led(b)" class="leader" :d="b.label.line" />
    </template>
    <g
      v-for="(b, i) in boxes"
      :key="b.place.id"
      class="place-mark"
      :class="{ broken: b.broken, on: b.picked, lit: b.lit, over: over === b.place.id, movable }"
      role="button"
      tabindex="0"
      :data-place-mark="b.place.id"
      :aria-label="
        texts.full(
          b.place.name,
          Math.round(b.share * 100),
          (b.lit ? texts.hereItIs : '') + (movable ? texts.arrowKeysMoveIt : ''),
        )
      "
      :aria-pressed="b.picked"
      @click="emit('pick', b.place.id)"
      @keydown.enter="emit('pick', b.place.id)"
      @keydown.space.prevent="emit('pick', b.place.id)"
      @keydown="nudge($event, b.place)"
      @pointerdown="grab($event, b.place)"
      @pointermove="drag"
      @pointerup="release"
      @pointercancel="release"
    >
      <rect class="touch" :x="b.left - 8" :y="b.top - 8" :width="b.wide + 16" :height="b.high + 16" />
      <rect class="box" :x="b.left" :y="b.top" :width="b.wide" :height="b.high" />
      <rect
        class="level"
        :x="b.left + 1.5"
        :y="b.top + b.high * (1 - b.share) + 1.5"
        :width="b.wide - 3"
        :height="Math.max(0, b.high * b.share - 3)"
      />
      <text v-if="named(b)" :x="b.label.x" :y="b.label.y" :text-anchor="b.label.anchor">{{ b.place.name }}</text>
      <text v-else-if="numbered && look === 'behind'" :x="b.label.x" :y="b.label.y" :text-anchor="b.label.anchor">{{
        i + 1
      }}</text>
      <text v-else-if="numbered" :x="b.left + b.wide / 2" :y="b.top + b.high / 2 + 5" text-anchor="middle">{{
        i + 1
      }}</text>
    </g>
    <g v-if="ridden" class="centre before" :transform="`translate(${across(ridden)} ${y(ridden.z)})`"
      ><title>{{ texts.middleOfBikeAndRider }}</title><circle r="6" /><path d="M-6 0h12M0 -6v12"
    /></g>
    <g v-if="packed" class="centre" :transform="`translate(${across(packed)} ${y(packed.z)})`"
      ><title>{{ texts.middleOfAllPacked }}</title><circle r="9" /><path
        d="M0 0V-9A9 9 0 0 1 9 0zM0 0V9A9 9 0 0 1 -9 0z"
        class="quarter" /><path d="M-9 0h18M0 -9v18"
    /></g>
  </g>
</template>

<style scoped>
.place-mark {
  cursor: pointer;
  outline: none;
}
.movable {
  cursor: move;
  touch-action: none;
}
.touch {
  fill: transparent;
}
.box {
  fill: var(--sheet);
  fill-opacity: 0.82;
  stroke: var(--ink);
  stroke-width: 1.8;
}
.level {
  fill: var(--measured);
  opacity: 0.55;
}
.movable .box {
  stroke-dasharray: 5 3;
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
.lit .box {
  fill: var(--assumed);
  fill-opacity: 0.9;
  stroke-width: 3.6;
}
.on text,
.lit text {
  text-decoration: underline;
  text-decoration-thickness: 2px;
}
.leader {
  stroke: var(--ink);
  stroke-width: 0.8;
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
  pointer-events: none;
}
.centre circle {
  fill: var(--sheet);
}
.centre .quarter {
  fill: var(--ink);
  stroke: none;
}
.before {
  opacity: 0.65;
  stroke-width: 1.4;
}
</style>
