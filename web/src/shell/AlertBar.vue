<script setup lang="ts">
/** What went wrong and what to do about it: in the flow of the page, so that it covers nothing, and each line can be closed. */
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { loadNewer, nearlyFull, newerWaits, persisted } from '../sync/offline';

const TrayDialog = defineAsyncComponent(() => import('./TrayDialog.vue'));
const garage = useGarage();
const answers = useAnswer();
const closed = ref<string[]>([]);
const open = ref(false);
/** The tray's edit where it is the only one: its line says all. */
const only = computed(() => (garage.tray.length === 1 ? garage.tray[0]! : null));
const NOT_STORED =
  'This browser does not store what is not sent yet: leave this page open until all is saved, or free some space.';
const UNSURE =
  'This browser may clear what is not sent yet when it runs short of room. Add Necessaire to the home screen, or leave it open until all is sent.';
const FULL = 'Hardly any room is left in this browser: free some before you ride, or your changes may not be kept.';
const unsure = computed(() => persisted.value === false && garage.keeping === 'not kept');
const all = computed(() =>
  [
    { key: 'answer', text: answers.failed },
    { key: 'sending', text: garage.trouble && unsure.value ? `${garage.trouble} ${UNSURE}` : garage.trouble },
    { key: 'storing', text: garage.standing.stored ? null : NOT_STORED },
    { key: 'full', text: nearlyFull.value ? FULL : null },
  ].filter((l): l is { key: string; text: string } => l.text !== null),
);
const lines = computed(() => all.value.filter((l) => !closed.value.includes(l.key)));
// What has passed and comes again is said again.
watch(all, (now) => (closed.value = closed.value.filter((k) => now.some((l) => l.key === k))));
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
      @click:close="closed.push(l.key)"
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
        <v-btn variant="plain" @click="open = true">Show</v-btn>
        <v-btn v-if="only" variant="plain" @click="garage.retry(only.edit.id)">Retry</v-btn>
        <v-btn v-if="only" variant="plain" @click="garage.discard(only.edit.id)">Discard</v-btn>
      </template>
    </v-alert>
    <TrayDialog v-if="open" @close="open = false" />
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
