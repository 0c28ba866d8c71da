<script setup lang="ts">
/** A page of paper under its bar; what stands on it comes from the slot, once it is worked out. */
import './paper.css';
import * as texts from '../words/print/paperPage';

defineProps<{ title: string; says: string; ready: boolean; size: 'large' | 'middle' }>();
const print = () => window.print();
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" :aria-label="texts.print">
      <v-btn variant="tonal" to="/prove?tab=paper">{{ texts.back }}</v-btn><v-btn @click="print">{{
        texts.print
      }}</v-btn>
      <slot name="ask" />
    </nav>
    <main v-if="ready" class="paper" :class="size">
      <header>
        <h1>{{ title }}</h1>
        <p>{{ says }}</p>
      </header>
      <slot />
    </main>
    <p v-else class="empty">{{ texts.workingOutTheKit }}</p>
  </div>
</template>
