<script setup lang="ts">
/** The currency on show, and what a euro is in it: no rate of the day is known here. */
import { computed, ref } from 'vue';
import { useView } from '../stores/view';
import LineField from '../ui/LineField.vue';
import SelectField from '../ui/SelectField.vue';
import { CURRENCIES, EURO, LEAST_RATE, MOST_RATE } from '../words/money';

const emit = defineEmits<{ close: [] }>();
const view = useView();
const names = new Intl.DisplayNames('en', { type: 'currency' });
const items = CURRENCIES.map((code) => ({ title: `${names.of(code) ?? code} (${code})`, value: code as string }));
const code = ref(view.currency.code);
const rate = ref(view.currency.code === EURO.code ? '' : String(view.currency.rate));
const typed = computed(() => Number(rate.value.trim().replace(',', '.')));
const fits = computed(() => code.value === EURO.code || (typed.value >= LEAST_RATE && typed.value <= MOST_RATE));
const fault = computed(() =>
  fits.value || rate.value.trim() === '' ? null : `Enter a number from ${LEAST_RATE} to ${MOST_RATE}.`,
);
function save() {
  if (!fits.value) return;
  view.currency = code.value === EURO.code ? EURO : { code: code.value, rate: typed.value };
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="460" aria-label="Currency" @update:model-value="emit('close')">
    <v-card class="dialog-card">
      <form @submit.prevent="save">
        <h1>Currency</h1>
        <p class="soft">
          Typical prices are in euros, and yours are stored in euros. Here you choose what all of them are shown in, on
          this device. In a line, say euros.
        </p>
        <SelectField v-model="code" label="Show money in" :items="items" />
        <LineField
          v-if="code !== EURO.code"
          v-model="rate"
          :label="`One euro is how many ${code}`"
          :fault="fault"
          figures
          inputmode="decimal"
        />
        <p class="acts">
          <v-btn type="submit" :disabled="!fits">Save</v-btn>
          <v-btn variant="tonal" @click="emit('close')">Cancel</v-btn>
        </p>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
}
.acts {
  display: flex;
  gap: 10px;
}
</style>
