/** Money as it is shown. It is kept in euros, as typical prices are; who reads another currency says what a euro is in it. */
export interface Currency {
  /** As banks write it: three letters. */
  code: string;
  /** How much of it one euro is, as the rider typed it. */
  rate: number;
}
export const EURO: Currency = { code: 'EUR', rate: 1 };
/** Currencies to choose from, by their letters. */
export const CURRENCIES = [
  'EUR',
  'ARS',
  'AUD',
  'BRL',
  'CAD',
  'CHF',
  'CLP',
  'CZK',
  'DKK',
  'GBP',
  'HUF',
  'INR',
  'JPY',
  'MAD',
  'MXN',
  'NOK',
  'NZD',
  'PLN',
  'RON',
  'SEK',
  'TRY',
  'USD',
  'ZAR',
] as const;
export const LEAST_RATE = 0.0001;
export const MOST_RATE = 100_000;

/** A currency as a browser kept it; euros where it does not read as one. */
export function currencyFrom(kept: unknown): Currency {
  if (typeof kept !== 'object' || kept === null) return EURO;
  const { code, rate } = kept as Record<string, unknown>;
  const known = CURRENCIES.find((c) => c === code);
  return known && known !== 'EUR' && typeof rate === 'number' && rate >= LEAST_RATE && rate <= MOST_RATE
    ? { code: known, rate }
    : EURO;
}

const format = (currency: Currency, digits: number) =>
  new Intl.NumberFormat('en', {
    style: 'currency',
    currency: currency.code,
    currencyDisplay: 'narrowSymbol',
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: false,
  });
/** The sign of a currency: `€`, `$`, `kr`. */
export const moneySign = (currency: Currency): string =>
  format(currency, 0)
    .formatToParts(0)
    .find((p) => p.type === 'currency')?.value ?? currency.code;
/** From here on nobody counts the tenths. */
const WHOLE_FROM = 10;
/** An amount behind its figure, as all quantities are: `35 €`, `3.5 €`. @param euros as it is kept */
export function moneyText(currency: Currency, euros: number, digits?: number): string {
  const shown = euros * currency.rate;
  const tenths = Math.abs(shown) < WHOLE_FROM ? Number(shown.toFixed(1)) : Math.round(shown);
  const figure = digits === undefined ? String(tenths) : shown.toFixed(digits);
  // A few cents below nothing are nothing.
  return `${Number(figure) === 0 ? figure.replace('-', '') : figure.replace('-', '−')} ${moneySign(currency)}`;
}
