<script setup lang="ts">
/** A pasted list of what one owns: tools go into the toolbox, spares to the spares. */
import { itemsComplete, readItems, type ReadItem } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import ListDialog, { type ListLine } from '../../ui/line/ListDialog.vue';
import { useOwnWords } from '../../ui/line/useOwnWords';
import { ITEM_TERMS, itemText } from './items';
import { ITEM_LINES } from '../../words/lines';
import { usePutItems } from './usePutItems';
import * as texts from '../../words/match/itemList';

defineProps<{ text: string }>();
const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
const words = useOwnWords();
const { put } = usePutItems();

function read(line: string): ListLine<ReadItem> {
  const reading = readItems(line, { inch: view.units === 'inch', own: words.own.value, book: garage.book });
  const values = itemsComplete(reading) ? reading.items : [];
  const says = values.map((i) =>
    i.at === 'spare' ? `${itemText(i, garage.book)} → spares` : itemText(i, garage.book),
  );
  return { reading, values, says: says.join('; ') };
}
</script>

<template>
  <ListDialog
    :title="texts.addAList"
    :hint="texts.aNoteAMessageA"
    :example="ITEM_LINES.list"
    :text="text"
    :terms="ITEM_TERMS"
    :read="read"
    @close="emit('close')"
    @take="put"
  />
</template>
