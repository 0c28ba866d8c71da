<script setup lang="ts">
/** A text that is taken when the field is left. What is being typed stays, whatever else on the screen changes meanwhile. */
import { ref, watch } from 'vue';
import LineField from './LineField.vue';
import * as texts from '../words/ui/textField';

const props = defineProps<{
  label: string;
  value: string;
  fault?: string;
  placeholder?: string;
  most?: number;
  figures?: boolean;
  hideLabel?: boolean;
}>();
const emit = defineEmits<{ take: [text: string] }>();
const text = ref(props.value);
const focused = ref(false);
/** Another window changed this while it is being typed in: said below, and what is typed stays. */
const elsewhere = ref<string | null>(null);
watch(
  () => props.value,
  (value, before) => {
    const typing = focused.value && text.value !== before;
    if (!typing || text.value === value) text.value = value;
    else elsewhere.value = value;
  },
);
/** A field that lost the cursor because its row was moved says nothing of a change: what was typed is taken all the same. */
function left() {
  focused.value = false;
  if (elsewhere.value === null && text.value !== props.value) take();
}
function take() {
  elsewhere.value = null;
  emit('take', text.value);
}
</script>

<template>
  <LineField
    v-model="text"
    :label="label"
    :hide-label="hideLabel"
    :fault="fault ?? null"
    :said="elsewhere === null ? null : texts.inAnotherWindowItIs(elsewhere)"
    :figures="figures"
    :maxlength="most ?? 200"
    :placeholder="placeholder"
    @focus="focused = true"
    @blur="left"
    @change="take"
  />
</template>
