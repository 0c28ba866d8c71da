<script setup lang="ts">
/** One page by place with boxes to tick, black on white, from the browser's print. */
import { computed, onBeforeUnmount } from 'vue';
import {
  at,
  present,
  figure,
  HOOKED_CAUTION,
  isHooked,
  printShape,
  STATION_NAMES,
  tripDays,
  unitOf,
  type Fastener,
} from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { usePacking } from '../stores/packing';
import { useView } from '../stores/view';
import { counted, massText } from '../ui/words';
import './paper.css';
import * as texts from '../words/print/printView';

const answers = useAnswer();
const garage = useGarage();
const view = useView();
const a = computed(() => answers.answer);
const groups = computed(() => {
  const stowed = a.value?.packing.stowed ?? [];
  const order = [
    ...garage.places.map((p) => ({ id: p.id as string | null, name: p.name, tier: p.tier as string })),
    { id: null, name: texts.notPackedNoPlaceFound, tier: '' },
  ];
  return order
    .map((o) => ({
      ...o,
      // A roll is gone through slot by slot, everything else by name.
      items: stowed
        .filter((s) => s.placeId === o.id)
        .sort((x, y) => (x.slot ?? 99) - (y.slot ?? 99) || (x.item.name < y.item.name ? -1 : 1)),
    }))
    .filter((g) => g.items.length > 0);
});
const items = computed(() => groups.value.reduce((n, g) => n + g.items.length, 0));
/** Type shrinks with the list so that it stays on one page. */
const size = computed(() => (items.value > 95 ? 'small' : items.value > 62 ? 'middle' : 'large'));
const gaps = computed(() =>
  garage.fasteners.filter((f) => a.value?.fasteners.some((x) => x.id === f.id && !x.reached)),
);
/** Its size and where it is, and what keeps the nearest tool from it. */
const outOfReach = (f: Fastener): string => {
  const fail = a.value?.fasteners.find((x) => x.id === f.id)?.fails[0]?.fail;
  return `${printShape(f.head)}, ${STATION_NAMES[f.station].toLowerCase()}${fail ? `: ${view.inWords(fail.message)}` : ''}`;
};
const buying = computed(() => a.value?.kit.spares.filter((s) => s.buy > 0) ?? []);
const cautions = computed(() => {
  const likely = (a.value?.exposures ?? []).filter((e) => e.odds >= 0.02);
  // Of each likely trouble the caution of the way that this kit goes, whole and with the troubles that it is for.
  const said = new Map<string, string[]>();
  const hooked = garage.fasteners.filter((f) => a.value?.kitUse[f.id]?.some(isHooked));
  if (hooked.length > 0) said.set(HOOKED_CAUTION, hooked.length === 1 ? [at(hooked, 0).name] : []);
  for (const e of likely) {
    const names = present(a.value)
      .kit.mends.filter((m) => m.troubleId === e.trouble.id)
      .map((m) => m.wayName);
    for (const way of e.trouble.ways)
      // Each sentence stands for itself, and is said once however many troubles it is for.
      for (const sentence of names.includes(way.name) ? way.caution.split(/(?<=\.) /).filter(Boolean) : []) {
        const of = said.get(sentence) ?? [];
        if (!of.includes(e.trouble.name)) said.set(sentence, [...of, e.trouble.name]);
      }
  }
  return [...said].slice(0, 9).map(([caution, of]) => ({ caution, of: of.length === 1 ? at(of, 0) : '' }));
});
const print = () => window.print();
// The paper shows the places that Stow shows: the same search runs while either is open.
const search = usePacking();
search.want(true);
onBeforeUnmount(() => search.want(false));
const seeking = computed(() => a.value !== null && !a.value.packing.proven && search.progress !== null);
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" :aria-label="texts.print">
      <v-btn variant="tonal" to="/stow">{{ texts.back }}</v-btn><v-btn @click="print">{{ texts.print }}</v-btn>
      <span v-if="seeking" role="status">{{ texts.lookingForABetterLayout }}</span>
    </nav>
    <main v-if="a && garage.bike" class="paper" :class="size">
      <header>
        <h1>
          {{ garage.bike.name }}<template v-if="garage.trip">: {{ garage.trip.name }}</template>
        </h1>
        <p>
          {{
            texts.things(
              items,
              massText(view.units, a.kit.mass),
              figure(view.units, 'volume', a.kit.bulk),
              unitOf(view.units, 'volume'),
            )
          }}<template v-if="garage.trip">, {{ counted(tripDays(garage.trip), 'day') }}</template
          >{{ texts.thisKitReachesOfFasteners(answers.figures?.carried, a.chosen) }}
        </p>
      </header>
      <div class="columns">
        <section v-for="g in groups" :key="g.id ?? 'loose'">
          <h2>
            {{ g.name }} <span>{{ g.tier }}</span>
          </h2>
          <ul>
            <li v-for="s in g.items" :key="s.item.key">
              <span class="tick" aria-hidden="true" /><span class="what"
                >{{ s.item.name
                }}<template v-if="s.slot !== null && !s.on"> {{ ' ' }}{{ texts.slot(s.slot + 1) }}</template
                ><template v-if="s.on">
                  · {{ s.on.how === 'wound' ? texts.round : texts.inside }} {{ s.on.name }}</template
                ></span
              ><span class="num">{{ massText(view.units, s.item.mass) }}</span>
            </li>
          </ul>
        </section>
        <section v-if="buying.length > 0">
          <h2>{{ texts.toBuyBeforeLeaving }}</h2>
          <ul>
            <li v-for="s in buying" :key="s.kind">
              <span class="tick" aria-hidden="true" /><span class="what">{{ s.name }}</span
              ><span class="num">{{ s.buy }}</span>
            </li>
          </ul>
        </section>
        <section v-if="gaps.length > 0">
          <h2>{{ texts.outOfReachWithEverything }}</h2>
          <ul>
            <li v-for="f in gaps" :key="f.id">
              <span class="what">{{ f.name }}</span>
              <span>{{ outOfReach(f) }}</span>
            </li>
          </ul>
        </section>
        <section class="cautions">
          <h2>{{ texts.takeCare }}</h2>
          <p>
            {{ texts.theTorqueInTheManual }}
            <template v-for="c in cautions" :key="c.caution"
              ><strong v-if="c.of">{{ c.of }}: </strong>{{ c.caution }}{{ ' ' }}</template
            >
          </p>
        </section>
      </div>
    </main>
    <p v-else class="empty">{{ texts.workingOutTheList }}</p>
  </div>
</template>
