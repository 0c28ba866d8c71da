<script setup lang="ts">
/** A bike of the same kind from one that was measured: every row comes over as assumed. */
import LineField from '../../ui/LineField.vue';
import { ref } from 'vue';
import { copyBike, cut } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import * as texts from '../../words/walk/copyDialog';
import * as edits from '../../words/edits';

const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const name = ref(texts.second(garage.bike?.name ?? 'Bike'));

function copy() {
  const bike = garage.bike;
  if (!bike || !name.value.trim()) return;
  const made = copyBike(
    bike,
    garage.fasteners,
    cut(name.value.trim(), 120),
    () => crypto.randomUUID(),
    new Date().toISOString(),
  );
  const places = garage.places.map((p) => ({ ...p, id: crypto.randomUUID() as string, bikeId: made.bike.id }));
  garage.edit(edits.copy(bike.name), [
    { table: 'bikes', id: made.bike.id, before: null, after: made.bike },
    ...made.fasteners.map((after) => ({ table: 'fasteners' as const, id: after.id, before: null, after })),
    ...places.map((after) => ({ table: 'places' as const, id: after.id, before: null, after })),
  ]);
  view.bikeId = made.bike.id;
  view.fastenerId = null;
  notice.say(texts.rowsAllOnlyAssumedUntil(made.bike.name, made.fasteners.length));
  emit('close');
}
</script>

<template>
  <v-dialog :aria-label="texts.copyThisBike" :model-value="true" max-width="460" @update:model-value="emit('close')">
    <v-card class="dialog">
      <form @submit.prevent="copy">
        <h1>{{ texts.copy(garage.bike?.name) }}</h1>
        <p class="soft">
          {{ texts.itsRowsAndPlacesCome }}
        </p>
        <LineField :label="texts.name" v-model="name" maxlength="120" />
        <p class="acts">
          <v-btn type="submit">{{ texts.copy2 }}</v-btn>
          <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
        </p>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.dialog {
  padding: 18px 22px;
}
.acts {
  display: flex;
  gap: 12px;
  margin-top: 14px;
}
</style>
