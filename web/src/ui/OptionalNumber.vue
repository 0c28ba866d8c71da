<script setup lang="ts">
/** A number that may be left empty, in the units on show. What cannot be read stays in the field with its reason. */
import { computed, ref, watch } from 'vue';
import { figure, fromShown, outsideLimits, unitOf, type Quantity } from '@necessaire/core';
import { useView } from '../stores/view';
import LineField from './LineField.vue';
import { useMoney } from './useMoney';
import * as texts from '../words/ui/optionalNumber';

const props = defineProps<{
  label: string;
  quantity?: Quantity;
  unit?: string;
  /** An amount: kept in euros, shown in the currency on show. */
  money?: boolean;
  min: number;
  max: number;
  whole?: boolean;
  empty: string;
}>();
const value = defineModel<number | null>({ required: true });
const view = useView();
const { sign, rate } = useMoney();
/** What one of the value is on show. */
const scale = computed(() => (props.money ? rate.value : 1));
const unit = computed(
  () => props.unit ?? (props.money ? sign.value : props.quantity ? unitOf(view.units, props.quantity) : ''),
);
const show = () =>
  value.value === null
    ? ''
    : props.quantity
      ? figure(view.units, props.quantity, value.value).replace('−', '-')
      : String(props.money ? Number((value.value * scale.value).toFixed(2)) : value.value);
const text = ref(show());
const bad = ref<string | null>(null);
watch([value, () => view.units, scale], () => {
  text.value = show();
  bad.value = null;
});
function take() {
  const typed = text.value.trim();
  bad.value = null;
  if (typed === show()) return;
  if (typed === '') {
    value.value = null;
    return;
  }
  const n = Number(typed.replace(',', '.'));
  const core = props.quantity ? fromShown(view.units, props.quantity, n) : n / scale.value;
  const outside = outsideLimits(view.units, props.quantity ?? null, core * scale.value, {
    min: props.min * scale.value,
    max: props.max * scale.value,
  });
  if (!Number.isFinite(n)) bad.value = texts.enterANumberOrLeave;
  else if (outside) bad.value = outside;
  else if (props.whole && !Number.isInteger(core)) bad.value = texts.enterAWholeNumber;
  else value.value = core;
}
</script>

<template>
  <LineField
    v-model="text"
    :label="unit ? `${label} (${unit})` : label"
    :placeholder="empty"
    :fault="bad"
    figures
    inputmode="decimal"
    @change="take"
  />
</template>
