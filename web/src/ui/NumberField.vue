<script setup lang="ts">
/** A number in the units on show; the value itself stays in core units. What cannot be read stays in the field, marked. */
import { computed, ref, watch } from 'vue';
import { figure, fromShown, outsideLimits, unitOf, type Quantity } from '@necessaire/core';
import { useView } from '../stores/view';

const props = defineProps<{
  label: string;
  quantity?: Quantity;
  min?: number;
  max?: number;
  digits?: number;
  hideLabel?: boolean;
}>();
const value = defineModel<number>({ required: true });
const view = useView();
const unit = computed(() => (props.quantity ? unitOf(view.units, props.quantity) : ''));
const show = () =>
  props.quantity
    ? figure(view.units, props.quantity, value.value, props.digits).replace('−', '-')
    : String(Number(value.value.toFixed(props.digits ?? 3)));
const text = ref(show());
const bad = ref<string | null>(null);
/** Another window changed this while it is being typed in: said below, and what is typed stays. */
const elsewhere = ref(false);
const box = ref<HTMLInputElement>();
watch([value, () => view.units], () => {
  if (box.value && document.activeElement === box.value && box.value.value !== text.value) {
    elsewhere.value = true;
    return;
  }
  text.value = show();
  bad.value = null;
});

function take(event: Event) {
  elsewhere.value = false;
  const typed = (event.target as HTMLInputElement).value;
  text.value = typed;
  const n = Number(typed.trim().replace(',', '.'));
  const core = props.quantity ? fromShown(view.units, props.quantity, n) : n;
  const outside = outsideLimits(view.units, props.quantity ?? null, core, {
    ...(props.min === undefined ? {} : { min: props.min }),
    ...(props.max === undefined ? {} : { max: props.max }),
  });
  if (typed.trim() === '' || !Number.isFinite(n)) bad.value = 'write a number';
  else if (outside) bad.value = outside;
  else {
    bad.value = null;
    // Only what was really changed is written, so that rounding in another unit does not creep in.
    if (typed !== show()) value.value = core;
  }
}
</script>

<template>
  <label class="number">
    <span :class="{ 'hidden-label': hideLabel }"
      >{{ label }}<template v-if="unit"> ({{ unit }})</template></span
    >
    <input
      ref="box"
      class="field num"
      inputmode="decimal"
      :value="text"
      :aria-invalid="bad !== null"
      :title="bad ?? undefined"
      @change="take"
    />
    <small v-if="elsewhere" role="status">in another window it is now {{ show() }}</small>
    <small v-if="bad" class="gap" role="alert">{{ bad }}</small>
  </label>
</template>

<style scoped>
.number > span:not(.hidden-label) {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
</style>
