<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Place, Stowed } from '@necessaire/core';
import { useView } from '../../stores/view';
import DropMenu from '../../ui/DropMenu.vue';
import { massText } from '../../ui/words';
import { useDraggable } from '../../ui/places/dragging';
import { held, over } from '../../ui/places/held';
import * as texts from '../../words/stow/stowRow';

const props = defineProps<{ stowed: Stowed; places: readonly Place[]; pinned: boolean }>();
const emit = defineEmits<{ move: [key: string, to: string | null]; pick: [key: string]; split: [key: string] }>();
const view = useView();
const row = ref<HTMLElement>();
const grip = ref<SVGElement>();
const key = () => props.stowed.item.key;
const isPart = computed(() => key().includes(' part '));
/** A packet of several that is not split yet. */
const divisible = computed(
  () => key().startsWith('supply ') && !isPart.value && / ×\d+$/u.test(props.stowed.item.name),
);
useDraggable(row, grip, key);
/** What whoever packs it has to do with it. */
const care = computed(() => {
  const has = (t: Stowed['item']['traits'][number]) => props.stowed.item.traits.includes(t);
  const { on } = props.stowed;
  const tied = props.places.find((p) => p.id === props.stowed.placeId)?.kind === 'tie-on';
  return [
    on ? `${on.how === 'wound' ? texts.woundRound : 'inside'} ${on.name}` : '',
    props.stowed.slot !== null && !on ? texts.slot(props.stowed.slot + 1) : '',
    has('leaks') ? texts.inAZipBagOf : '',
    has('upright') ? texts.upright : '',
    has('pierced easily') && has('soft') ? texts.dustedWithTalcWrapped : '',
    tied ? texts.checkTheTieEachEvening : '',
    props.pinned ? texts.putHereByYou : '',
  ]
    .filter(Boolean)
    .join(' · ');
});
/** While the menu is gone through by keys, load and drawing show what the move would do. */
function look(to: string | null) {
  held.value = to ? key() : null;
  over.value = to;
}
</script>

<template>
  <div
    ref="row"
    role="listitem"
    class="row stow-row"
    :class="{
      held: held === stowed.item.key,
      found: view.itemKey === stowed.item.key,
      broken: stowed.faulty,
      guest: stowed.on,
    }"
    :data-item="stowed.item.key"
  >
    <svg ref="grip" class="grip" viewBox="0 0 8 14" width="8" height="14" aria-hidden="true">
      <path d="M1 1v12M4 1v12M7 1v12" />
    </svg>
    <v-btn
      variant="text"
      class="title"
      :aria-pressed="view.itemKey === stowed.item.key"
      @click="emit('pick', stowed.item.key)"
    >
      {{ stowed.item.name }}<span v-if="care" class="soft care"> {{ care }}</span>
    </v-btn>
    <span class="num soft">{{ massText(view.units, stowed.item.mass) }}</span>
    <DropMenu
      :label="texts.move"
      quiet
      :hint="texts.moveItTo"
      :name="texts.move2(stowed.item.name)"
      class="to"
      @left="look(null)"
    >
      <v-list-item
        v-for="p in places.filter((x) => x.id !== stowed.placeId)"
        :key="p.id"
        role="menuitem"
        @focus="look(p.id)"
        @click="emit('move', stowed.item.key, p.id)"
      >
        {{ p.name }}
      </v-list-item>
      <v-list-item v-if="pinned" role="menuitem" @click="emit('move', stowed.item.key, null)">
        {{ isPart ? texts.putItBackWithThe : texts.placeAutomatically }}
      </v-list-item>
      <v-list-item v-if="divisible" role="menuitem" @click="emit('split', stowed.item.key)">{{
        texts.splitItInTwo
      }}</v-list-item>
    </DropMenu>
  </div>
</template>

<style scoped>
.stow-row {
  grid-template-columns: 12px minmax(0, 1fr) auto auto;
  min-height: 36px;
  padding-top: 1px;
  padding-bottom: 1px;
  cursor: grab;
}
.title {
  font-size: 14.5px;
  cursor: pointer;
}
.guest .title {
  padding-left: 10px;
}
.care {
  font-size: 12.5px;
  margin-left: 8px;
}
.grip {
  touch-action: none;
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
@media (max-width: 760px), (pointer: coarse) {
  .stow-row {
    min-height: 46px;
    grid-template-columns: 44px minmax(0, 1fr) auto auto;
    padding-left: 2px;
  }
  .grip {
    width: 44px;
    height: 44px;
    padding: 15px 18px;
    box-sizing: border-box;
  }
  .stow-row :deep(.to) {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
