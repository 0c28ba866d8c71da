<script setup lang="ts">
import { ref } from 'vue';
import { present, newBike, type Bike } from '@necessaire/core';
import { useNotice } from '../shell/notice';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import BikeForm from './BikeForm.vue';
import { bikeFaults } from './bikeFields';
import { newBikeRows } from './newRows';
import PlaceTicks from './PlaceTicks.vue';
import * as texts from '../words/garages/bikeDialog';
import * as edits from '../words/edits';

const props = defineProps<{ bike: Bike | null }>();
const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const draft = ref<Bike>(props.bike ? { ...props.bike } : newBike(crypto.randomUUID(), ''));
const tried = ref(false);
const placeNames = ref<string[]>([]);

function keep() {
  tried.value = true;
  if (Object.keys(bikeFaults(draft.value)).length > 0) return;
  const bike = { ...draft.value, name: draft.value.name.trim() };
  if (props.bike) garage.put(edits.change(bike.name), 'bikes', bike);
  else {
    garage.edit(edits.add(bike.name), newBikeRows(bike, placeNames.value));
    view.bikeId = bike.id;
  }
  emit('close');
}
function remove() {
  const bike = present(props.bike);
  const mine = <T extends { id: string; bikeId: string }>(rows: T[] | undefined) =>
    (rows ?? []).filter((r) => r.bikeId === bike.id);
  garage.remove(
    edits.remove(bike.name),
    ...mine(garage.doc?.pins).map((r) => ({ table: 'pins' as const, id: r.id })),
    ...mine(garage.doc?.places).map((r) => ({ table: 'places' as const, id: r.id })),
    ...mine(garage.doc?.fasteners).map((r) => ({ table: 'fasteners' as const, id: r.id })),
    { table: 'bikes', id: bike.id },
  );
  notice.done(texts.deletedWithAllThatHangs(bike.name));
  emit('close');
}
</script>

<template>
  <v-dialog
    :aria-label="bike ? texts.changeTheBike : texts.addABike"
    :model-value="true"
    max-width="560"
    @update:model-value="emit('close')"
  >
    <v-card class="dialog">
      <form @submit.prevent="keep">
        <h1>{{ bike ? texts.changeTheBike : texts.addABike }}</h1>
        <BikeForm v-model="draft" :tried="tried" :open="!!bike" />
        <PlaceTicks v-if="!bike" v-model="placeNames" :bike="draft" :label="texts.luggageAndStorageChooseWhat" />
        <p class="acts">
          <v-btn type="submit">{{ bike ? texts.save : texts.addBike }}</v-btn>
          <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
          <v-btn variant="tonal" v-if="bike" class="gap" @click="remove">{{ texts.deleteBike }}</v-btn>
        </p>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.dialog {
  padding: 18px 22px;
}
h1 {
  margin-bottom: 12px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 16px;
}
</style>
