<script setup lang="ts">
/** The currency on show, and what a euro is in it: no rate of the day is known here. */
import { computed, ref } from 'vue';
import { useView } from '../stores/view';
import LineField from '../ui/LineField.vue';
import SelectField from '../ui/SelectField.vue';
import { CURRENCIES, EURO, LEAST_RATE, MOST_RATE } from '../words/money';
import * as texts from '../words/garages/currencyDialog';

const emit = defineEmits<{ close: [] }>();
const view = useView();
const names = new Intl.DisplayNames('en', { type: 'currency' });
const items = CURRENCIES.map((code) => ({ title: `${names.of(code) ?? code} (${code})`, value: code as string }));
const code = ref(view.currency.code);
const rate = ref(view.currency.code === EURO.code ? '' : String(view.currency.rate));
const typed = computed(() => Number(rate.value.trim().replace(',', '.')));
const fits = computed(() => code.value === EURO.code || (typed.value >= LEAST_RATE && typed.value <= MOST_RATE));
const fault = computed(() =>
  fits.value || rate.value.trim() === '' ? null : texts.enterANumberFromTo(LEAST_RATE, MOST_RATE),
);
function save() {
  if (!fits.value) return;
  view.currency = code.value === EURO.code ? EURO : { code: code.value, rate: typed.value };
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="460" :aria-label="texts.currency" @update:model-value="emit('close')">
    <v-card class="dialog-card">
      <form @submit.prevent="save">
        <h1>{{ texts.currency }}</h1>
        <p class="soft">
          {{ texts.typicalPricesAreInEuros }}
        </p>
        <SelectField v-model="code" :label="texts.showMoneyIn" :items="items" />
        <LineField
          v-if="code !== EURO.code"
          v-model="rate"
          :label="texts.oneEuroIsHowMany(code)"
          :fault="fault"
          figures
          inputmode="decimal"
        />
        <p class="acts">
          <v-btn type="submit" :disabled="!fits">{{ texts.save }}</v-btn>
          <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
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
