<script setup lang="ts">
/** The drawer: pieces owned, and generic ones to add from the catalogue by typing part of their name. */
import { computed, ref } from 'vue';
import { catalogue, newPiece, type Piece, type PieceModel } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NumberField from '../../ui/NumberField.vue';
import { massText } from '../../ui/words';
import ScaleStrip from './ScaleStrip.vue';

const garage = useGarage();
const view = useView();
const notice = useNotice();
const asked = ref('');
const offered = catalogue();

const plain = (text: string) =>
  text.toLowerCase().replaceAll('¼', '1/4').replaceAll('½', '1/2').replaceAll('⅜', '3/8').replaceAll('⁄', '/');
const words = computed(() => plain(asked.value).split(/\s+/).filter(Boolean));
const matches = (name: string) => words.value.every((w) => plain(name).includes(w));
const found = computed(() => (words.value.length > 0 ? offered.filter((m) => matches(m.name)).slice(0, 8) : []));
const owned = computed(() => (garage.doc?.pieces ?? []).filter((p) => words.value.length === 0 || matches(p.name)));
const picked = computed(() => garage.doc?.pieces.find((p) => p.id === view.pieceId) ?? null);

function add(model: PieceModel) {
  garage.put(`add ${model.name}`, 'pieces', newPiece(model, { id: crypto.randomUUID() }));
  notice.say(`${model.name} is in the drawer`);
  asked.value = '';
}
const change = (p: Piece, label: string, fields: Partial<Piece>) => garage.put(label, 'pieces', { ...p, ...fields });
function remove(p: Piece) {
  garage.remove(`take out ${p.name}`, { table: 'pieces', id: p.id });
  notice.say(`${p.name} taken out of the drawer. Ctrl Z brings it back.`);
  view.pieceId = null;
}
const markOf = (text: string): Piece['mark'] => (text === 'always' || text === 'never' ? text : null);
</script>

<template>
  <div>
    <form class="find" @submit.prevent="found[0] && add(found[0])">
      <label class="hidden-label" for="piece">Find in the drawer, or add from the catalogue</label>
      <input
        id="piece"
        v-model="asked"
        data-entry
        class="num"
        autocomplete="off"
        spellcheck="false"
        placeholder="socket 3/8 14, bit t30, adjustable 250"
      />
    </form>
    <template v-if="found.length > 0">
      <div class="sheet-head">
        <h2>Add from the catalogue</h2>
        <span class="soft">planning values</span>
      </div>
      <div v-for="m in found" :key="m.name" class="row piece-row">
        <span class="title">{{ m.name }}</span>
        <span class="num">{{ massText(view.units, m.mass) }}</span>
        <button class="tool-button quiet" :aria-label="`Add ${m.name}`" @click="add(m)">Add</button>
      </div>
    </template>
    <div class="sheet-head">
      <h2>In the drawer</h2>
      <span class="num soft">{{ owned.length }}</span>
    </div>
    <p v-if="(garage.doc?.pieces.length ?? 0) === 0" class="empty">
      The drawer is empty. Type what you own above, such as <code class="num">combination 13</code>.
    </p>
    <template v-for="p in owned" :key="p.id">
      <button
        class="plain row piece-row"
        :class="{ picked: p.id === view.pieceId }"
        :aria-expanded="p.id === view.pieceId"
        @click="view.pieceId = p.id === view.pieceId ? null : p.id"
      >
        <span
          ><span class="title"
            >{{ p.name }}<span v-if="p.count > 1" class="soft num"> ×{{ p.count }}</span></span
          >
          <span v-if="p.note || p.mark || p.kind === 'home-made'" class="sub">{{
            [p.kind === 'home-made' ? 'home-made' : '', p.mark ? `${p.mark} in the kit` : '', p.note]
              .filter(Boolean)
              .join(' · ')
          }}</span></span
        >
        <span class="num">{{ massText(view.units, p.mass) }}</span>
      </button>
      <div v-if="picked && p.id === picked.id" class="detail">
        <NumberField
          label="Mass"
          quantity="mass"
          :model-value="p.mass"
          @update:model-value="change(p, `weigh ${p.name}`, { mass: $event, source: 'user', weighed: false })"
        />
        <NumberField
          label="How many"
          :min="1"
          :max="200"
          :model-value="p.count"
          @update:model-value="change(p, `count ${p.name}`, { count: Math.round($event) })"
        />
        <label
          ><span class="small">In the kit</span
          ><select
            class="field"
            :value="p.mark ?? ''"
            @change="change(p, `mark ${p.name}`, { mark: markOf(($event.target as HTMLSelectElement).value) })"
          >
            <option value="">if it earns its place</option>
            <option value="always">always</option>
            <option value="never">never</option>
          </select></label
        >
        <button class="tool-button quiet gap" @click="remove(p)">Take out</button>
        <p class="soft small">Figures: {{ p.source }}{{ p.weighed ? ', mass from the scale' : '' }}</p>
        <ScaleStrip :piece="p" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.find {
  border-bottom: 1px solid var(--line);
  padding: 0 16px;
}
.find input {
  width: 100%;
  height: 46px;
  border: 0;
  background: transparent;
  color: var(--ink);
  font-size: 15px;
}
.find input::placeholder {
  color: var(--soft);
  opacity: 1;
}
.piece-row {
  grid-template-columns: minmax(0, 1fr) auto auto;
  width: 100%;
}
.piece-row .sub {
  display: block;
}
.piece-row:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.picked {
  background: var(--picked);
}
.detail {
  display: grid;
  grid-template-columns: 1fr 1fr 1.4fr;
  gap: 8px 12px;
  padding: 10px 16px 14px;
  border-bottom: 1px solid var(--line);
  background: var(--picked);
  align-items: end;
}
.small {
  font-size: 13px;
  color: var(--soft);
  display: block;
}
</style>
