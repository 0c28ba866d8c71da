<script setup lang="ts">
/** Lists to take along: a page for each rider, one for all, as a table, and as a file that somebody reads into their own. */
import { at, crewCsv, type CrewAnswer } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useCrew } from '../../stores/crew';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { download, fileName } from '../../ui/download';
import { counted, massText } from '../../ui/words';
import * as texts from '../../words/crew/crewLists';

const props = defineProps<{ answer: CrewAnswer }>();
const crew = useCrew();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const trip = () => garage.trip?.name ?? texts.trip;
const csv = (carriers: readonly number[], name: string) =>
  download(fileName(`${trip()} ${name}`, 'csv'), crewCsv(props.answer, carriers), 'text/csv');
async function file(member: number) {
  const text = await crew.ask((w) => w.file(member, new Date().toISOString()));
  if (text === null) return;
  const { name } = at(props.answer.names, member);
  download(fileName(`${trip()} ${name}`, 'json'), text, 'application/json');
  notice.say(texts.canReadThisFileInto(name));
}
</script>

<template>
  <div>
    <section>
      <h2>{{ texts.allTogether }}</h2>
      <p class="acts">
        <v-btn variant="flat" to="/print/crew">{{ texts.printAllLists }}</v-btn>
        <v-btn
          variant="outlined"
          @click="
            csv(
              answer.carriers.map((c) => c.number),
              'everybody',
            )
          "
          >{{ texts.saveAsCsv }}</v-btn
        >
      </p>
    </section>
    <section v-for="c in answer.carriers" :key="c.number">
      <h2>{{ answer.names[c.number]?.name }}</h2>
      <p class="soft">
        {{ counted(c.tokens.length, 'thing') }}, <span class="num">{{ massText(view.units, c.mass) }}</span>
      </p>
      <p class="acts">
        <v-btn variant="outlined" :to="{ path: '/print/crew', query: { who: String(c.number) } }">{{
          texts.print
        }}</v-btn>
        <v-btn variant="text" @click="csv([c.number], answer.names[c.number]?.name ?? '')">{{ texts.csv }}</v-btn>
        <v-btn v-if="answer.names[c.number]?.bike" variant="text" @click="file(c.number)">{{
          texts.fileForThem
        }}</v-btn>
      </p>
    </section>
  </div>
</template>
