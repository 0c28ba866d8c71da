<script setup lang="ts">
/** Which places there are, in one press each. Nothing is on a bike until its rider says so. */
import { computed } from 'vue';
import { placeLibrary, type Bike } from '@necessaire/core';

const props = defineProps<{ bike: Bike; label: string }>();
/** Names of the chosen places. */
const chosen = defineModel<string[]>({ required: true });
const names = computed(() => placeLibrary(props.bike).map((p) => p.name));
</script>

<template>
  <fieldset class="places">
    <legend>{{ label }}</legend>
    <v-chip-group v-model="chosen" multiple column :aria-label="label">
      <v-chip v-for="name in names" :key="name" :value="name" variant="outlined" filter label>{{ name }}</v-chip>
    </v-chip-group>
  </fieldset>
</template>

<style scoped>
.places {
  border: 0;
  border-top: 1px solid var(--hair);
  padding: 6px 0 0;
  margin: 0;
  min-width: 0;
}
legend {
  font-size: 13px;
  color: var(--soft);
  float: left;
  width: 100%;
}
.places :deep(.v-chip-group) {
  clear: both;
  padding: 2px 0;
}
</style>
