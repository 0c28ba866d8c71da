import { newPiece, newSupply, type ReadItem } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { itemsText, itemText } from './items';
import * as edits from '../../words/edits';

/** Puts what a line says into the garage: tools into the toolbox, spares to the spares; all at once, and out at once on undo. */
export function usePutItems() {
  const garage = useGarage();
  const notice = useNotice();
  function put(list: readonly ReadItem[]): boolean {
    const [first] = list;
    if (!first) return false;
    const changes = list.map((item) => {
      const id = crypto.randomUUID();
      if (item.at === 'spare') {
        const { kind, quantity, note } = item.spare;
        return { table: 'supplies' as const, id, before: null, after: newSupply({ id, kind, quantity, note }) };
      }
      const { model, said, set } = item.tool;
      const after = newPiece(model, { id, ...said, ...(set ? { set } : {}) });
      return { table: 'pieces' as const, id, before: null, after };
    });
    const label = list.length === 1 ? itemText(first, garage.book) : `${list.length} items`;
    if (!garage.edit(edits.add(label), changes)) return false;
    notice.done(itemsText(list, garage.book));
    return true;
  }
  return { put };
}
