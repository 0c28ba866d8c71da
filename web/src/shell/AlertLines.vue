<script setup lang="ts">
/** The lines of the alert bar. */
import { computed } from 'vue';
import { useGarage } from '../stores/garage';
import { loadNewer, newerWaits } from '../sync/offline';

defineProps<{ lines: readonly { key: string; text: string }[] }>();
const emit = defineEmits<{ close: [key: string]; tray: [] }>();
const garage = useGarage();
/** The tray's edit where it is the only one: its line says all. */
const only = computed(() => (garage.tray.length === 1 ? garage.tray[0]! : null));
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
      close-label="Close"
      role="alert"
      @click:close="emit('close', l.key)"
    >
      {{ l.text }}
    </v-alert>
    <v-alert v-if="newerWaits" class="alert" variant="tonal" density="compact" role="status">
      A new version of Necessaire is here. Nothing of yours is lost by loading it.
      <template #append
        ><v-btn variant="plain" @click="loadNewer">Load it</v-btn>
        <v-btn variant="plain" @click="newerWaits = false">Later</v-btn></template
      >
    </v-alert>
    <v-alert v-if="garage.tray.length > 0" class="alert" color="error" variant="flat" density="compact" role="alert">
      <template v-if="only"
        ><strong>{{ only.edit.label }}</strong> could not be saved: {{ only.fault.message }}. Everything else is
        saved.</template
      >
      <template v-else>{{ garage.tray.length }} edits could not be saved. Everything else is saved.</template>
      <template #append>
        <v-btn variant="plain" @click="emit('tray')">Show</v-btn>
        <v-btn v-if="only" variant="plain" @click="garage.retry(only.edit.id)">Retry</v-btn>
        <v-btn v-if="only" variant="plain" @click="garage.discard(only.edit.id)">Discard</v-btn>
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
