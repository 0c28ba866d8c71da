import { ref } from 'vue';

/** Whether the currency is being chosen: the garage menu and the search open it. */
export const currencyOpen = ref(false);
