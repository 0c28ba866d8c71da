<script setup lang="ts">
/** What was chosen in Road: a search, a repair or the review; with what it is called. */
import { computed, watch } from 'vue';
import type { FaultTree } from '@necessaire/core';
import { useProof } from '../../stores/proof';
import MendPanel from './MendPanel.vue';
import ReviewPanel from './ReviewPanel.vue';
import SeekPanel from './SeekPanel.vue';
import WaitingPart from '../../ui/WaitingPart.vue';
import * as texts from '../../words/road/roadWork';

const props = defineProps<{ tree: FaultTree | null; mend: string | null }>();
const emit = defineEmits<{ mend: [trouble: string] }>();
/** What it is called, for the head of the stage. */
const title = defineModel<string>('title', { required: true });
const proof = useProof();
const trouble = computed(() => proof.made?.troubles.find((t) => t.id === props.mend) ?? null);
watch(
  [trouble, () => props.tree],
  () => (title.value = trouble.value?.name ?? props.tree?.symptom ?? texts.howDidItGo),
  { immediate: true },
);
</script>

<template>
  <WaitingPart v-if="!proof.made" of="rows" :says="texts.workingOutTheKit" />
  <MendPanel v-else-if="trouble" :key="trouble.id" :trouble="trouble" :of="proof.made" />
  <SeekPanel v-else-if="tree" :key="tree.id" :tree="tree" :of="proof.made" @mend="emit('mend', $event)" />
  <p v-else-if="mend !== null" class="empty">{{ texts.thisBikeCannotHaveThat }}</p>
  <ReviewPanel v-else :key="`${proof.made.bike.id} ${proof.made.trip?.id}`" :of="proof.made" />
</template>
