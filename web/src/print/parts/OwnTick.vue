<script setup lang="ts">
/** Whether the pocket card is printed with the details for an emergency that are written on this device. */
import { useOwnCard } from '../../stores/ownCard';

const own = useOwnCard();
</script>

<template>
  <v-checkbox v-if="own.written()" v-model="own.printed" label="With my details for an emergency" class="own-tick" />
</template>

<style scoped>
.own-tick {
  flex: 0 1 auto;
}
</style>
