import { computed } from 'vue';
import { TABLES, type Row } from '@necessaire/core';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import type { Saying } from '../words/fields';

/** How stored values are said on this screen: in its units, rows by their names. */
export function useSaying() {
  const garage = useGarage();
  const view = useView();
  return computed<Saying>(() => ({
    units: view.units,
    nameOf: (id) => {
      for (const table of TABLES) {
        const row = (garage.doc?.[table] as Row[] | undefined)?.find((r) => r.id === id);
        if (row && 'name' in row) return row.name;
      }
      return null;
    },
  }));
}
