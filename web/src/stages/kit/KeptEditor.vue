<script setup lang="ts">
/** A packing list by hand: pieces of the toolbox and spares, each with how many of it are carried. */
import LineField from '../../ui/LineField.vue';
import { computed, ref } from 'vue';
import { listOf, type KeptKit } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import * as texts from '../../words/kit/keptEditor';

const props = defineProps<{ kit: KeptKit | null }>();
const emit = defineEmits<{ keep: [kit: KeptKit]; close: [] }>();
const garage = useGarage();
const view = useView();
const name = ref(props.kit?.name ?? texts.whatICarryNow);
const asked = ref('');
const pieces = ref(new Map((props.kit?.pieces ?? []).map((p) => [p.pieceId, p.count])));
const supplies = ref(new Map((props.kit?.supplies ?? []).map((s) => [s.kind, s.quantity])));
const words = computed(() => asked.value.trim().toLowerCase());
const drawer = computed(() => (garage.doc?.pieces ?? []).filter((p) => p.name.toLowerCase().includes(words.value)));
const kinds = computed(() => garage.book.all.filter((s) => s.name.toLowerCase().includes(words.value)));
function put(map: Map<string, number>, key: string, n: number) {
  if (n > 0) map.set(key, n);
  else map.delete(key);
}
const mass = computed(
  () =>
    (garage.doc?.pieces ?? []).reduce((s, p) => s + p.mass * (pieces.value.get(p.id) ?? 0), 0) +
    garage.book.all.reduce((s, k) => s + k.mass * (supplies.value.get(k.kind) ?? 0), 0),
);
function keep() {
  const carried = (garage.doc?.pieces ?? []).flatMap((piece) => {
    const count = Math.min(pieces.value.get(piece.id) ?? 0, piece.count);
    return count > 0 ? [{ piece, count }] : [];
  });
  const stock = [...supplies.value].map(([kind, quantity]) => ({ kind, quantity }));
  emit(
    'keep',
    listOf(
      { pieces: carried, supplies: stock },
      {
        id: props.kit?.id ?? crypto.randomUUID(),
        name: name.value.trim() || texts.whatICarryNow,
        bikeId: garage.bike?.id ?? null,
        tripId: garage.trip?.id ?? null,
        made: new Date().toISOString(),
      },
      garage.book,
    ),
  );
}
</script>

<template>
  <form class="editor" :aria-label="texts.aPackingListByHand" @submit.prevent="keep">
    <div class="head">
      <LineField :label="texts.nameOfTheList" v-model="name" maxlength="120" />
      <LineField :label="texts.find" v-model="asked" kind="search" />
      <strong class="num">{{ massText(view.units, mass) }}</strong>
      <v-btn type="submit">{{ texts.save }}</v-btn>
      <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
    </div>
    <div class="things">
      <v-checkbox
        v-for="p in drawer"
        :key="p.id"
        class="thing"
        :model-value="(pieces.get(p.id) ?? 0) > 0"
        @update:model-value="put(pieces, p.id, $event === true ? p.count : 0)"
        ><template #label
          >{{ p.name }}<template v-if="p.count > 1"> ×{{ p.count }}</template></template
        ></v-checkbox
      >
      <LineField
        v-for="s in kinds"
        :key="s.kind"
        class="thing"
        :label="s.name"
        figures
        inputmode="numeric"
        :model-value="String(supplies.get(s.kind) ?? 0)"
        @change="
          put(
            supplies,
            s.kind,
            Math.min(400, Math.max(0, Math.round(Number(($event.target as HTMLInputElement).value) || 0))),
          )
        "
      />
    </div>
  </form>
</template>

<style scoped>
.editor {
  border: 2px solid var(--ink);
  padding: 10px 14px;
  margin: 10px 0;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}
.head .line-field {
  flex: 1 1 150px;
}
.things {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 0 14px;
  max-height: 340px;
  overflow-y: auto;
  margin-top: 10px;
}
.thing {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  font-size: 14px;
}
@media (max-width: 760px) {
  .thing {
    min-height: 44px;
  }
}
</style>
