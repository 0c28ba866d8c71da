<script setup lang="ts">
/** What went wrong and what to do about it: in the flow of the page, so that it covers nothing, and each line can be closed. */
import { computed, ref, watch } from 'vue';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';

const garage = useGarage();
const answers = useAnswer();
const closed = ref<string[]>([]);
watch(
  () => answers.failed,
  (now) => {
    if (now === null) closed.value = closed.value.filter((k) => k !== 'answer');
  },
);
const lines = computed(() =>
  [
    { key: 'answer', text: answers.failed },
    { key: 'sending', text: garage.keeping === 'not kept' ? garage.trouble : null },
  ].filter((l): l is { key: string; text: string } => l.text !== null && !closed.value.includes(l.key)),
);
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
    <v-alert
      v-for="(r, i) in garage.refused"
      :key="`refused ${i}`"
      class="alert"
      color="error"
      variant="flat"
      density="compact"
      role="alert"
    >
      <strong>{{ r.label }}</strong> could not be saved: {{ r.why }}. Everything else is saved.
      <template #append>
        <v-btn v-if="r.fastenerId" variant="text" size="small" :to="'/walk'" @click="garage.openRefused(i)">Open</v-btn>
        <v-btn variant="text" size="small" @click="garage.retryRefused(i)">Retry</v-btn>
        <v-btn variant="text" size="small" @click="garage.dropRefused(i)">Discard</v-btn>
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
