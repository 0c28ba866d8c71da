<script setup lang="ts">
/** Things with where they lie, place by place. */
import { computed } from 'vue';
import type { Lies } from '@necessaire/core';
import * as texts from '../../words/prove/liesList';

const props = defineProps<{ lies: readonly Lies[] }>();
const byPlace = computed(() => {
  const out = new Map<string, Lies[]>();
  for (const l of props.lies) out.set(l.place, [...(out.get(l.place) ?? []), l]);
  return [...out].map(([place, list]) => ({ place, list, missing: list.every((l) => l.placeId === null) }));
});
const where = (l: Lies) =>
  [l.slot !== null ? texts.slot(l.slot) : '', l.on ? texts.inIt(l.on) : ''].filter(Boolean).join(', ');
</script>

<template>
  <dl class="lies">
    <template v-for="p in byPlace" :key="p.place">
      <dt :class="{ gap: p.missing }">{{ p.place }}</dt>
      <dd>
        <span v-for="l in p.list" :key="l.key"
          >{{ l.name }}<small v-if="where(l)"> {{ where(l) }}</small></span
        >
      </dd>
    </template>
  </dl>
</template>

<style scoped>
.lies {
  display: grid;
  grid-template-columns: minmax(110px, auto) minmax(0, 1fr);
  gap: 4px 14px;
  margin: 6px 0;
  font-size: 15px;
}
dt {
  font-family: var(--v-font-heading);
  font-weight: 600;
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
small {
  color: var(--soft);
}
</style>
