<script setup lang="ts">
/** A garage as a file; what one wrote for an emergency goes into it only where that is ticked. */
import { ref } from 'vue';
import { useOwnCard } from '../stores/ownCard';
import { writeGarage } from './exporting';
import * as texts from '../words/garages/exportDialog';

const emit = defineEmits<{ close: [] }>();
const own = useOwnCard();
const withCard = ref(false);
function write() {
  writeGarage(withCard.value);
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" :aria-label="texts.exportTheGarage" @update:model-value="emit('close')">
    <v-card class="dialog-card">
      <h1>{{ texts.exportTheGarage }}</h1>
      <p>{{ texts.allBikesToolsTripsAnd }}</p>
      <v-checkbox v-if="own.written()" v-model="withCard" :label="texts.withMyDetailsForAn" />
      <p v-if="withCard" class="caution">{{ texts.whoeverGetsTheFileCan }}</p>
      <p class="acts">
        <v-btn @click="write">{{ texts.export2 }}</v-btn>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
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
