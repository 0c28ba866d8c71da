<script setup lang="ts">
/** Nobody gets lost: where one is as one says it on the phone, whom to call, help ahead and back, light and range left. */
import { computed, onMounted, ref } from 'vue';
import { CARD_LINE, daylightLeft, legNeeds, positionText, whereOnRoute, withUnit, type Spot } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useOwnCard } from '../../stores/ownCard';
import { useView } from '../../stores/view';
import { tellPlace } from '../../sync/position';
import LineField from '../../ui/LineField.vue';
import NumberField from '../../ui/NumberField.vue';
import { hoursText } from '../../words/prove';
import { HELP_WORDS } from '../../words/road';

const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
const at = ref<(Spot & { off: number }) | null>(null);
const trouble = ref('');
function locate() {
  trouble.value = '';
  if (!('geolocation' in navigator)) {
    trouble.value = 'This device does not say where it is.';
    return;
  }
  navigator.geolocation.getCurrentPosition(
    (p) => {
      at.value = { lat: p.coords.latitude, lon: p.coords.longitude, off: p.coords.accuracy };
      tellPlace(at.value);
    },
    (e) =>
      (trouble.value =
        e.code === 1
          ? 'You did not allow the position. Allow it in the browser, or read it from another device.'
          : 'No position yet: go where you see the sky, and try again.'),
    { enableHighAccuracy: true, timeout: 20_000, maximumAge: 60_000 },
  );
}
onMounted(locate);
const said = computed(() => (at.value ? positionText(at.value) : null));
const where = computed(() => (at.value && garage.trip?.route ? whereOnRoute(garage.trip.route, at.value) : null));
const light = computed(() => (at.value ? daylightLeft(at.value, new Date().toISOString()) : null));
/** How sure the position is, in metres or feet. */
const FEET = 3.28084;
const offText = computed(() => {
  const metres = at.value?.off ?? 0;
  return view.units === 'metric' ? `${Math.round(metres)} m` : `${Math.round(metres * FEET)} ft`;
});
/** So far off the track one is not on it, km. */
const FAR_OFF = 5;
const km = (v: number) => withUnit(view.units, 'distance', v);
const own = useOwnCard();
const range = computed(() => {
  const { bike, trip } = garage;
  if (!bike || !trip || trip.legs.length === 0) return null;
  const worst = Math.min(...trip.legs.map((l) => legNeeds(bike, l).range));
  return own.filledAt > 0 ? worst - (bike.odometer - own.filledAt) : worst;
});
const water = computed(() => {
  const { bike, trip } = garage;
  return bike && trip && trip.legs.length > 0 ? Math.max(...trip.legs.map((l) => legNeeds(bike, l).water)) : null;
});
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="720"
    scrollable
    aria-label="Where am I, whom to call"
    @update:model-value="emit('close')"
  >
    <div class="card dialog-card">
      <div class="top-line">
        <h1>Say this on the phone</h1>
        <v-btn variant="tonal" @click="emit('close')">Close</v-btn>
      </div>
      <p class="caution">
        Badly hurt, or in danger: call the local emergency number. Necessaire never dials. Stay with whoever is hurt,
        and keep warm.
      </p>
      <section aria-live="polite">
        <p v-if="said" class="big num">{{ said.decimal }}</p>
        <p v-if="said" class="num">
          {{ said.minutes }} <span class="soft">within {{ offText }}</span>
        </p>
        <p v-else-if="trouble" class="gap" role="alert">{{ trouble }}</p>
        <p v-else class="soft">Looking for the position …</p>
        <v-btn variant="tonal" @click="locate">Look again</v-btn>
      </section>
      <section v-if="where">
        <p v-if="where.off > FAR_OFF" class="big">
          <span class="num">{{ km(where.off) }}</span> off the way of this trip
        </p>
        <p v-else class="big">
          <template v-if="where.last"
            ><span class="num">{{ km(where.last.km) }}</span> after {{ where.last.name }}</template
          >
          <template v-else
            ><span class="num">{{ km(where.km) }}</span> from the start</template
          >
          <template v-if="where.next"
            >, <span class="num">{{ km(where.next.km) }}</span> before {{ where.next.name }}</template
          >
        </p>
        <p class="soft">
          {{ garage.trip?.name }}, {{ km(where.km) }} from the start, {{ km(where.left) }} to go<template
            v-if="where.off > 0.3"
            >; {{ km(where.off) }} off the way</template
          >.
        </p>
        <v-table v-if="where.help.length > 0">
          <thead>
            <tr>
              <th scope="col">Help</th>
              <th scope="col">Which</th>
              <th scope="col">Way</th>
              <th scope="col">Time</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="h in where.help" :key="`${h.kind} ${h.side}`">
              <th scope="row">{{ HELP_WORDS[h.kind] }}</th>
              <td>{{ h.name }}</td>
              <td class="num">{{ km(h.km) }} {{ h.side }}</td>
              <td class="num">{{ hoursText(h.hours) }}</td>
            </tr>
          </tbody>
        </v-table>
      </section>
      <section class="left">
        <p v-if="light">
          Light: <strong class="num">{{ light.minutes > 0 ? hoursText(light.minutes / 60) : 'none' }}</strong> left,
          sunset {{ new Date(light.until).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' }) }}.
        </p>
        <p v-if="range !== null">
          Fuel: about <strong class="num">{{ km(Math.max(0, range)) }}</strong> to the reserve, on the worst ground of
          the trip.
        </p>
        <p v-if="water !== null">
          Water: <strong class="num">{{ withUnit(view.units, 'capacity', water) }}</strong> a day each, at the least.
        </p>
        <NumberField
          v-model="own.filledAt"
          label="Filled up at, on the clock"
          quantity="distance"
          :max="1000000"
          @update:model-value="own.keep"
        />
      </section>
      <section>
        <h2>Only on this device</h2>
        <LineField v-model="own.card.name" label="Your name" :maxlength="CARD_LINE" @change="own.keep" />
        <LineField
          v-model="own.card.riders"
          label="Who rides with you, and whom to call for them"
          :maxlength="CARD_LINE"
          @change="own.keep"
        />
        <LineField
          v-model="own.card.call"
          label="Whom to call, and the recovery number"
          :maxlength="CARD_LINE"
          @change="own.keep"
        />
        <LineField
          v-model="own.card.health"
          label="Blood group, allergies, if you want to"
          :maxlength="CARD_LINE"
          @change="own.keep"
        />
        <p v-if="!own.stored" class="gap" role="alert">
          This browser is full: these details are kept until you close the page. Write them on paper.
        </p>
        <p class="soft">
          This stays in this browser: it is not in the garage and not at the server. A file or a print has it only where
          you tick that.
        </p>
      </section>
    </div>
  </v-dialog>
</template>

<style scoped>
.card {
  display: grid;
  gap: 10px;
}
.top-line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
.big {
  font-size: 26px;
  line-height: 1.2;
  font-weight: 600;
}
section {
  display: grid;
  gap: 6px;
  border-top: 1px solid var(--hair);
  padding-top: 10px;
}
section > .v-btn {
  justify-self: start;
}
.left p {
  font-size: 17px;
}
</style>
