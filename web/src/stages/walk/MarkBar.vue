<script setup lang="ts">
/** Which fastener has a job that a repair asks for: chosen from the rows, one press. */
import { computed, onMounted, ref } from 'vue';
import { printShape, STATION_NAMES, type Fastener, type Role } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import * as texts from '../../words/walk/markBar';

const props = defineProps<{ role: Role }>();
const emit = defineEmits<{ done: [id: string | null] }>();
const garage = useGarage();
const notice = useNotice();

// On a phone the rows lie under the picture: whoever was sent here sees the question at once.
const bar = ref<HTMLElement>();
onMounted(() => bar.value?.scrollIntoView({ block: 'center' }));

const words = computed(() => props.role.split(' '));
/** Rows whose names share a word with the job first. */
const choices = computed(() => {
  const near = (f: Fastener) => words.value.filter((w) => f.name.toLowerCase().includes(w)).length;
  return garage.fasteners
    .filter((f) => f.leftOut === null)
    .map((f) => ({ f, near: near(f) }))
    .sort((a, b) => b.near - a.near || Number(a.f.role !== null) - Number(b.f.role !== null))
    .map(({ f }) => ({
      value: f.id,
      title: f.name,
      subtitle: `${printShape(f.head)}, ${STATION_NAMES[f.station].toLowerCase()}${f.role ? texts.nowRole(f.role) : ''}`,
    }));
});
function mark(id: string | null) {
  const row = garage.fasteners.find((f) => f.id === id);
  if (!row) return;
  garage.put(texts.markAs(row.name, props.role), 'fasteners', { ...row, role: props.role });
  notice.say(texts.isThe(row.name, props.role));
  emit('done', row.id);
}
</script>

<template>
  <section ref="bar" class="mark" :aria-label="texts.whichIsThe(role)">
    <v-autocomplete
      :label="texts.whichFastenerIsThe(role)"
      :items="choices"
      item-props
      :model-value="null"
      density="compact"
      variant="outlined"
      hide-details
      auto-select-first
      :no-data-text="texts.noFastenerMatchesTypeIts"
      @update:model-value="mark($event)"
    />
    <v-btn variant="plain" @click="emit('done', null)">{{ texts.cancel }}</v-btn>
  </section>
</template>

<style scoped>
.mark {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
}
</style>
