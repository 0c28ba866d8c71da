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
import * as texts from '../../words/road/cardDialog';

const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
const at = ref<(Spot & { off: number }) | null>(null);
const trouble = ref('');
function locate() {
  trouble.value = '';
  if (!('geolocation' in navigator)) {
    trouble.value = texts.thisDeviceDoesNotSay;
    return;
  }
  navigator.geolocation.getCurrentPosition(
    (p) => {
      at.value = { lat: p.coords.latitude, lon: p.coords.longitude, off: p.coords.accuracy };
      tellPlace(at.value);
    },
    (e) => (trouble.value = e.code === 1 ? texts.youDidNotAllowThe : texts.noPositionYetGoWhere),
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
    :aria-label="texts.whereAmIWhomTo"
    @update:model-value="emit('close')"
  >
    <div class="card dialog-card">
      <div class="top-line">
        <h1>{{ texts.sayThisOnThePhone }}</h1>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </div>
      <p class="caution">
        {{ texts.badlyHurtOrInDanger }}
      </p>
      <section aria-live="polite">
        <p v-if="said" class="big num">{{ said.decimal }}</p>
        <p v-if="said" class="num">
          {{ said.minutes }} <span class="soft">{{ texts.within(offText) }}</span>
        </p>
        <p v-else-if="trouble" class="gap" role="alert">{{ trouble }}</p>
        <p v-else class="soft">{{ texts.lookingForThePosition }}</p>
        <v-btn variant="tonal" @click="locate">{{ texts.lookAgain }}</v-btn>
      </section>
      <section v-if="where">
        <p v-if="where.off > FAR_OFF" class="big">
          <span class="num">{{ km(where.off) }}</span> {{ texts.offTheWayOfThis }}
        </p>
        <p v-else class="big">
          <template v-if="where.last"
            ><span class="num">{{ km(where.last.km) }}</span> {{ texts.after(where.last.name) }}</template
          >
          <template v-else
            ><span class="num">{{ km(where.km) }}</span> {{ texts.fromTheStart }}</template
          >
          <template v-if="where.next"
            >, <span class="num">{{ km(where.next.km) }}</span> {{ texts.before(where.next.name) }}</template
          >
        </p>
        <p class="soft">
          {{ texts.fromTheStartToGo(garage.trip?.name, km(where.km), km(where.left))
          }}<template v-if="where.off > 0.3">{{ texts.offTheWay(km(where.off)) }}</template
          >.
        </p>
        <v-table v-if="where.help.length > 0">
          <thead>
            <tr>
              <th scope="col">{{ texts.help }}</th>
              <th scope="col">{{ texts.which }}</th>
              <th scope="col">{{ texts.way }}</th>
              <th scope="col">{{ texts.time }}</th>
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
          {{ texts.light }}
          <strong class="num">{{ light.minutes > 0 ? hoursText(light.minutes / 60) : texts.none }}</strong>
          {{ texts.leftSunset(new Date(light.until).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })) }}
        </p>
        <p v-if="range !== null">
          {{ texts.fuelAbout }} <strong class="num">{{ km(Math.max(0, range)) }}</strong> {{ texts.toTheReserveOnThe }}
        </p>
        <p v-if="water !== null">
          {{ texts.water }} <strong class="num">{{ withUnit(view.units, 'capacity', water) }}</strong>
          {{ texts.aDayEachAtThe }}
        </p>
        <NumberField
          v-model="own.filledAt"
          :label="texts.filledUpAtOnThe"
          quantity="distance"
          :max="1000000"
          @update:model-value="own.keep"
        />
      </section>
      <section>
        <h2>{{ texts.onlyOnThisDevice }}</h2>
        <LineField v-model="own.card.name" :label="texts.yourName" :maxlength="CARD_LINE" @change="own.keep" />
        <LineField
          v-model="own.card.riders"
          :label="texts.whoRidesWithYouAnd"
          :maxlength="CARD_LINE"
          @change="own.keep"
        />
        <LineField v-model="own.card.call" :label="texts.whomToCallAndThe" :maxlength="CARD_LINE" @change="own.keep" />
        <LineField
          v-model="own.card.health"
          :label="texts.bloodGroupAllergiesIfYou"
          :maxlength="CARD_LINE"
          @change="own.keep"
        />
        <p v-if="!own.stored" class="gap" role="alert">
          {{ texts.thisBrowserIsFullThese }}
        </p>
        <p class="soft">
          {{ texts.thisStaysInThisBrowser }}
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
