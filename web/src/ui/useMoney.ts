import { computed } from 'vue';
import { useView } from '../stores/view';
import { moneySign, moneyText } from '../words/money';

/** Amounts in the currency on show. */
export function useMoney() {
  const view = useView();
  return {
    /** @param euros as it is kept */
    money: (euros: number, digits?: number): string => moneyText(view.currency, euros, digits),
    sign: computed(() => moneySign(view.currency)),
    rate: computed(() => view.currency.rate),
  };
}
