<script setup lang="ts">
/** Checks in the calendar, and everything on paper. */
import { computed } from 'vue';
import { calendarFile, tripDays, type ProofTold } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { download, fileName } from '../../ui/download';
import { counted } from '../../ui/words';

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
    units: view.units,
    now: new Date().toISOString(),
  });
  download(fileName(trip?.name ?? bike.name, 'ics'), text, 'text/calendar');
  notice.say('Saved. Import it again after a change: what is there is corrected.');
}
const PAGES = [
  {
    to: '/print/checks',
    name: 'Checks on one page',
    says: 'with boxes to tick, in the order of the walk round the bike',
  },
  {
    to: '/print/card',
    name: 'Pocket card',
    says: 'sizes, torques, pressures, fluids, who and where; emergency lines to fill in',
  },
  { to: '/print/repairs', name: 'Repair sheets', says: 'steps, places and cautions of each likely repair' },
  { to: '/print/book', name: 'Whole trip book', says: 'all of it as one print, with a table of contents' },
  { to: '/print', name: 'Packing list', says: 'one page by place' },
];
</script>

<template>
  <div>
    <section>
      <h2>Calendar</h2>
      <p v-if="garage.trip && !garage.trip.leaves">
        Say under <router-link :to="{ path: '/prove', query: { tab: 'checks' } }">Checks</router-link> when you leave:
        then each check has its day.
      </p>
      <p v-else>{{ counted(open.length, 'check') }} with a day, each with a reminder the evening before.</p>
      <p class="acts"><v-btn :disabled="dated.length === 0" @click="save">Save the calendar file</v-btn></p>
      <p class="soft">An open calendar file (.ics): import it anywhere, and again whenever something changed.</p>
    </section>
    <section>
      <h2>Paper</h2>
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
