<script setup lang="ts">
/** The buy list on paper: boxes to tick in the shop, black on white. */
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useBuyList } from '../stages/match/useBuyList';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { massText } from '../ui/words';
import './paper.css';
import { useMoney } from '../ui/useMoney';
import * as texts from '../words/print/buyPrint';

const { money } = useMoney();
const garage = useGarage();
const answers = useAnswer();
const view = useView();
const route = useRoute();
const least = computed(() => (route.query['least'] === 'mass' ? ('mass' as const) : ('money' as const)));
const list = useBuyList(least);
const spares = computed(() => answers.answer?.kit.spares.filter((s) => s.buy > 0) ?? []);
const print = () => window.print();
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" :aria-label="texts.print">
      <v-btn variant="tonal" to="/match">{{ texts.back }}</v-btn><v-btn @click="print">{{ texts.print }}</v-btn>
    </nav>
    <main v-if="list && garage.bike" class="paper large">
      <header>
        <h1>{{ texts.toBuyFor(garage.bike.name) }}</h1>
        <p>
          {{
            texts.leastUsualPricesTypicalValues(
              money(list.price, 2),
              massText(view.units, list.mass),
              least === 'mass' ? texts.lowestWeight : texts.lowestPrice,
            )
          }}
        </p>
      </header>
      <div class="columns">
        <section v-if="list.singles.length > 0">
          <h2>{{ texts.pieces }}</h2>
          <ul>
            <li v-for="s in list.singles" :key="s.piece.id">
              <span class="tick" aria-hidden="true" /><span class="what"
                >{{ s.piece.name }}<template v-if="s.count > 1"> ×{{ s.count }}</template></span
              ><span class="num">{{ money(s.piece.price * s.count, 2) }}</span>
            </li>
          </ul>
        </section>
        <section v-for="s in list.sets" :key="s.set.name">
          <h2>{{ s.set.name }}</h2>
          <ul>
            <li>
              <span class="tick" aria-hidden="true" /><span class="what">{{ texts.for2(s.used.join(', ')) }}</span
              ><span class="num">{{ money(s.set.price, 2) }}</span>
            </li>
            <li v-if="s.left.length > 0">
              <span class="what">{{ texts.toTheToolbox(s.left.join(', ')) }}</span>
            </li>
          </ul>
        </section>
        <section v-if="spares.length > 0">
          <h2>{{ texts.sparesAndSupplies }}</h2>
          <ul>
            <li v-for="s in spares" :key="s.kind">
              <span class="tick" aria-hidden="true" /><span class="what">{{ s.name }}</span
              ><span class="num">{{ s.buy }}</span>
            </li>
          </ul>
        </section>
        <section v-if="list.hopeless.length > 0">
          <h2>{{ texts.nothingInTheCatalogueReaches }}</h2>
          <ul>
            <li v-for="f in list.hopeless" :key="f.id">
              <span class="what">{{ f.name }}</span>
            </li>
          </ul>
        </section>
      </div>
    </main>
    <p v-else class="empty">{{ texts.workingOutTheList }}</p>
  </div>
</template>
