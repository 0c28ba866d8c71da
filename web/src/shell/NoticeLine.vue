<script setup lang="ts">
/** One short line over the page that says what just happened, with Undo where it can be undone. */
import { computed, ref, watch } from 'vue';
import { useGarage } from '../stores/garage';
import { useNotice } from './notice';
import * as texts from '../words/shell/noticeLine';

const notice = useNotice();
const garage = useGarage();
/** The garage as it was when the line was said: what was edited since is not taken back by it. */
const saidAt = ref(garage.version);
watch(
  () => notice.said,
  () => (saidAt.value = garage.version),
);
const canUndo = computed(() => notice.undoable && saidAt.value === garage.version);
</script>

<template>
  <v-snackbar class="notice" :model-value="notice.text !== ''" :timeout="-1" :text="notice.text">
    <template v-if="canUndo" #actions>
      <v-btn class="undo" variant="text" @click="notice.undone(garage.undo(), false)">{{ texts.undo }}</v-btn>
    </template>
  </v-snackbar>
</template>
