<script setup lang="ts">
/** The lines of the alert bar. */
import { at } from '@necessaire/core';
import { computed } from 'vue';
import { useGarage } from '../stores/garage';
import { loadNewer, loadsNewer, newerWaits } from '../sync/offline';
import * as texts from '../words/shell/alertLines';

defineProps<{ lines: readonly { key: string; text: string }[] }>();
const emit = defineEmits<{ close: [key: string]; tray: [] }>();
const garage = useGarage();
/** The tray's edit where it is the only one: its line says all. */
const only = computed(() => (garage.tray.length === 1 ? at(garage.tray, 0) : null));
</script>

<template>
  <div class="alerts">
    <v-alert
      v-for="l in lines"
      :key="l.key"
      class="alert"
      color="error"
      variant="flat"
      density="compact"
      closable
      :close-label="texts.close"
      role="alert"
      @click:close="emit('close', l.key)"
    >
      {{ l.text }}
    </v-alert>
    <v-alert v-if="newerWaits" class="alert" variant="tonal" density="compact" role="status">
      {{ texts.aNewVersionOfNecessaire }}
      <template #append
        ><v-btn variant="plain" :loading="loadsNewer" @click="loadNewer">{{ texts.loadIt }}</v-btn>
        <v-btn variant="plain" @click="newerWaits = false">{{ texts.later }}</v-btn></template
      >
    </v-alert>
    <v-alert v-if="garage.tray.length > 0" class="alert" color="error" variant="flat" density="compact" role="alert">
      <template v-if="only"
        ><strong>{{ only.edit.label }}</strong> {{ texts.couldNotBeSavedEverything(only.fault.message) }}</template
      >
      <template v-else>{{ texts.editsCouldNotBeSaved(garage.tray.length) }}</template>
      <template #append>
        <v-btn variant="plain" @click="emit('tray')">{{ texts.show }}</v-btn>
        <v-btn v-if="only" variant="plain" @click="garage.retry(only.edit.id)">{{ texts.retry }}</v-btn>
        <v-btn v-if="only" variant="plain" @click="garage.discard(only.edit.id)">{{ texts.discard }}</v-btn>
      </template>
    </v-alert>
  </div>
</template>

<style scoped>
.alerts {
  max-height: 30vh;
  overflow-y: auto;
}
.alert {
  border-radius: 0;
  font-size: 14px;
}
</style>
