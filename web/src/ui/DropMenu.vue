<script setup lang="ts">
/** A word that opens a short menu of list items. */
defineProps<{ label: string; hint: string; quiet?: boolean; name?: string }>();
</script>

<template>
  <v-menu>
    <template #activator="{ props: opens }">
      <v-btn v-bind="opens" variant="text" class="word" :class="{ quiet }" :aria-label="name" :title="hint">
        {{ label }}
      </v-btn>
    </template>
    <v-list :aria-label="hint" role="menu">
      <slot />
    </v-list>
  </v-menu>
</template>

<style scoped>
.word {
  color: var(--ink);
  font-weight: 600;
  border-bottom: 2px solid var(--line);
  line-height: 1.2;
}
.word.quiet {
  font-weight: 500;
  font-size: 14px;
}
@media (max-width: 760px) {
  .word {
    min-height: 30px;
  }
}
</style>
