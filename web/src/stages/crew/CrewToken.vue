<script setup lang="ts">
/** One thing that somebody carries: dragged to another rider, or handed on by its menu. */
import { computed, ref } from 'vue';
import type { CrewAnswer, CrewToken } from '@necessaire/core';
import { useView } from '../../stores/view';
import DropMenu from '../../ui/DropMenu.vue';
import { useDraggable } from '../../ui/places/dragging';
import { held, over } from '../../ui/places/held';
import { massText } from '../../ui/words';
import { whyText } from '../../words/crew';
import * as texts from '../../words/crew/crewToken';

const props = defineProps<{ token: CrewToken; by: number; answer: CrewAnswer; open: boolean }>();
const emit = defineEmits<{ give: [item: string, to: number | 'home' | null]; pick: [] }>();
const view = useView();
const row = ref<HTMLElement>();
const grip = ref<SVGElement>();
const key = () => `${props.by} ${props.token.item}`;
useDraggable(row, grip, key);
const name = computed(() => (props.token.count > 1 ? `${props.token.name} ×${props.token.count}` : props.token.name));
/** Whose it is, where it is not the carrier's own. */
const from = computed(() => {
  const others = props.token.of
    .filter((o) => o.member !== props.by)
    .map((o) => props.answer.names[o.member]?.name ?? '');
  return [
    others.length > 0 ? texts.from(others.join(', ')) : '',
    props.token.buy > 0 ? texts.toBuy : '',
    props.token.fixed ? texts.chosenByYou : '',
  ]
    .filter(Boolean)
    .join(' · ');
});
const others = computed(() => props.answer.names.flatMap((n, i) => (i === props.by ? [] : [{ name: n.name, i }])));
/** While the menu is gone through by keys the head line says what the change would do. */
function look(to: number | null) {
  held.value = to === null ? null : key();
  over.value = to === null ? null : String(to);
}
</script>

<template>
  <li
    ref="row"
    class="token"
    :class="{ held: held === key(), shared: token.buy > 0 || token.of.some((o) => o.member !== by) }"
  >
    <svg ref="grip" class="grip" viewBox="0 0 8 14" width="8" height="14" aria-hidden="true">
      <path d="M1 1v12M4 1v12M7 1v12" />
    </svg>
    <v-btn variant="text" class="title" :aria-expanded="open" @click="emit('pick')">
      <span
        >{{ name }}<span v-if="from" class="soft from">{{ from }}</span></span
      >
    </v-btn>
    <span class="num mass">{{ massText(view.units, token.mass) }}</span>
    <p v-if="open" class="why">{{ whyText(answer, token.why) }}</p>
    <div v-if="open" class="acts" @focusout="look(null)">
      <DropMenu :label="texts.giveItTo" quiet :hint="texts.whoCarriesIt" :name="texts.giveToSomebodyElse(name)">
        <v-list-item
          v-for="o in others"
          :key="o.i"
          role="menuitem"
          @focus="look(o.i)"
          @blur="look(null)"
          @click="emit('give', token.item, o.i)"
        >
          {{ o.name }}
        </v-list-item>
        <v-list-item role="menuitem" @click="emit('give', token.item, by)">{{ texts.itStaysHere }}</v-list-item>
        <v-list-item role="menuitem" @click="emit('give', token.item, 'home')">{{ texts.leaveItAtHome }}</v-list-item>
        <v-list-item v-if="token.fixed" role="menuitem" @click="emit('give', token.item, null)">
          {{ texts.chooseAutomatically }}
        </v-list-item>
      </DropMenu>
    </div>
  </li>
</template>

<style scoped>
.token {
  display: grid;
  grid-template-columns: 12px minmax(0, 1fr) auto;
  gap: 0 6px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  border-left: 4px solid var(--line);
  padding: 0 6px 0 4px;
  background: var(--sheet);
  cursor: grab;
}
.token.shared {
  border-left-color: var(--proven);
}
.token.held {
  background: var(--ink);
  color: var(--sheet);
}
.grip {
  touch-action: none;
  stroke: var(--line);
  fill: none;
}
.title {
  justify-content: flex-start;
  text-align: left;
  font-size: 14px;
  min-height: 34px;
  white-space: normal;
  line-height: 1.2;
  padding: 2px 0;
}
.from {
  font-size: 12.5px;
  margin-left: 5px;
}
.mass {
  font-size: 12.5px;
}
.why {
  grid-column: 2 / -1;
  font-size: 13px;
  line-height: 1.3;
  padding-bottom: 4px;
  color: var(--soft);
}
.acts {
  grid-column: 2 / -1;
  padding-bottom: 6px;
}
@media (max-width: 760px) {
  .title {
    min-height: 44px;
  }
  .grip {
    width: 20px;
    height: 24px;
  }
  .token {
    grid-template-columns: 24px minmax(0, 1fr) auto;
  }
}
</style>
