<script setup lang="ts">
/** Places to add: one of the usual ones, one of another bike's, or an own one. */
import { computed } from 'vue';
import { at, newPlace, placeLibrary, type Bike, type Place } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import DropMenu from '../../ui/DropMenu.vue';
import * as texts from '../../words/stow/addPlace';
import * as edits from '../../words/edits';

const props = defineProps<{ bike: Bike }>();
const emit = defineEmits<{ added: [id: string] }>();
const garage = useGarage();
const library = computed(() => {
  const has = new Set(garage.places.map((p) => p.name));
  return placeLibrary(props.bike).filter((p) => !has.has(p.name));
});
const others = computed(() =>
  (garage.doc?.bikes ?? [])
    .filter((b) => b.id !== props.bike.id)
    .map((b) => ({ bike: b, places: (garage.doc?.places ?? []).filter((p) => p.bikeId === b.id) }))
    .filter((o) => o.places.length > 0),
);
function add(...models: Omit<Place, 'id' | 'bikeId'>[]) {
  const rows = models.map((m): Place => ({ ...m, id: crypto.randomUUID(), bikeId: props.bike.id }));
  if (rows.length === 0) return;
  garage.put(rows.length === 1 ? edits.add(at(rows, 0).name) : texts.addPlaces(rows.length), 'places', ...rows);
  if (rows.length === 1) emit('added', at(rows, 0).id);
}
/** What the other bike has and this one has not, by name. */
function copy(places: readonly Place[]) {
  const has = new Set(garage.places.map((p) => p.name));
  add(...places.filter((p) => !has.has(p.name)).map(({ id: _id, bikeId: _bike, ...rest }) => rest));
}
</script>

<template>
  <DropMenu :label="texts.addAPlace" :hint="texts.fromTheUsualPlacesAnother" :name="texts.addAPlace">
    <v-list-item role="menuitem" @click="add(newPlace('', bike))">{{ texts.yourOwnMeasureIt }}</v-list-item>
    <v-list-item v-for="p in library" :key="p.name" role="menuitem" @click="add(p)">{{ p.name }}</v-list-item>
    <v-list-item v-for="o in others" :key="o.bike.id" role="menuitem" @click="copy(o.places)">
      {{ texts.allOf(o.bike.name) }}
    </v-list-item>
  </DropMenu>
</template>
