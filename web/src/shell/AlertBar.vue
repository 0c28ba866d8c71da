<script setup lang="ts">
/** What went wrong and what to do about it: in the flow of the page, so that it covers nothing, and each line can be closed. */
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { nearlyFull, newerWaits, persisted } from '../sync/offline';
import * as texts from '../words/shell/alertBar';

const TrayDialog = defineAsyncComponent(() => import('./TrayDialog.vue'));
const AlertLines = defineAsyncComponent(() => import('./AlertLines.vue'));
const garage = useGarage();
const answers = useAnswer();
const closed = ref<string[]>([]);
/** Whether the tray is looked at: it stays until it is closed, also once nothing is left in it. */
const open = ref(false);
const NOT_STORED = texts.thisBrowserDoesNotStore;
const UNSURE = texts.thisBrowserMayClearWhat;
const FULL = texts.hardlyAnyRoomIsLeft;
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
  <div>
    <AlertLines
      v-if="lines.length > 0 || newerWaits || garage.tray.length > 0"
      :lines="lines"
      @close="closed.push($event)"
      @tray="open = true"
    />
    <TrayDialog v-if="open" @close="open = false" />
  </div>
</template>
