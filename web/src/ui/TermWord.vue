<script setup lang="ts">
/** A technical word that says what it means when it is pressed. */
import { TERMS, type Term } from '../words/terms';
import * as texts from '../words/ui/termWord';

defineProps<{ term: Term; label: string }>();
</script>

<template>
  <v-menu :close-on-content-click="true" max-width="320">
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" variant="text" class="term" :aria-label="texts.whatDoesItMean(label)">{{ label }}</v-btn>
    </template>
    <v-card class="says" role="note">{{ TERMS[term] }}</v-card>
  </v-menu>
</template>

<style scoped>
.term {
  display: inline;
  border-bottom: 1px dotted currentcolor;
}
.says {
  padding: 10px 14px;
  font-size: 14px;
  line-height: 1.4;
  border-color: var(--ink);
}
</style>
