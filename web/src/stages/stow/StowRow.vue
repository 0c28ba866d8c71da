<script setup lang="ts">
import { ref } from 'vue';
import type { Place, Stowed } from '@necessaire/core';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import { useDraggable } from './dragging';

const props = defineProps<{ stowed: Stowed; places: readonly Place[]; pinned: boolean }>();
const emit = defineEmits<{ move: [key: string, to: string | null] }>();
const view = useView();
const row = ref<HTMLElement>();
const held = useDraggable(row, () => props.stowed.item.key);
const moved = (event: Event) => emit('move', props.stowed.item.key, (event.target as HTMLSelectElement).value || null);
</script>

<template>
  <div
    ref="row"
    class="row stow-row"
    :class="{ held, found: view.itemKey === stowed.item.key, broken: stowed.broken.length > 0 }"
    :data-item="stowed.item.key"
  >
    <svg class="grip" viewBox="0 0 8 14" width="8" height="14" aria-hidden="true">
      <path d="M1 1v12M4 1v12M7 1v12" />
    </svg>
    <span class="title">{{ stowed.item.name }}<span v-if="pinned" class="soft pin"> put here by you</span></span>
    <span class="num soft">{{ massText(view.units, stowed.item.mass) }}</span>
    <select
      class="field to"
      :aria-label="`Move ${stowed.item.name}`"
      :value="pinned ? stowed.placeId : ''"
      @change="moved"
    >
      <option value="">{{ pinned ? 'let the rules choose' : 'move …' }}</option>
      <option v-for="p in places" :key="p.id" :value="p.id">{{ p.name }}</option>
    </select>
  </div>
</template>

<style scoped>
.stow-row {
  grid-template-columns: 10px minmax(0, 1fr) auto 92px;
  min-height: 36px;
  padding-top: 1px;
  padding-bottom: 1px;
  cursor: grab;
}
.title {
  font-size: 14.5px;
}
.pin {
  font-size: 12.5px;
}
.grip path {
  stroke: var(--line);
  stroke-width: 1.4;
}
.held {
  opacity: 0.45;
}
.found {
  background: var(--picked);
  box-shadow: inset 4px 0 0 var(--ink);
}
.broken .title {
  color: var(--gap);
}
.to {
  min-height: 30px;
  padding: 2px 4px;
  font-size: 13px;
  border-color: transparent;
}
.to:hover,
.to:focus {
  border-color: var(--line);
}
@media (max-width: 760px) {
  .to {
    min-height: 44px;
  }
}
</style>
