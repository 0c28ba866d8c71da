<script setup lang="ts">
/** Search: one field for everything, with the answer beside each find. */
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { useEntries, type Found } from '../search/entries';
import { findEntries } from '../search/find';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import BikeDrawing from '../ui/BikeDrawing.vue';
import PlaceMarks from '../ui/places/PlaceMarks.vue';
import * as texts from '../words/shell/commandBox';

const view = useView();
const garage = useGarage();
const entries = useEntries();
const asked = ref('');
const at = ref(0);
const found = computed(() =>
  asked.value.trim() ? findEntries(entries.value, asked.value) : entries.value.slice(0, 12),
);
watch(asked, () => (at.value = 0));
/** Of what is chosen: its place, lit on the bike. */
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
/** Typing may begin at once: the field has the cursor before anything else is drawn. */
onMounted(async () => {
  const [ahead = '', ...rest] = view.typedAhead.split('\n');
  view.typedAhead = '';
  asked.value = ahead;
  await nextTick();
  if (rest.length > 0) run(found.value[0]);
  else document.getElementById('command')?.focus();
});
function close() {
  view.commandOpen = false;
}
function run(entry: Found | undefined) {
  if (!entry) return;
  close();
  entry.run();
}
</script>

<template>
  <v-dialog :aria-label="texts.search" :model-value="true" max-width="620" @update:model-value="close">
    <v-card class="box">
      <v-text-field
        id="command"
        v-model="asked"
        variant="plain"
        class="line-entry ask"
        autofocus
        :aria-label="texts.search"
        :placeholder="texts.flat12MmTailBag"
        autocomplete="off"
        aria-controls="commands"
        aria-autocomplete="list"
        :aria-activedescendant="`command-${at}`"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.enter.prevent="run(found[at])"
        @keydown.esc.stop="close"
      />
      <v-list id="commands" role="listbox" :aria-label="texts.found" class="found" tabindex="0">
        <v-list-item
          v-for="(c, i) in found"
          :id="`command-${i}`"
          :key="c.key"
          role="option"
          tabindex="-1"
          :active="i === at"
          :aria-selected="i === at"
          @click="run(c)"
          @mousemove="at = i"
        >
          <v-list-item-title
            >{{ c.name }} <small class="soft">{{ c.kind }}</small></v-list-item-title
          >
          <v-list-item-subtitle>{{ c.says }}</v-list-item-subtitle>
        </v-list-item>
        <v-list-item v-if="found.length === 0" role="option" aria-disabled="true" class="soft">
          {{ texts.noMatchTryAProblem }}
        </v-list-item>
      </v-list>
      <div v-if="lit && garage.bike" class="where" role="status">
        <p>
          <strong>{{ lit.place.name }}</strong> <span class="soft">{{ lit.place.tier }}</span>
        </p>
        <BikeDrawing :bike="garage.bike" class="bike" faint>
          <template #default="{ x, y, s, width, height }"
            ><PlaceMarks
              :marks="lit.marks"
              look="side"
              :x="x"
              :y="y"
              :s="s"
              :width="width"
              :height="height"
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
  padding: 4px 18px;
  border-bottom: 2px solid var(--ink);
}
.found {
  max-height: 52vh;
  overflow-y: auto;
  padding: 0;
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
.found :deep(.v-list-item--active) {
  background: var(--picked);
}
.found :deep(.v-list-item-subtitle) {
  color: var(--soft);
  opacity: 1;
}
</style>
