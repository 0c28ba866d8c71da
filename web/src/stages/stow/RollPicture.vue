<script setup lang="ts">
/** The roll laid open at true scale: each slot with its piece's outline from its measures, and its label. */
import { computed, ref } from 'vue';
import {
  present,
  figure,
  rollLayout,
  rollSvg,
  unitOf,
  type Packing,
  type Place,
  type RollSlot,
} from '@necessaire/core';
import { useView } from '../../stores/view';
import { download, fileName } from '../../ui/download';
import { massText } from '../../ui/words';
import { useSize } from '../../ui/useSize';
import * as texts from '../../words/stow/rollPicture';

const props = defineProps<{ place: Place; packing: Packing }>();
const emit = defineEmits<{ pick: [key: string] }>();
const view = useView();
const element = ref<HTMLElement>();
const size = useSize(element);
const roll = computed(() => present(rollLayout(props.place, props.packing)));
/** px a mm; a phone scrolls sideways rather than making slots too small to read. */
const s = computed(() => Math.max(0.72, Math.min(1.4, (size.width - 4) / roll.value.width)));
const ratio = computed(() => 3.78 / s.value);
/** Where a label that runs upwards begins: over the piece where there is cloth enough, else on it. mm from the top. */
const LETTER = 5.6;
const upFrom = (slot: RollSlot) => {
  const top = present(slot.piece).y - 6;
  return slot.label.length * LETTER < top - roll.value.top ? top : roll.value.height - 26;
};
const save = () => download(fileName(`${props.place.name} 1 to 1`, 'svg'), rollSvg(roll.value), 'image/svg+xml');
</script>

<template>
  <div class="roll">
    <div class="head">
      <h2>
        {{ place.name }}, <span class="num">1 : {{ ratio.toFixed(1) }}</span>
      </h2>
      <span class="soft num">{{
        texts.ofSlotsOpen(
          roll.taken,
          roll.slots.length,
          massText(view.units, roll.mass),
          figure(view.units, 'length', roll.width),
          figure(view.units, 'length', roll.height),
          unitOf(view.units, 'length'),
        )
      }}</span>
      <span class="acts"
        ><v-btn variant="plain" :to="`/print/roll/${place.id}`">{{ texts.printAt11With }}</v-btn>
        <v-btn variant="plain" @click="save">{{ texts.svg }}</v-btn></span
      >
    </div>
    <p v-if="roll.over" class="gap">
      {{
        texts.theSlotsTakeWithHems(
          figure(view.units, 'length', roll.width),
          unitOf(view.units, 'length'),
          figure(view.units, 'length', place.inside.width),
        )
      }}
    </p>
    <div ref="element" class="cloth" tabindex="0" role="group" :aria-label="texts.slotBySlot(place.name)">
      <svg
        :width="roll.width * s"
        :height="roll.height * s"
        :viewBox="`0 0 ${roll.width} ${roll.height}`"
        role="list"
        :aria-label="texts.slotsOf(place.name)"
      >
        <rect class="hem" x="0.5" y="0.5" :width="roll.width - 1" :height="roll.height - 1" />
        <g
          v-for="slot in roll.slots"
          :key="slot.index"
          role="listitem"
          :aria-label="texts.slot(slot.index + 1, slot.piece?.name ?? texts.empty)"
        >
          <path
            class="slot"
            :class="{ free: !slot.piece }"
            :d="`M${slot.x} ${roll.height - 22 - slot.length}V${roll.height - 22}H${slot.x + slot.width}V${roll.height - 22 - slot.length}`"
          />
          <g
            v-if="slot.piece"
            class="piece"
            :class="{ lit: view.itemKey === slot.piece.key }"
            :transform="`translate(${slot.piece.x} ${slot.piece.y})`"
            @click="emit('pick', slot.piece.key)"
          >
            <title>{{ [slot.piece.name, ...slot.with].join(', with ') }}</title>
            <rect class="touch" :x="slot.x - slot.piece.x" y="0" :width="slot.width" :height="slot.piece.length" />
            <path :d="slot.piece.d" fill-rule="evenodd" />
          </g>
          <text
            v-if="slot.label.length * 6 <= slot.width"
            :x="slot.x + slot.width / 2"
            :y="roll.height - 8"
            text-anchor="middle"
          >
            {{ slot.label }}
          </text>
          <text
            v-else-if="slot.label"
            class="up"
            :transform="`translate(${slot.x + slot.width / 2 + 4} ${upFrom(slot)}) rotate(-90)`"
          >
            {{ slot.label }}
          </text>
        </g>
      </svg>
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: baseline;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.acts {
  display: inline-flex;
  gap: 14px;
  margin-left: auto;
}
.cloth {
  overflow-x: auto;
  padding: 6px 0 2px;
}
svg {
  display: block;
}
.hem {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.slot {
  fill: var(--ground);
  stroke: var(--line);
  stroke-width: 1;
  stroke-dasharray: 4 3;
}
.slot.free {
  fill: none;
}
.piece {
  cursor: pointer;
}
.piece path {
  fill: var(--hair);
  stroke: var(--ink);
  stroke-width: 1.1;
  stroke-linejoin: round;
}
.piece:hover path,
.piece.lit path {
  fill: var(--assumed);
}
.touch {
  fill: transparent;
}
text {
  font-family: var(--figures);
  font-size: 10px;
  fill: var(--ink);
}
.up {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3;
  stroke-linejoin: round;
  font-size: 10px;
}
@media (max-width: 760px) {
  .acts .v-btn--variant-plain {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
