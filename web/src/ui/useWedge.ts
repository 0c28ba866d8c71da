import { useEventListener } from '@vueuse/core';
import { readLine, type Instrument } from '@necessaire/core';

/** Faster than anybody types: only an instrument strikes keys so close. */
const MOST_GAP_MS = 90;
const LEAST_KEYS = 3;

/**
 * Hears an instrument that types like a keyboard while no field has the focus: a burst of figures that ends with Enter.
 * Whatever is typed into a field stays with that field.
 */
export function useWedge(instrument: Instrument, heard: (value: number) => void): void {
  let text = '';
  let at = 0;
  const inField = (target: EventTarget | null) =>
    target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable);
  function onKey(event: KeyboardEvent) {
    if (inField(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
    const gap = event.timeStamp - at;
    at = event.timeStamp;
    if (gap > MOST_GAP_MS) text = '';
    if (event.key === 'Enter') {
      const read = text.length >= LEAST_KEYS ? readLine(text, instrument) : null;
      text = '';
      if (!read || read.instrument !== instrument) return;
      event.preventDefault();
      event.stopPropagation();
      heard(read.value);
    } else if (/^[\d.,+\- a-z"]$/i.test(event.key)) text += event.key;
    else if (event.key.length === 1) text = '';
  }
  useEventListener('keydown', onKey, { capture: true });
}
