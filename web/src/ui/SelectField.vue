<script setup lang="ts" generic="T extends string | number | null | undefined">
/** A choice of one under its label. */
import { useId } from 'vue';

type Item = T | { title: string; value: T };
defineOptions({ inheritAttrs: false });
defineProps<{ label: string; items: readonly Item[]; hideLabel?: boolean }>();
/** A list longer than this is searched by typing. */
const LONG = 12;
const value = defineModel<T>({ required: true });
const id = useId();
</script>

<template>
  <div class="line-field" :class="$attrs['class']">
    <label :for="id" :class="{ 'hidden-label': hideLabel }">{{ label }}</label>
    <v-autocomplete
      v-if="items.length > LONG"
      :id="id"
      v-model="value"
      :items="[...items]"
      auto-select-first
      v-bind="{ ...$attrs, class: undefined }"
    />
    <v-select v-else :id="id" v-model="value" :items="[...items]" v-bind="{ ...$attrs, class: undefined }" />
  </div>
</template>
