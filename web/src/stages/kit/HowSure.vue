<script setup lang="ts">
/** How much of the kit hangs on the rates: what stays when they are a third or three times as high, and what leaves or comes. */
import { computed } from 'vue';
import { RATE_RANGE, type RatesAt, type Sureness } from '@necessaire/core';
import { useHowSure } from '../../stores/weighs';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import WorkBar from '../../ui/WorkBar.vue';
import * as texts from '../../words/kit/howSure';

const sure = useHowSure();
const view = useView();
const rates = ({ of, factor }: Pick<RatesAt, 'of' | 'factor'>) =>
  `${of === 'all' ? texts.allRates : texts.ratesOf(of)} ${factor > 1 ? `× ${RATE_RANGE}` : `÷ ${RATE_RANGE}`}`;
const when = (s: Sureness) => s.flips.map(rates).join(', ');
const numbers = (s: Sureness) => (s.least === s.most ? `${s.now}` : texts.to(s.least, s.most));
const leave = computed(() => (sure.result?.flipping ?? []).filter((s) => s.now > 0));
const come = computed(() => (sure.result?.flipping ?? []).filter((s) => s.now === 0));
const changes = computed(() =>
  [
    { title: texts.inTheKitMayLeave, how: texts.leavesWith, list: leave.value },
    { title: texts.notInTheKitMay, how: texts.comesWith, list: come.value },
  ].filter((t) => t.list.length > 0),
);
const ends = computed(() => (sure.result?.looks ?? []).filter((l) => l.of === 'all'));
</script>

<template>
  <section class="sure" :aria-label="texts.howSureIsThis">
    <h2>{{ texts.howSureIsThis }}</h2>
    <p class="soft">
      {{ texts.howOftenThingsBreakIs(RATE_RANGE, RATE_RANGE) }}
    </p>
    <v-btn v-if="sure.progress === null && !sure.result" variant="outlined" @click="sure.start()">{{
      texts.checkIt
    }}</v-btn>
    <WorkBar
      v-if="sure.progress !== null"
      :says="texts.choosingTheKitWithOther"
      :share="sure.progress"
      @stop="sure.stop()"
    />
    <p v-if="sure.failed" role="alert" class="gap">{{ texts.thatCouldNotBeWorked }}</p>
    <template v-if="sure.result">
      <p class="answer">
        <strong class="num">{{ sure.result.robust.length }}</strong> {{ texts.of2 }}
        <strong class="num">{{ sure.result.robust.length + leave.length }}</strong>
        {{ texts.thingsStayWhateverTheRates }}
      </p>
      <ul class="ends">
        <li v-for="l in ends" :key="l.factor">
          {{ texts.with2(rates(l)) }} <strong class="num">{{ massText(view.units, l.mass) }}</strong>{{
            texts.savesH(l.saved.toFixed(1), l.proven ? '' : texts.notProven)
          }}
        </li>
      </ul>
      <v-table v-for="t in changes" :key="t.title" density="compact">
        <thead>
          <tr>
            <th scope="col">{{ t.title }}</th>
            <th scope="col">{{ texts.number }}</th>
            <th scope="col">{{ t.how }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in t.list" :key="s.name">
            <th scope="row">{{ s.name }}</th>
            <td class="num">{{ numbers(s) }}</td>
            <td>{{ when(s) }}</td>
          </tr>
        </tbody>
      </v-table>
      <p class="soft">
        {{ texts.staysYouCanWriteBetter(sure.result.robust.map((s) => s.name).join(', ')) }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.sure {
  margin-top: 18px;
}
.sure h2 {
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
.at-work {
  display: flex;
  align-items: center;
  gap: 12px;
}
.answer {
  font-size: 17px;
  margin: 8px 0 2px;
}
.ends {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
}
th {
  text-align: left;
}
</style>
