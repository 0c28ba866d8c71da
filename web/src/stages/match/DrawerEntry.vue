<script setup lang="ts">
/** One line a piece, as people say it; or part of a name, to find it in the toolbox, in the catalogue or in a set. */
import { computed } from 'vue';
import { findModels, newPiece, readPiece, setModels, toolSets, type PieceModel, type ToolSet } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';

const asked = defineModel<string>({ required: true });
const garage = useGarage();
const view = useView();
const notice = useNotice();

const typed = computed(() => asked.value.trim());
const reading = computed(() => readPiece(asked.value));
const found = computed(() => (typed.value ? findModels(typed.value, 6) : []));
const sets = computed(() => {
  const words = typed.value.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const all = words[0] === 'set' || words[0] === 'sets';
  const rest = all ? words.slice(1) : words;
  if (!all && !typed.value.toLowerCase().includes('set')) return [];
  return toolSets()
    .filter((s) => rest.every((w) => s.name.toLowerCase().includes(w.replace(/s$/, ''))))
    .slice(0, 6);
});
/** What Enter would add, when the line is more than a name of the catalogue. */
const read = computed(() => (reading.value.ok ? reading.value : null));
const extra = computed(() => {
  const said = read.value?.said;
  if (!said) return '';
  return [
    said.count ? `×${said.count}` : '',
    said.price !== undefined ? `${said.price} €` : '',
    said.condition ?? '',
    said.quality ?? '',
    said.mark ? `${said.mark} in the kit` : '',
    said.kept ? `kept: ${said.kept}` : '',
    said.note ? 'note' : '',
  ]
    .filter(Boolean)
    .join(', ');
});

function add(model: PieceModel, said = {}) {
  garage.put(`add ${model.name}`, 'pieces', newPiece(model, { id: crypto.randomUUID(), ...said }));
  notice.say(`${model.name} is in the toolbox`);
  asked.value = '';
}
function addSet(set: ToolSet) {
  const pieces = setModels(set).map((m) => newPiece(m, { id: crypto.randomUUID(), set: set.name }));
  garage.edit(
    `add ${set.name}`,
    pieces.map((after) => ({ table: 'pieces' as const, id: after.id, before: null, after })),
  );
  notice.say(`${pieces.length} pieces of "${set.name}" are in the toolbox. Ctrl Z takes them out.`);
  asked.value = '';
}
function enter() {
  if (reading.value.ok) add(reading.value.model, reading.value.said);
  else if (typed.value) notice.say(reading.value.reason);
}
</script>

<template>
  <form class="find" @submit.prevent="enter">
    <span class="prompt" aria-hidden="true">›</span>
    <label class="hidden-label" for="piece">A piece in one line, or find one</label>
    <v-text-field
      id="piece"
      v-model="asked"
      variant="plain"
      class="line-entry"
      data-entry
      autocomplete="off"
      spellcheck="false"
      placeholder="socket 3/8 deep 14, ring 12/13, bit t30 x2 5g"
      :aria-invalid="typed !== '' && !reading.ok"
      aria-describedby="piece-says"
    />
    <v-btn variant="text" class="add" type="submit"><kbd class="key">Enter</kbd> add</v-btn>
  </form>
  <p id="piece-says" class="says" aria-live="polite">
    <template v-if="read"
      ><strong>{{ read.model.name }}</strong
      >, <span class="num">{{ massText(view.units, read.said.mass ?? read.model.mass) }}</span><template v-if="extra"
        >, {{ extra }}</template
      ></template
    >
    <span v-else-if="typed && !reading.ok" class="gap">{{ reading.reason }}</span>
    <span v-else class="soft"
      >kind and size; then <code>x2</code> <code>{{ view.units === 'inch' ? '3oz' : '86g' }}</code> <code>5€</code>
      <code>worn</code> <code>in garage</code>; or <code>set</code></span
    >
  </p>
  <template v-if="found.length > 0">
    <div class="sheet-head">
      <h2>Add from the catalogue</h2>
      <span class="soft">typical values</span>
    </div>
    <div v-for="m in found" :key="m.name" class="row piece-row">
      <span class="title">{{ m.name }}</span>
      <span class="num">{{ massText(view.units, m.mass) }}</span>
      <v-btn variant="tonal" :aria-label="`Add ${m.name}`" @click="add(m)">Add</v-btn>
    </div>
  </template>
  <template v-if="sets.length > 0">
    <div class="sheet-head"><h2>Sets</h2></div>
    <div v-for="s in sets" :key="s.name" class="row piece-row">
      <span
        ><span class="title">{{ s.name }}</span
        ><span class="sub">{{ s.holds.length }} pieces, about {{ s.price }} €</span></span
      >
      <span />
      <v-btn variant="tonal" :aria-label="`Add the set ${s.name}`" @click="addSet(s)">Add</v-btn>
    </div>
  </template>
</template>

<style scoped>
.find {
  display: flex;
  align-items: center;
  gap: 10px;
  border-bottom: 2px solid var(--ink);
  padding: 0 16px;
}
.prompt {
  color: var(--gap);
  font-size: 22px;
  font-weight: 600;
}
.find input {
  flex: 1;
  min-width: 0;
  height: 46px;
  border: 0;
  background: transparent;
  color: var(--ink);
  font-size: 15px;
  outline: none !important;
}
.find:focus-within {
  box-shadow: inset 4px 0 0 var(--ink);
}
.find input::placeholder {
  color: var(--soft);
  opacity: 1;
}
.add {
  font-family: var(--v-font-heading);
  font-size: 15px;
  white-space: nowrap;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.says {
  min-height: 32px;
  padding: 5px 16px;
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
}
code {
  font-family: var(--figures);
  font-size: 12.5px;
  white-space: nowrap;
}
.piece-row {
  grid-template-columns: minmax(0, 1fr) auto auto;
}
.piece-row .sub {
  display: block;
}
</style>
