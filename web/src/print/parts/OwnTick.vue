<script setup lang="ts">
/** Whether the pocket card is printed with the details for an emergency that are written on this device. */
import { useOwnCard } from '../../stores/ownCard';
import * as texts from '../../words/print/parts/ownTick';

const own = useOwnCard();
</script>

<template>
  <v-checkbox v-if="own.written()" v-model="own.printed" :label="texts.withMyDetailsForAn" class="own-tick" />
</template>

<style scoped>
.own-tick {
  flex: 0 1 auto;
}
</style>
