import { defineStore } from 'pinia';
import { useView } from './view';
import { useDocument } from './garage/document';
import { useEdits } from './garage/edits';
import { useFollowing } from './garage/following';
import { useGarages } from './garage/garages';
import * as texts from '../words/stores/garage';

export type { Undone } from './garage/edits';
export type { Keeping, Refused } from './garage/following';

/** The open garage: edits apply at once here, are undone and redone here, and follow to the server through its session (docs/sync.md). */
export const useGarage = defineStore('garage', () => {
  const view = useView();
  const shown = useDocument(view);
  const following = useFollowing(shown);
  const edits = useEdits(shown, following, view);
  const garages = useGarages(
    following,
    view,
    ({ id, document }) => {
      shown.take(document);
      edits.history.clear();
      view.garageId = id;
      view.fastenerId = null;
      view.pieceId = null;
    },
    (name) => {
      const doc = shown.doc.value;
      if (doc) edits.edit(texts.renameTo(name), [], { ...doc.garage, name });
    },
  );
  const { doc, version, book, bike, trip, fasteners, places } = shown;
  const { standing, questions, tray, trouble, keeping, settle, resolve, discard, retry } = following;
  return {
    ...garages,
    ...edits,
    ...{ doc, version, book, bike, trip, fasteners, places },
    ...{ standing, questions, tray, trouble, keeping, settle, resolve, discard, retry },
  };
});
