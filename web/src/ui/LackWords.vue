<script setup lang="ts">
/** What is lacking, in words; where it is that no fastener has a job, a link that marks one. */
import { computed } from 'vue';
import { unmarkedRole, type Role } from '@necessaire/core';

const props = defineProps<{ lacks: readonly string[] }>();
interface Part {
  text: string;
  role: Role | null;
}
const parts = computed<Part[]>(() =>
  props.lacks.flatMap((l) => l.split(', ')).map((text) => ({ text, role: unmarkedRole(text) })),
);
</script>

<template>
  <template v-for="(p, i) in parts" :key="i"
    ><template v-if="i > 0">; </template
    ><router-link v-if="p.role" :to="{ path: '/walk', query: { mark: p.role } }">{{ p.text }}</router-link
    ><template v-else>{{ p.text }}</template></template
  >
</template>
