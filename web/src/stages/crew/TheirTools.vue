<script setup lang="ts">
/** What a companion owns and brings: typed as one says it, marked as always brought, or taken away. */
import { computed, ref } from 'vue';
import { itemsComplete, newPiece, newSupply, readItems, type Companion } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import LineField from '../../ui/LineField.vue';
import { counted, massText } from '../../ui/words';
import * as texts from '../../words/crew/theirTools';

const props = defineProps<{ of: Companion }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const line = ref('');
const all = ref(false);
const reading = computed(() => (line.value.trim() === '' ? null : readItems(line.value)));
const fault = computed(() => {
  const r = reading.value;
  if (!r || itemsComplete(r)) return null;
  return r.faults[0]?.message ?? r.asks[0]?.question ?? texts.sayWhichToolOrSpare;
});
const says = computed(() =>
  reading.value?.items
    .map((i) => (i.at === 'tool' ? i.tool.model.name : `${garage.book.of(i.spare.kind).name} ×${i.spare.quantity}`))
    .join(', '),
);
const name = () => props.of.person.name;
const write = (label: string, fields: Partial<Companion>) =>
  garage.put(label, 'companions', { ...props.of, ...fields });
function add() {
  const r = reading.value;
  if (!r || fault.value !== null || r.items.length === 0) return;
  const pieces = [...props.of.pieces];
  const supplies = [...props.of.supplies];
  for (const i of r.items)
    if (i.at === 'spare') supplies.push(newSupply({ id: crypto.randomUUID(), ...i.spare }));
    else pieces.push(newPiece(i.tool.model, { id: crypto.randomUUID(), ...i.tool.said }));
  if (!write(texts.owns(name(), says.value ?? ''), { pieces, supplies })) return;
  notice.done(`${texts.owns(name(), says.value ?? '')}.`);
  line.value = '';
}
const things = computed(() => [
  ...props.of.pieces.map((p) => ({
    id: p.id,
    name: p.name,
    count: p.count,
    mass: p.mass,
    always: p.mark === 'always',
  })),
  ...props.of.supplies.map((s) => {
    const of = garage.book.of(s.kind);
    return { id: s.id, name: of.name, count: s.quantity, mass: of.mass, always: s.mark === 'always' };
  }),
]);
const shown = computed(() => (all.value ? things.value : things.value.slice(0, 8)));
/** What somebody always brings is in every kit, and they carry it themselves. */
function always(id: string, on: boolean) {
  const mark = on ? ('always' as const) : null;
  write(texts.whatAlwaysBrings(name()), {
    pieces: props.of.pieces.map((p) => (p.id === id ? { ...p, mark } : p)),
    supplies: props.of.supplies.map((s) => (s.id === id ? { ...s, mark } : s)),
  });
}
const drop = (id: string) =>
  write(texts.whatOwns2(name()), {
    pieces: props.of.pieces.filter((p) => p.id !== id),
    supplies: props.of.supplies.filter((s) => s.id !== id),
  });
</script>

<template>
  <div class="theirs">
    <form @submit.prevent="add">
      <LineField
        v-model="line"
        :label="texts.whatOwns(name())"
        :placeholder="texts.n13CombinationSpannerHandPump"
        maxlength="300"
        :said="fault === null ? (says ?? null) : null"
        :fault="fault"
      />
      <p class="acts">
        <v-btn type="submit" variant="outlined" :disabled="!reading || fault !== null">{{ texts.add }}</v-btn>
      </p>
    </form>
    <ul v-if="things.length > 0">
      <li v-for="t in shown" :key="t.id">
        <span>{{ t.name }}{{ t.count > 1 ? ` ×${t.count}` : '' }}</span>
        <span class="num soft">{{ massText(view.units, t.mass * t.count) }}</span>
        <v-checkbox
          :label="texts.always"
          :aria-label="texts.alwaysBrings(name(), t.name)"
          density="compact"
          hide-details
          :model-value="t.always"
          @update:model-value="always(t.id, !!$event)"
        />
        <v-btn variant="text" :aria-label="texts.takeAway(t.name)" @click="drop(t.id)">{{ texts.deleteIt }}</v-btn>
      </li>
    </ul>
    <v-btn v-if="things.length > 8" variant="text" @click="all = !all">
      {{ all ? texts.showFewer : texts.showAll(counted(things.length, 'thing')) }}
    </v-btn>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  gap: 0 10px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
.acts {
  margin: 6px 0;
}
</style>
