<script setup lang="ts">
/** Who leans on whom: an arc from each rider to those whose things and skill their bike needs, as wide as the hours that hang on it. */
import { computed } from 'vue';
import type { CrewAnswer } from '@necessaire/core';
import * as texts from '../../words/crew/leanPicture';

const props = defineProps<{ answer: CrewAnswer; leaning: readonly (readonly number[])[] }>();
const [WIDTH, HEIGHT, R] = [400, 210, 19];
/** Hours below which nobody leans. */
const LEAST = 0.005;
const people = computed(() => props.answer.names.flatMap((n, i) => (n.bike ? [{ name: n.name, i }] : [])));
const spot = (i: number) => {
  const n = people.value.length;
  const angle = Math.PI - (Math.PI * (i + 0.5)) / n;
  return { x: WIDTH / 2 + (WIDTH / 2 - 40) * Math.cos(angle), y: HEIGHT - 46 - (HEIGHT - 84) * Math.sin(angle) };
};
const rows = computed(() =>
  people.value
    .flatMap((a) => people.value.map((b) => ({ a, b, hours: props.leaning[a.i]?.[b.i] ?? 0 })))
    .filter((r) => r.hours >= LEAST)
    .sort((x, y) => y.hours - x.hours),
);
const most = computed(() => Math.max(...rows.value.map((r) => r.hours), 0.01));
const path = (a: number, b: number) => {
  const [p, q] = [spot(a), spot(b)];
  const [mx, my] = [(p.x + q.x) / 2, (p.y + q.y) / 2];
  // Each direction bends its own way, so that two arcs between the same two lie apart.
  const bend = 0.22;
  return `M${p.x} ${p.y}Q${mx + (q.y - p.y) * bend} ${my - (q.x - p.x) * bend} ${q.x} ${q.y}`;
};
</script>

<template>
  <div v-if="rows.length > 0">
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="lean" role="img" :aria-label="texts.whoLeansOnWhomThe">
      <path
        v-for="r in rows"
        :key="`${r.a.i} ${r.b.i}`"
        :d="path(r.a.i, r.b.i)"
        :stroke-width="1 + (7 * r.hours) / most"
        :class="{ strong: r.hours > most / 2 }"
      />
      <g v-for="p in people" :key="p.i">
        <circle :cx="spot(p.i).x" :cy="spot(p.i).y" :r="R" />
        <text :x="spot(p.i).x" :y="spot(p.i).y + R + 14" text-anchor="middle">{{ p.name }}</text>
        <text :x="spot(p.i).x" :y="spot(p.i).y + 5" text-anchor="middle" class="letter">{{ p.name.slice(0, 1) }}</text>
      </g>
    </svg>
    <v-table class="lean-table" density="compact">
      <thead>
        <tr>
          <th scope="col">{{ texts.whoseBike }}</th>
          <th scope="col">{{ texts.leansOn }}</th>
          <th scope="col">{{ texts.hours }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="`${r.a.i} ${r.b.i}`">
          <td>{{ r.a.name }}</td>
          <td>{{ r.b.name }}</td>
          <td class="num">{{ r.hours.toFixed(2) }}</td>
        </tr>
      </tbody>
    </v-table>
  </div>
  <p v-else class="soft">{{ texts.nobodysBikeNeedsWhatAnother }}</p>
</template>

<style scoped>
.lean {
  width: 100%;
  max-width: 440px;
  display: block;
}
path {
  fill: none;
  stroke: var(--assumed);
  opacity: 0.75;
}
path.strong {
  stroke: var(--gap);
}
circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.6;
}
text {
  font-size: 13px;
  fill: var(--ink);
  font-family: var(--v-font-heading);
}
.letter {
  font-weight: 600;
  font-size: 16px;
}
.lean-table {
  background: transparent;
}
</style>
