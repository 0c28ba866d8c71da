<script setup lang="ts">
import { ref } from 'vue';
import type { Place, Stowed } from '@necessaire/core';
import { useView } from '../../stores/view';
import DropMenu from '../../ui/DropMenu.vue';
import { massText } from '../../ui/words';
import { useDraggable } from './dragging';

const props = defineProps<{ stowed: Stowed; places: readonly Place[]; pinned: boolean }>();
const emit = defineEmits<{ move: [key: string, to: string | null] }>();
const view = useView();
const row = ref<HTMLElement>();
const held = useDraggable(row, () => props.stowed.item.key);
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
    <DropMenu label="move" quiet hint="Move it to" :name="`Move ${stowed.item.name}`" class="to">
      <button
        v-for="p in places.filter((x) => x.id !== stowed.placeId)"
        :key="p.id"
        role="menuitem"
        @click="emit('move', stowed.item.key, p.id)"
      >
        {{ p.name }}
      </button>
      <button v-if="pinned" role="menuitem" @click="emit('move', stowed.item.key, null)">Let the rules choose</button>
    </DropMenu>
  </div>
</template>

<style scoped>
.stow-row {
  grid-template-columns: 10px minmax(0, 1fr) auto auto;
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
@media (max-width: 760px) {
  .stow-row {
    min-height: 46px;
  }
  .to :deep(.word) {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
