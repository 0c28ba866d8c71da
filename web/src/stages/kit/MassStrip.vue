<script setup lang="ts">
/** What adds weight: every piece and spare as an area in proportion to its mass, tools above spares. */
import { computed, ref } from 'vue';
import { hierarchy, treemap, treemapSquarify } from 'd3-hierarchy';
import type { KitPiece, KitSpare } from '@necessaire/core';
import { useView } from '../../stores/view';
import { useSize } from '../../ui/useSize';
import { massText } from '../../ui/words';
import * as texts from '../../words/kit/massStrip';

const props = defineProps<{ pieces: readonly KitPiece[]; spares: readonly KitSpare[]; picked: string | null }>();
const emit = defineEmits<{ pick: [id: string] }>();
const view = useView();
const element = ref<HTMLElement>();
const size = useSize(element);

interface Cell {
  key: string;
  name: string;
  mass: number;
  kind: 'function' | 'size' | 'spare';
  id: string | null;
}
interface Placed extends Cell {
  x: number;
  y: number;
  w: number;
  h: number;
}
const cells = computed<Cell[]>(() => [
  ...props.pieces.map((p): Cell => ({
    key: p.piece.id,
    id: p.piece.id,
    name: p.piece.name,
    mass: p.piece.mass * p.count,
    kind: p.needed.length > 0 ? 'size' : 'function',
  })),
  ...props.spares.map((s): Cell => ({ key: s.kind, id: null, name: s.name, mass: s.mass, kind: 'spare' })),
]);
const HEIGHT = computed(() => (size.width < 520 ? 220 : 300));

const placed = computed<Placed[]>(() => {
  const all = cells.value.filter((c) => c.mass > 0).sort((x, y) => y.mass - x.mass);
  const root = hierarchy<{ children: Cell[] } | Cell>({ children: all }).sum((d) => ('mass' in d ? d.mass : 0));
  const laid = treemap<{ children: Cell[] } | Cell>().size([size.width, HEIGHT.value]).tile(treemapSquarify.ratio(1.7))(
    root,
  );
  return laid
    .leaves()
    .flatMap((leaf) =>
      'mass' in leaf.data ? [{ ...leaf.data, x: leaf.x0, y: leaf.y0, w: leaf.x1 - leaf.x0, h: leaf.y1 - leaf.y0 }] : [],
    );
});
const fits = (c: Placed) => c.w > 44 && c.h > 34;
const short = (c: Placed) => {
  const most = Math.floor((c.w - 8) / 6.1);
  return c.name.length > most ? `${c.name.slice(0, Math.max(3, most - 1))}…` : c.name;
};
</script>

<template>
  <div ref="element" class="strip">
    <svg :width="size.width" :height="HEIGHT" role="group" :aria-label="texts.massOfEachItem">
      <g
        v-for="c in placed"
        :key="c.key"
        class="cell"
        :class="[c.kind, { on: c.id !== null && c.id === picked }]"
        :role="c.id ? 'button' : 'img'"
        :tabindex="c.id ? 0 : undefined"
        :aria-label="`${c.name}, ${massText(view.units, c.mass)}`"
        @click="c.id && emit('pick', c.id)"
        @keydown.enter="c.id && emit('pick', c.id)"
        @keydown.space.prevent="c.id && emit('pick', c.id)"
      >
        <title>{{ c.name }}, {{ massText(view.units, c.mass) }}</title>
        <rect :x="c.x + 1" :y="c.y + 1" :width="Math.max(1, c.w - 2)" :height="Math.max(1, c.h - 2)" />
        <template v-if="fits(c)">
          <text class="cell-name" :x="c.x + 6" :y="c.y + 17">{{ short(c) }}</text>
          <text class="cell-mass" :x="c.x + 6" :y="c.y + 32">{{ massText(view.units, c.mass) }}</text>
        </template>
      </g>
    </svg>
    <p class="soft note">
      <span class="key-box size" /> {{ texts.turnsHeadsThatNothingElse }} <span class="key-box function" />
      {{ texts.forWhatItDoes }} <span class="key-box spare" /> {{ texts.sparesAreaIsMassPress }}
    </p>
  </div>
</template>

<style scoped>
.strip {
  margin-top: 12px;
}
svg {
  display: block;
}
.cell {
  outline: none;
}
.cell[role='button'] {
  cursor: pointer;
}
rect {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1;
}
.size rect,
.key-box.size {
  stroke: var(--proven);
  border-color: var(--proven);
  stroke-width: 1.8;
}
.function rect,
.key-box.function {
  stroke: var(--measured);
  border-color: var(--measured);
  stroke-dasharray: 6 3;
  border-style: dashed;
  stroke-width: 1.8;
}
.spare rect,
.key-box.spare {
  fill: var(--hair);
  background: var(--hair);
  stroke: var(--line);
  border-color: var(--line);
}
.cell.on rect {
  fill: var(--ink);
  stroke: var(--ink);
}
.cell.on text {
  fill: var(--sheet);
}
.cell:focus-visible rect {
  stroke: var(--ink);
  stroke-width: 3;
  stroke-dasharray: none;
}
.cell-name {
  font-family: var(--v-font-heading);
  font-weight: 500;
  font-size: 14px;
  fill: var(--ink);
}
.cell-mass {
  font-family: var(--figures);
  font-size: 12px;
  font-weight: 500;
  fill: var(--ink);
}
.note {
  font-size: 13px;
  margin-top: 6px;
}
.key-box {
  display: inline-block;
  width: 13px;
  height: 10px;
  border: 2px solid;
  margin: 0 3px 0 6px;
  vertical-align: -1px;
}
</style>
