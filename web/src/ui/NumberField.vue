<script setup lang="ts">
/** A number in the units on show; the value itself stays in core units. What cannot be read stays in the field, marked. */
import { computed, ref, watch } from 'vue';
import { figure, fromShown, outsideLimits, unitOf, type Quantity } from '@necessaire/core';
import { useView } from '../stores/view';
import LineField from './LineField.vue';
import { useMoney } from './useMoney';
import * as texts from '../words/ui/numberField';

const props = defineProps<{
  label: string;
  quantity?: Quantity;
  /** An amount: kept in euros, shown in the currency on show. */
  money?: boolean;
  min?: number;
  max?: number;
  digits?: number;
  hideLabel?: boolean;
}>();
const value = defineModel<number>({ required: true });
const view = useView();
const { sign, rate } = useMoney();
const unit = computed(() => (props.money ? sign.value : props.quantity ? unitOf(view.units, props.quantity) : ''));
/** What one of the value is on show. */
const scale = computed(() => (props.money ? rate.value : 1));
const show = () =>
  props.quantity
    ? figure(view.units, props.quantity, value.value, props.digits).replace('−', '-')
    : String(Number((value.value * scale.value).toFixed(props.digits ?? (props.money ? 2 : 3))));
/** What stands in the field, and what stood there when it was last taken. */
const text = ref(show());
const taken = ref(text.value);
const focused = ref(false);
const bad = ref<string | null>(null);
/** Another window changed this while it is being typed in: said below, and what is typed stays. */
const elsewhere = ref(false);
watch([value, () => view.units, scale], () => {
  if (focused.value && text.value !== taken.value) {
    elsewhere.value = true;
    return;
  }
  text.value = taken.value = show();
  bad.value = null;
});

/** A field that lost the cursor because its row was moved says nothing of a change: what was typed is taken all the same. */
function left() {
  focused.value = false;
  if (!elsewhere.value && text.value !== taken.value) take();
}
function take() {
  elsewhere.value = false;
  taken.value = text.value;
  const typed = text.value.trim();
  const n = Number(typed.replace(',', '.'));
  const core = props.quantity ? fromShown(view.units, props.quantity, n) : n / scale.value;
  const outside = outsideLimits(view.units, props.quantity ?? null, core * scale.value, {
    ...(props.min === undefined ? {} : { min: props.min * scale.value }),
    ...(props.max === undefined ? {} : { max: props.max * scale.value }),
  });
  if (typed === '' || !Number.isFinite(n)) bad.value = texts.enterANumber;
  else if (outside) bad.value = outside;
  else {
    bad.value = null;
    // Only what was really changed is written, so that rounding in another unit does not creep in.
    if (typed !== show()) value.value = core;
  }
}
</script>

<template>
  <LineField
    v-model="text"
    :label="unit ? `${label} (${unit})` : label"
    :hide-label="hideLabel"
    :fault="bad"
    :said="elsewhere ? texts.inAnotherWindowItIs(show()) : null"
    figures
    inputmode="decimal"
    @focus="focused = true"
    @blur="left"
    @change="take"
  />
</template>
