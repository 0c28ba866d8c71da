<script setup lang="ts">
/** The open part of a DropMenu: loaded when a menu is first wanted. */
defineProps<{ hint: string; activator: HTMLElement }>();
const emit = defineEmits<{ left: []; shown: [list: HTMLElement] }>();
const open = defineModel<boolean>({ required: true });
</script>

<template>
  <v-menu v-model="open" :activator="activator" :open-on-click="false">
    <v-list
      :aria-label="hint"
      role="menu"
      @focusout="emit('left')"
      @vue:mounted="(node) => emit('shown', node.el as HTMLElement)"
    >
      <slot />
    </v-list>
  </v-menu>
</template>
