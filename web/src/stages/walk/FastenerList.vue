<script setup lang="ts">
/** A pasted list of fasteners, one a line, as they are typed in the line. */
import { readEntries, type Fastener, type LineReading, type Station } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import ListDialog, { type ListLine } from '../../ui/line/ListDialog.vue';
import { useOwnWords } from '../../ui/line/useOwnWords';
import { ENTRY_LINES } from '../../words/lines';
import { ENTRY_TERMS, enteredAs } from './entry';
import { fastenerText } from './rows';
import * as texts from '../../words/walk/fastenerList';

const props = defineProps<{ text: string; station: Station }>();
const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const words = useOwnWords();

/** The parts of several readings in one, for a line that holds several fasteners. */
const together = (readings: readonly LineReading[]): LineReading => ({
  parts: readings.flatMap((r) => r.parts),
  asks: readings.flatMap((r) => r.asks),
  faults: readings.flatMap((r) => r.faults),
});

function read(line: string): ListLine<Fastener> {
  const context = {
    here: props.station,
    inch: view.units === 'inch',
    own: words.own.value,
    known: words.known.value,
  };
  const entries = readEntries(line, context);
  const { bike } = garage;
  const now = new Date().toISOString();
  const values = entries.flatMap(({ line: text, reading }) => {
    if (!bike) return [];
    const entered = enteredAs(text, reading, {
      bike,
      fasteners: garage.fasteners,
      station: props.station,
      editing: null,
      visit: null,
      nextId: crypto.randomUUID(),
      who: view.who,
      now,
    });
    return entered.kind === 'row' ? [entered.row] : [];
  });
  const complete = values.length === entries.length;
  return {
    reading: together(entries.map((e) => e.reading)),
    values: complete ? values : [],
    says: complete ? values.map(fastenerText).join('; ') : '',
  };
}
function take(rows: Fastener[]) {
  if (garage.put(texts.addFasteners(rows.length), 'fasteners', ...rows)) notice.done(texts.fastenersAdded(rows.length));
}
</script>

<template>
  <ListDialog
    :title="texts.addAListOfFasteners"
    :hint="texts.oneFastenerALineIts"
    :example="ENTRY_LINES.list"
    :text="text"
    :terms="ENTRY_TERMS"
    :read="read"
    @close="emit('close')"
    @take="take"
  />
</template>
