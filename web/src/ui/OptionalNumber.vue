<script setup lang="ts">
/** A number that may be left empty, in the units on show. What cannot be read stays in the field with its reason. */
import { computed, ref, watch } from 'vue';
import { figure, fromShown, outsideLimits, unitOf, type Quantity } from '@necessaire/core';
import { useView } from '../stores/view';

const props = defineProps<{
  label: string;
  quantity?: Quantity;
  unit?: string;
  min: number;
  max: number;
  whole?: boolean;
  empty: string;
}>();
const value = defineModel<number | null>({ required: true });
const view = useView();
const unit = computed(() => props.unit ?? (props.quantity ? unitOf(view.units, props.quantity) : ''));
const show = () =>
  value.value === null
    ? ''
    : props.quantity
      ? figure(view.units, props.quantity, value.value).replace('−', '-')
      : String(value.value);
const text = ref(show());
const bad = ref<string | null>(null);
watch([value, () => view.units], () => {
  text.value = show();
  bad.value = null;
});
function take(event: Event) {
  const typed = (event.target as HTMLInputElement).value.trim();
  text.value = typed;
  bad.value = null;
  if (typed === show()) return;
  if (typed === '') {
    value.value = null;
    return;
  }
  const n = Number(typed.replace(',', '.'));
  const core = props.quantity ? fromShown(view.units, props.quantity, n) : n;
  const outside = outsideLimits(view.units, props.quantity ?? null, core, props);
  if (!Number.isFinite(n)) bad.value = 'write a number, or nothing';
  else if (outside) bad.value = outside;
  else if (props.whole && !Number.isInteger(core)) bad.value = 'a whole number';
  else value.value = core;
}
</script>

<template>
  <label class="number">
    <span
      >{{ label }}<template v-if="unit"> ({{ unit }})</template></span
    >
    <input
      class="field num"
      inputmode="decimal"
      :value="text"
      :placeholder="empty"
      :aria-invalid="bad !== null"
      @change="take"
    />
    <small v-if="bad" class="gap" role="alert">{{ bad }}</small>
  </label>
</template>

<style scoped>
.number > span {
  display: block;
  font-size: 13px;
  color: var(--soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
