<script setup lang="ts">
/** What would do instead of something that is not there: of this kit with what to mind, or of whoever rides along. */
import { computed } from 'vue';
import { insteadOf, lendersOf, type Need, type ProveCase } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import * as texts from '../../words/prove/insteadOf';

const props = defineProps<{ need: Need; of: ProveCase }>();
const garage = useGarage();
/** Who rides along, with what is theirs. */
const others = computed(() =>
  (garage.doc?.companions ?? [])
    .filter((c) => props.of.riders.has(c.id))
    .map((c) => ({ name: c.person.name, pieces: c.pieces, supplies: c.supplies })),
);
const instead = computed(() => insteadOf(props.of, props.need));
const lend = computed(() => lendersOf(props.need, others.value, props.of.fasteners));
</script>

<template>
  <span>
    <span v-for="x in instead" :key="x.name"
      >{{ x.name }} ({{ x.mind }}<template v-if="x.lies[0]">; {{ x.lies[0].place }}</template
      >).
    </span>
    <span v-for="x in lend" :key="x.who">{{ texts.hasIt(x.who, x.name) }}{{ ' ' }} </span>
    <template v-if="instead.length === 0 && lend.length === 0">{{ texts.nothingInThisKitDoes }}</template>
  </span>
</template>
