<script setup lang="ts">
/** What is lacking, in words; where it is that no fastener has a job, a link that marks one. */
import { computed } from 'vue';
import type { LackFact, Role } from '@necessaire/core';
import { useView } from '../stores/view';

const props = defineProps<{ lacks: readonly (LackFact | string)[] }>();
const view = useView();
interface Part {
  before: string;
  text: string;
  role: Role | null;
}
/** A repair that cannot be had is told by its name and each of its reasons. */
const partsOf = (lack: LackFact | string): Part[] =>
  typeof lack !== 'string' && lack.code === 'lack.repair'
    ? lack.why.flatMap(partsOf).map((p, i) => (i === 0 ? { ...p, before: `${lack.name}: ${p.before}` } : p))
    : [
        {
          before: '',
          text: view.inWords(lack),
          role: typeof lack !== 'string' && lack.code === 'lack.unmarked' ? lack.role : null,
        },
      ];
const parts = computed(() => props.lacks.flatMap(partsOf));
</script>

<template>
  <template v-for="(p, i) in parts" :key="i"
    ><template v-if="i > 0">; </template>{{ p.before
    }}<router-link v-if="p.role" :to="{ path: '/walk', query: { mark: p.role } }">{{ p.text }}</router-link
    ><template v-else>{{ p.text }}</template></template
  >
</template>
