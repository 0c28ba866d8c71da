<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { printShape, type Stowed } from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { api } from '../api/client';
import BikeDrawing from '../ui/BikeDrawing.vue';
import PlaceMarks from '../ui/places/PlaceMarks.vue';
import { useNotice } from './notice';
import { useStages } from './stages';

interface Command {
  name: string;
  hint: string;
  run: () => void;
  /** The place that a piece lies in: shown on the bike while the piece is under the cursor. */
  placeId?: string | null;
}
const router = useRouter();
const view = useView();
const garage = useGarage();
const answers = useAnswer();
const notice = useNotice();
const stages = useStages();
const asked = ref('');
const at = ref(0);
const box = ref<HTMLInputElement>();

const placeName = (id: string | null) => garage.places.find((p) => p.id === id)?.name ?? 'loose';
const whereIs = (s: Stowed) =>
  [
    placeName(s.placeId),
    s.on ? `${s.on.how === 'wound' ? 'round' : 'inside'} ${s.on.name}` : s.slot !== null ? `slot ${s.slot + 1}` : '',
  ]
    .filter(Boolean)
    .join(', ');

const all = computed<Command[]>(() => [
  ...stages.value.map((s) => ({ name: `Go to ${s.name}`, hint: s.live, run: () => void router.push(s.path) })),
  { name: 'Print the list', hint: 'one page by place', run: () => void router.push('/print') },
  { name: 'Undo', hint: garage.undoStack.at(-1)?.label ?? 'nothing', run: () => notice.undone(garage.undo(), false) },
  { name: 'Redo', hint: garage.redoStack.at(-1)?.label ?? 'nothing', run: () => notice.undone(garage.redo(), true) },
  {
    name: view.theme === 'dark' ? 'Light theme' : 'Dark theme',
    hint: 'how it looks',
    run: () => (view.theme = view.theme === 'dark' ? 'light' : 'dark'),
  },
  {
    name: view.units === 'metric' ? 'Inch units' : 'Metric units',
    hint: 'how it is shown',
    run: () => (view.units = view.units === 'metric' ? 'inch' : 'metric'),
  },
  { name: 'Export the garage', hint: 'a file', run: () => location.assign(api.fileUrl(view.garageId ?? '')) },
  ...(garage.doc?.bikes ?? []).map((b) => ({
    name: `Bike: ${b.name}`,
    hint: 'choose',
    run: () => (view.bikeId = b.id),
  })),
  ...(answers.answer?.packing.stowed ?? []).map((s) => ({
    name: s.item.name,
    hint: `where: ${whereIs(s)}`,
    placeId: s.placeId,
    run: () => {
      view.itemKey = s.item.key;
      void router.push('/stow');
    },
  })),
  ...garage.fasteners.map((f) => ({
    name: f.name,
    hint: printShape(f.head),
    run: () => {
      view.fastenerId = f.id;
      void router.push('/match');
    },
  })),
]);

const found = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean);
  return all.value.filter((c) => words.every((w) => `${c.name} ${c.hint}`.toLowerCase().includes(w))).slice(0, 12);
});
watch(asked, () => (at.value = 0));
/** Of the piece under the cursor: its place, lit on the bike. */
const lit = computed(() => {
  const placeId = asked.value.trim() ? found.value[at.value]?.placeId : null;
  const place = garage.places.find((p) => p.id === placeId);
  if (!place) return null;
  return { place, marks: [{ place, share: 0, broken: false, picked: false, lit: true }] };
});

async function move(by: number) {
  at.value = Math.min(Math.max(0, at.value + by), found.value.length - 1);
  await nextTick();
  document.getElementById(`command-${at.value}`)?.scrollIntoView({ block: 'nearest' });
}
function close() {
  view.commandOpen = false;
}
function run(command: Command | undefined) {
  if (!command) return;
  close();
  command.run();
}
onMounted(() => nextTick(() => box.value?.focus()));
</script>

<template>
  <v-dialog aria-label="Find or do" :model-value="true" max-width="560" @update:model-value="close">
    <v-card class="box">
      <label class="hidden-label" for="command">Find or do</label>
      <input
        id="command"
        ref="box"
        v-model="asked"
        class="ask num"
        placeholder="Search or run a command"
        autocomplete="off"
        role="combobox"
        aria-expanded="true"
        aria-controls="commands"
        aria-autocomplete="list"
        :aria-activedescendant="`command-${at}`"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.enter.prevent="run(found[at])"
        @keydown.esc.stop="close"
      />
      <ul id="commands" role="listbox" aria-label="Commands">
        <li
          v-for="(c, i) in found"
          :id="`command-${i}`"
          :key="`${c.name} ${i}`"
          role="option"
          :aria-selected="i === at"
          @click="run(c)"
          @mousemove="at = i"
        >
          <span>{{ c.name }}</span><span class="soft">{{ c.hint }}</span>
        </li>
        <li v-if="found.length === 0" role="option" aria-selected="false" aria-disabled="true" class="soft">
          No match. Try a stage, bike, fastener or tool
        </li>
      </ul>
      <div v-if="lit && garage.bike" class="where" role="status">
        <p>
          <strong>{{ lit.place.name }}</strong> <span class="soft">{{ lit.place.tier }}</span>
        </p>
        <BikeDrawing :bike="garage.bike" class="bike" faint>
          <template #default="{ x, y, s, width }"
            ><PlaceMarks
              :marks="lit.marks"
              look="side"
              :x="x"
              :y="y"
              :s="s"
              :width="width"
              :ridden="null"
              :packed="null"
              :movable="false"
          /></template>
        </BikeDrawing>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.ask {
  font-size: 18px;
  padding: 14px 18px;
  border: 0;
  border-bottom: 2px solid var(--ink);
  width: 100%;
  box-sizing: border-box;
  background: transparent;
  color: var(--ink);
  outline: none;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 52vh;
  overflow-y: auto;
}
.where {
  border-top: 2px solid var(--ink);
  padding: 8px 18px 10px;
}
.where p {
  font-size: 17px;
}
.bike {
  height: 210px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 10px 18px;
  min-height: 44px;
  cursor: pointer;
  font-size: 15px;
}
li[aria-selected='true'] {
  background: var(--picked);
}
</style>
