<script setup lang="ts">
/** One rider, several bikes: what always comes along, what each bike adds, and what to move when changing bikes. */
import SelectField from '../../ui/SelectField.vue';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Carried, ManyBikes } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import * as texts from '../../words/match/bikesSheet';

const garage = useGarage();
const answers = useAnswer();
const view = useView();
const many = shallowRef<ManyBikes | null>(null);
watch(
  () => [garage.version, garage.trip?.id] as const,
  async () => {
    const doc = garage.doc;
    if (!doc) return;
    const made = await answers.ask((w) => w.manyBikes(doc, garage.trip?.id ?? null));
    if (made && garage.doc === doc) many.value = made;
  },
  { immediate: true },
);
const from = ref('');
const to = ref('');
const names = computed(() => many.value?.bikes.map((b) => b.bike.name) ?? []);
watch(names, (list) => {
  if (!list.includes(from.value)) from.value = garage.bike?.name ?? list[0] ?? '';
  if (!list.includes(to.value)) to.value = list.find((n) => n !== from.value) ?? '';
});
const move = computed(() => many.value?.moves.find((m) => m.from === from.value && m.to === to.value) ?? null);
const words = (list: Carried[]) =>
  list.map((c) => (c.count > 1 ? `${c.piece.name} ×${c.count}` : c.piece.name)).join(', ');
</script>

<template>
  <div>
    <p v-if="!many" class="empty">{{ texts.calculating }}</p>
    <p v-else-if="many.bikes.length < 2" class="empty">{{ texts.thereIsOneBikeHere }}</p>
    <template v-else>
      <div class="sheet-head">
        <h2>{{ texts.alwaysWithYou }}</h2>
        <span class="num">{{ massText(view.units, many.coreMass) }}</span>
      </div>
      <p class="list">{{ words(many.core) || texts.nothingIsInTheSet }}</p>
      <template v-for="b in many.bikes" :key="b.bike.id">
        <div class="sheet-head">
          <h2>{{ texts.adds(b.bike.name) }}</h2>
          <span class="num">{{ massText(view.units, b.extraMass) }}</span>
        </div>
        <p class="list">
          {{ words(b.extra) || texts.nothing }}
          <span class="soft">{{ texts.inAll(massText(view.units, b.mass), b.proven ? texts.proven : '') }}</span>
        </p>
      </template>
      <div class="sheet-head">
        <h2>{{ texts.changingBikes }}</h2>
      </div>
      <p class="pair">
        {{ texts.from }}
        <SelectField hide-label :label="texts.from2" :items="names" v-model="from" />
        {{ texts.to }}
        <SelectField hide-label :label="texts.to2" :items="names" v-model="to" />
      </p>
      <p v-if="!move" class="list soft">{{ texts.chooseTwoBikes }}</p>
      <template v-else>
        <p class="list">
          <strong>{{ texts.leaveAtHome }}</strong> {{ words(move.takeOut) || texts.nothing2 }}.
        </p>
        <p class="list">
          <strong>{{ texts.putIn }}</strong> {{ words(move.putIn) || texts.nothing2 }}.
        </p>
      </template>
      <div class="sheet-head">
        <h2>{{ texts.oneSetForAllNothing }}</h2>
        <span class="num">{{ massText(view.units, many.oneMass) }}</span>
      </div>
      <p class="list">{{ words(many.one) }}</p>
    </template>
  </div>
</template>

<style scoped>
.list {
  padding: 6px 16px 8px;
  font-size: 14.5px;
  line-height: 1.35;
}
.pair {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 8px 16px;
}
</style>
