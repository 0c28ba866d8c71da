<script setup lang="ts">
/** A garage as a file; what one wrote for an emergency goes into it only where that is ticked. */
import { ref } from 'vue';
import { useOwnCard } from '../stores/ownCard';
import { writeGarage } from './exporting';

const emit = defineEmits<{ close: [] }>();
const own = useOwnCard();
const withCard = ref(false);
function write() {
  writeGarage(withCard.value);
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" aria-label="Export the garage" @update:model-value="emit('close')">
    <v-card class="dialog-card">
      <h1>Export the garage</h1>
      <p>All bikes, tools, trips and what you wrote down, as one file that Necessaire reads again.</p>
      <v-checkbox
        v-if="own.written()"
        v-model="withCard"
        label="With my details for an emergency: names, whom to call, blood group and allergies"
      />
      <p v-if="withCard" class="caution">Whoever gets the file can read them.</p>
      <p class="acts">
        <v-btn @click="write">Export</v-btn>
        <v-btn variant="tonal" @click="emit('close')">Cancel</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 10px;
  margin-top: 14px;
}
</style>
