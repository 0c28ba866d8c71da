<script setup lang="ts">
/** The open part of a DropMenu: loaded when a menu is first wanted. */
defineProps<{ hint: string; activator: HTMLElement }>();
const emit = defineEmits<{ left: [] }>();
const open = defineModel<boolean>({ required: true });
</script>

<template>
  <v-menu v-model="open" :activator="activator" :open-on-click="false">
    <v-list :aria-label="hint" role="menu" @focusout="emit('left')">
      <slot />
    </v-list>
  </v-menu>
</template>
