<script setup lang="ts">
/** The crew's lists on paper: a page for each rider, and one for the whole; boxes to tick, black on white. */
import { computed, onBeforeUnmount } from 'vue';
import { useRoute } from 'vue-router';
import { at, listOfCarrier } from '@necessaire/core';
import { useCrew } from '../stores/crew';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { counted, massText } from '../ui/words';
import './paper.css';
import * as texts from '../words/print/crewPrint';

const crew = useCrew();
const garage = useGarage();
const view = useView();
const route = useRoute();
crew.want(true);
onBeforeUnmount(() => crew.want(false));
const answer = computed(() => crew.answer);
const pages = computed(() => {
  const a = answer.value;
  if (!a) return [];
  const one = Number(route.query['who'] ?? Number.NaN);
  return a.carriers
    .filter((c) => (Number.isInteger(one) ? c.number === one : c.tokens.length > 0))
    .map((c) => ({ ...c, who: at(a.names, c.number), lines: listOfCarrier(a, c.number) }));
});
const whole = computed(() => route.query['who'] === undefined);
const aid = computed(() => {
  const a = answer.value;
  if (!a) return '';
  const trained = a.names.filter((n) => n.firstAid).map((n) => n.name);
  const kits = a.carriers.flatMap((c) =>
    c.tokens.some((t) => /first-aid/iu.test(t.name)) ? [at(a.names, c.number).name] : [],
  );
  return texts.firstAidTrainedKitsWith(trained.join(', ') || texts.nobody, kits.join(', ') || texts.nobody);
});
const print = () => window.print();
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" :aria-label="texts.print">
      <v-btn variant="tonal" to="/crew?tab=lists">{{ texts.back }}</v-btn><v-btn @click="print">{{
        texts.print
      }}</v-btn>
      <span v-if="crew.busy || crew.first" role="status">{{ texts.lookingForABetterSharing }}</span>
    </nav>
    <main v-if="answer">
      <article v-if="whole" class="paper large">
        <header>
          <h1>{{ texts.whoCarriesWhat(garage.trip?.name) }}</h1>
          <p>
            {{
              texts.inAll(
                counted(answer.names.filter((n) => n.bike).length, 'rider'),
                massText(view.units, answer.mass),
                aid,
              )
            }}
          </p>
        </header>
        <div class="columns">
          <section v-for="p in pages" :key="p.number">
            <h2>
              {{ p.who.name }} <span>{{ massText(view.units, p.mass) }}</span>
            </h2>
            <ul>
              <li v-for="l in p.lines" :key="l.what">
                <span class="what">{{ l.what }}{{ l.count > 1 ? ` ×${l.count}` : '' }}</span>
                <span class="num">{{ massText(view.units, l.mass) }}</span>
              </li>
            </ul>
          </section>
        </div>
      </article>
      <article v-for="p in pages" :key="p.number" class="paper large rider">
        <header>
          <h1>{{ p.who.name }}: {{ garage.trip?.name }}</h1>
          <p>
            {{ p.who.bike?.name ?? '' }} {{ counted(p.lines.length, 'thing') }}, {{ massText(view.units, p.mass) }}.
            {{ aid }}
          </p>
        </header>
        <div class="columns">
          <section>
            <ul>
              <li v-for="l in p.lines" :key="l.what">
                <span class="tick" aria-hidden="true" /><span class="what"
                  >{{ l.what }}{{ l.count > 1 ? ` ×${l.count}` : ''
                  }}<template v-if="l.from"> {{ ' ' }}{{ texts.from(l.from) }}</template
                  ><template v-if="l.buy > 0"> {{ ' ' }}{{ texts.buy(l.buy) }}</template></span
                ><span class="num">{{ massText(view.units, l.mass) }}</span>
              </li>
            </ul>
          </section>
          <section class="cautions">
            <h2>{{ texts.takeCare }}</h2>
            <p>{{ texts.theTorqueInTheManual }}</p>
          </section>
        </div>
      </article>
    </main>
    <p v-else-if="!crew.crew" class="empty">{{ texts.nobodyRidesAlongOnThis }}</p>
    <p v-else class="empty">{{ texts.sharingOut }}</p>
  </div>
</template>

<style scoped>
.rider {
  break-before: page;
  margin-top: 24px;
}
</style>
