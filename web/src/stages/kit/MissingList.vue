<script setup lang="ts">
/** What of the kit is to buy. */
import { computed } from 'vue';
import type { KitPiece, KitSpare } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useMoney } from '../../ui/useMoney';
import * as texts from '../../words/kit/missingList';
import * as edits from '../../words/edits';

const props = defineProps<{ pieces: readonly KitPiece[]; spares: readonly KitSpare[] }>();
const { money } = useMoney();
const garage = useGarage();
const price = computed(
  () =>
    props.pieces.reduce((s, p) => s + p.piece.price * p.count, 0) +
    props.spares.reduce((s, x) => s + garage.book.of(x.kind).price * x.buy, 0),
);
/** What is offered and owned already goes into the toolbox; the rest of the offer stays. */
function own(p: KitPiece) {
  const { doc } = garage;
  if (!doc) return;
  const after = { ...p.piece, id: crypto.randomUUID() as string, count: p.count };
  const practice = { ...doc.garage.practice, from: 'toolbox-first' as const };
  garage.edit(
    edits.own(p.piece.name),
    [{ table: 'pieces', id: after.id, before: null, after }],
    doc.garage.practice.from === 'toolbox' ? { ...doc.garage, practice } : undefined,
  );
}
</script>

<template>
  <div class="sheet-head">
    <h2>{{ texts.toBuy }}</h2>
    <span class="num">{{ money(price) }}</span>
  </div>
  <p v-if="pieces.length + spares.length === 0" class="empty">{{ texts.allOfItIsIn }}</p>
  <div v-for="p in pieces" :key="p.piece.id" class="row line">
    <span class="title"
      >{{ p.piece.name }}<span v-if="p.count > 1" class="num soft"> ×{{ p.count }}</span></span
    >
    <span class="num"
      >{{ money(p.piece.price * p.count) }}
      <v-btn variant="plain" class="own" :aria-label="texts.iOwn(p.piece.name)" @click="own(p)">{{
        texts.iOwnIt
      }}</v-btn></span
    >
  </div>
  <div v-for="s in spares" :key="s.kind" class="row line">
    <span class="title"
      >{{ s.name }}<span class="num soft"> ×{{ s.buy }}</span></span
    >
    <span class="num">{{ money(garage.book.of(s.kind).price * s.buy, 1) }}</span>
  </div>
  <p class="note">
    {{ texts.pricesAreTypicalValues }} <router-link to="/match">{{ texts.match }}</router-link>
    {{ texts.weighsSingleToolsAgainstSets }}
  </p>
</template>

<style scoped>
.note {
  padding: 12px 16px;
  color: var(--soft);
  font-size: 14px;
}
</style>
