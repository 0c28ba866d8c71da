<script setup lang="ts">
/** Lists to take along: a page for each rider, one for all, as a table, and as a file that somebody reads into their own. */
import { crewCsv, type CrewAnswer } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useCrew } from '../../stores/crew';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { download, fileName } from '../../ui/download';
import { counted, massText } from '../../ui/words';

const props = defineProps<{ answer: CrewAnswer }>();
const crew = useCrew();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const trip = () => garage.trip?.name ?? 'trip';
const csv = (carriers: readonly number[], name: string) =>
  download(fileName(`${trip()} ${name}`, 'csv'), crewCsv(props.answer, carriers), 'text/csv');
async function file(member: number) {
  const text = await crew.ask((w) => w.file(member, new Date().toISOString()));
  if (text === null) return;
  const { name } = props.answer.names[member]!;
  download(fileName(`${trip()} ${name}`, 'json'), text, 'application/json');
  notice.say(`${name} can read this file into their own Necessaire: garage menu, Import a file.`);
}
</script>

<template>
  <div>
    <section>
      <h2>All together</h2>
      <p class="acts">
        <v-btn variant="flat" to="/print/crew">Print all lists</v-btn>
        <v-btn
          variant="outlined"
          @click="
            csv(
              answer.carriers.map((c) => c.number),
              'everybody',
            )
          "
          >Save as CSV</v-btn
        >
      </p>
    </section>
    <section v-for="c in answer.carriers" :key="c.number">
      <h2>{{ answer.names[c.number]?.name }}</h2>
      <p class="soft">
        {{ counted(c.tokens.length, 'thing') }}, <span class="num">{{ massText(view.units, c.mass) }}</span>
      </p>
      <p class="acts">
        <v-btn variant="outlined" :to="{ path: '/print/crew', query: { who: String(c.number) } }">Print</v-btn>
        <v-btn variant="text" @click="csv([c.number], answer.names[c.number]?.name ?? '')">CSV</v-btn>
        <v-btn v-if="answer.names[c.number]?.bike" variant="text" @click="file(c.number)">File for them</v-btn>
      </p>
    </section>
  </div>
</template>
