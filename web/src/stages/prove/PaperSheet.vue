<script setup lang="ts">
/** Checks in the calendar, and everything on paper. */
import { computed } from 'vue';
import { calendarFile, tripDays, type ProofTold } from '@necessaire/core';
import { calendarWords } from '@necessaire/words';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { download, fileName } from '../../ui/download';
import { counted } from '../../ui/words';
import * as texts from '../../words/prove/paperSheet';

const props = defineProps<{ told: ProofTold }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const dated = computed(() =>
  props.told.checks.filter((k) => k.due !== null && (k.when === 'before leaving' || k.when === 'on a date')),
);
const open = computed(() => dated.value.filter((k) => k.standing !== 'done' && k.standing !== 'skipped'));
function save() {
  const { bike, trip } = garage;
  if (!bike) return;
  const text = calendarFile(dated.value, {
    bike,
    trip: trip ? { id: trip.id, name: trip.name, leaves: trip.leaves, days: tripDays(trip) } : null,
    words: calendarWords(view.units),
    now: new Date().toISOString(),
  });
  download(fileName(trip?.name ?? bike.name, 'ics'), text, 'text/calendar');
  notice.say(texts.savedImportItAgainAfter);
}
const PAGES = [
  {
    to: '/print/checks',
    name: texts.checksOnOnePage,
    says: texts.withBoxesToTickIn,
  },
  {
    to: '/print/card',
    name: texts.pocketCard,
    says: texts.sizesTorquesPressuresFluidsWho,
  },
  { to: '/print/repairs', name: texts.repairSheets, says: texts.stepsPlacesAndCautionsOf },
  { to: '/print/book', name: texts.wholeTripBook, says: texts.allOfItAsOne },
  { to: '/print', name: texts.packingList, says: texts.onePageByPlace },
];
</script>

<template>
  <div>
    <section>
      <h2>{{ texts.calendar }}</h2>
      <p v-if="garage.trip && !garage.trip.leaves">
        {{ texts.sayUnder }}
        <router-link :to="{ path: '/prove', query: { tab: 'checks' } }">{{ texts.checks }}</router-link>
        {{ texts.whenYouLeaveThenEach }}
      </p>
      <p v-else>{{ texts.withADayEachWith(counted(open.length, 'check')) }}</p>
      <p class="acts">
        <v-btn :disabled="dated.length === 0" @click="save">{{ texts.saveTheCalendarFile }}</v-btn>
      </p>
      <p class="soft">{{ texts.anOpenCalendarFileIcs }}</p>
    </section>
    <section>
      <h2>{{ texts.paper }}</h2>
      <ul class="plain">
        <li v-for="p in PAGES" :key="p.to">
          <v-btn variant="text" class="page" :to="p.to"
            ><strong>{{ p.name }}</strong
            ><small>{{ p.says }}</small></v-btn
          >
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: block;
  width: 100%;
  padding: 9px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 16px;
}
small {
  display: block;
  color: var(--soft);
  font-size: 13.5px;
}
</style>
