<script setup lang="ts">
/** Asks in a sentence of its own what a technical word means; the word says it when it is pressed. */
import type { Term } from '../words/terms';
import TermWord from './TermWord.vue';
import * as texts from '../words/ui/termQuestion';

defineProps<{ term: Term; label: string; several?: boolean }>();
</script>

<template>
  <p class="soft">
    {{ several ? texts.whatDoThese : texts.whatDoes }}{{ ' ' }}<TermWord :term="term" :label="label" />{{ ' '
    }}{{ texts.mean }}
  </p>
</template>
