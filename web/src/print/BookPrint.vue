<script setup lang="ts">
/** The whole trip book as one print: legs, packing list, checks, pocket card, what is watched, and each repair, with a table of contents. */
import { computed } from 'vue';
import { STATION_NAMES, strandedHours, tripDays, tripKm, withUnit } from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { useProof } from '../stores/proof';
import { useView } from '../stores/view';
import { counted, massText } from '../ui/words';
import CardPart from './parts/CardPart.vue';
import ChecksPart from './parts/ChecksPart.vue';
import OwnTick from './parts/OwnTick.vue';
import RepairPart from './parts/RepairPart.vue';
import { repairSheets } from './repairSheets';
import './paper.css';
import * as texts from '../words/print/bookPrint';

const answers = useAnswer();
const garage = useGarage();
const proof = useProof();
const view = useView();
const sheets = computed(() => (proof.made ? repairSheets(proof.made) : []));
const places = computed(() => {
  const stowed = answers.answer?.packing.stowed ?? [];
  return [
    ...garage.places.map((p) => ({ id: p.id as string | null, name: p.name })),
    { id: null, name: texts.notPacked },
  ]
    .map((p) => ({ ...p, items: stowed.filter((s) => s.placeId === p.id) }))
    .filter((p) => p.items.length > 0);
});
const watches = computed(() =>
  (garage.doc?.watches ?? []).filter((w) => w.bikeId === garage.bike?.id && w.closed === null),
);
const parts = computed(() => [
  { id: 'legs', name: texts.theTrip },
  { id: 'packing', name: texts.packingList },
  { id: 'checks', name: texts.checks },
  ...(watches.value.length > 0 ? [{ id: 'watch', name: texts.watchList }] : []),
  { id: 'card', name: texts.pocketCard2 },
  { id: 'repairs', name: texts.repairs2(sheets.value.length) },
]);
const print = () => window.print();
const show = (id: string) => document.getElementById(id)?.scrollIntoView();
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" :aria-label="texts.print">
      <v-btn variant="tonal" to="/prove?tab=paper">{{ texts.back }}</v-btn><v-btn @click="print">{{
        texts.print
      }}</v-btn>
      <OwnTick />
    </nav>
    <main v-if="proof.told && answers.answer && garage.bike && garage.trip" class="paper middle book">
      <header>
        <h1>{{ garage.trip.name }}</h1>
        <p>
          {{
            texts.ofKitTheMakersManual(
              garage.bike.name,
              counted(tripDays(garage.trip), 'day'),
              withUnit(view.units, 'distance', tripKm(garage.trip)),
              massText(view.units, answers.answer.kit.mass),
            )
          }}
        </p>
      </header>
      <section class="contents" :aria-label="texts.contents">
        <h2>{{ texts.contents }}</h2>
        <ol>
          <li v-for="p in parts" :key="p.id">
            <a :href="`#${p.id}`" @click.prevent="show(p.id)">{{ p.name }}</a>
            <span v-if="p.id === 'repairs'" class="names">{{ sheets.map((s) => s.trouble.name).join(', ') }}</span>
          </li>
        </ol>
      </section>
      <section id="legs" class="chapter">
        <h2>{{ texts.n1TheTrip }}</h2>
        <ul>
          <li v-for="leg in garage.trip.legs" :key="leg.id">
            <span class="what"
              ><strong>{{ leg.name }}</strong>
              {{
                texts.peopleAfterAWorkshopAfter(
                  withUnit(view.units, 'distance', leg.km.paved + leg.km.gravel + leg.km.track),
                  counted(leg.days, 'day'),
                  withUnit(view.units, 'distance', leg.helpKm),
                  withUnit(view.units, 'distance', leg.workshopKm),
                  leg.signal ? '' : texts.noSignal,
                )
              }}</span
            >
            <span class="num">{{ texts.hStranded(strandedHours(leg, garage.trip).total.toFixed(0)) }}</span>
          </li>
        </ul>
      </section>
      <section id="packing" class="chapter">
        <h2>{{ texts.n2PackingList }}</h2>
        <div class="columns">
          <section v-for="p in places" :key="p.id ?? 'none'">
            <h3>{{ p.name }}</h3>
            <ul>
              <li v-for="s in p.items" :key="s.item.key">
                <span class="tick" aria-hidden="true" /><span class="what">{{ s.item.name }}</span>
              </li>
            </ul>
          </section>
        </div>
      </section>
      <section id="checks" class="chapter">
        <h2>{{ texts.n3Checks }}</h2>
        <ChecksPart />
      </section>
      <section v-if="watches.length > 0" id="watch" class="chapter">
        <h2>{{ texts.n4WatchList }}</h2>
        <ul>
          <li v-for="w in watches" :key="w.id">
            <span class="tick" aria-hidden="true" /><span class="what"
              ><strong>{{ w.name }}</strong>
              {{
                texts.every(
                  w.station ? STATION_NAMES[w.station] : '',
                  w.why,
                  withUnit(view.units, 'distance', w.everyKm),
                )
              }}</span
            >
          </li>
        </ul>
      </section>
      <section id="card" class="chapter">
        <h2>{{ texts.pocketCard(parts.findIndex((p) => p.id === 'card') + 1) }}</h2>
        <CardPart />
      </section>
      <section id="repairs" class="chapter" :aria-label="texts.repairs(parts.length)">
        <h2>{{ texts.repairs(parts.length) }}</h2>
        <p>{{ texts.torqueFromTheManualWins }}</p>
        <RepairPart v-for="r in sheets" :key="`${r.trouble.id} ${r.way.name}`" :of="r" />
      </section>
    </main>
    <p v-else class="empty">{{ texts.workingOutTheKit }}</p>
  </div>
</template>

<style scoped>
.contents ol {
  margin: 4px 0;
  padding-left: 22px;
}
.contents li {
  display: list-item;
}
.names {
  display: block;
  font-size: 11.5px;
}
.chapter {
  break-before: page;
  padding-top: 6px;
}
h3 {
  font-size: 13px;
  color: #000;
}
</style>
