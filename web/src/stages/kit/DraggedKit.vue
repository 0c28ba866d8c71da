<script setup lang="ts">
/** The kit of the limit that is dragged, in short: it follows the finger. */
import { computed } from 'vue';
import { troublesIn, type CurvePoint } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import { timeText } from './hours';
import * as texts from '../../words/kit/draggedKit';

const props = defineProps<{
  point: CurvePoint;
  /** By problem, else by item. */
  troubles: boolean;
}>();
const garage = useGarage();
const view = useView();
const dragged = computed(() => {
  const p = props.point;
  const piece = (id: string) => garage.doc?.pieces.find((x) => x.id === id);
  const all = garage.doc ? troublesIn(garage.doc) : [];
  return {
    tools: p.pieces
      .map(([id, n]) => ({ name: piece(id)?.name ?? texts.toBuy, n, mass: (piece(id)?.mass ?? 0) * n }))
      .sort((a, b) => b.mass - a.mass),
    spares: p.supplies.map(([kind, n]) => ({
      name: garage.book.of(kind).name,
      n,
      mass: garage.book.of(kind).mass * n,
    })),
    mends: [...p.mends]
      .sort((a, b) => b.hours - a.hours)
      .map((m) => ({ ...m, name: all.find((t) => t.id === m.troubleId)?.name ?? m.troubleId })),
  };
});
</script>

<template>
  <div class="sheet-head">
    <h2>{{ texts.withThisLimit }}</h2>
    <span class="num">{{ massText(view.units, point.mass) }}</span>
  </div>
  <template v-if="troubles">
    <div v-for="m in dragged.mends" :key="m.troubleId" class="row line">
      <span
        ><span class="title">{{ m.name }}</span
        ><span class="sub">{{ m.way }}</span></span
      >
      <span class="num good">{{ timeText(m.hours) }}</span>
    </div>
  </template>
  <template v-else>
    <div v-for="t in [...dragged.tools, ...dragged.spares]" :key="t.name" class="row line">
      <span class="title"
        >{{ t.name }}<span v-if="t.n > 1" class="num soft"> ×{{ t.n }}</span></span
      >
      <span class="num">{{ massText(view.units, t.mass) }}</span>
    </div>
  </template>
</template>
