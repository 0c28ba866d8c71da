import { ref } from 'vue';
import { writeGarageFile } from '@necessaire/core';
import { useGarage } from '../stores/garage';
import { useOwnCard } from '../stores/ownCard';
import { download, fileName } from '../ui/download';

/** Whether it is asked what goes into the file. */
export const exportOpen = ref(false);

/** Hands over the open garage as a file: from what this device has, so that it needs no server. @param withCard with the own details for an emergency */
export function writeGarage(withCard: boolean): void {
  const { doc } = useGarage();
  if (!doc) return;
  const text = writeGarageFile(doc, withCard ? useOwnCard().card : null);
  download(fileName(doc.garage.name, 'necessaire.json'), text, 'application/json');
}

/** At once where there is nothing to be asked, else by the dialog. */
export function exportGarage(): void {
  if (useOwnCard().written()) exportOpen.value = true;
  else writeGarage(false);
}
