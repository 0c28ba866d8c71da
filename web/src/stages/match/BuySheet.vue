<script setup lang="ts">
/** What to buy so that nothing is out of reach: single pieces against sets, for the least money or the least mass. */
import SelectField from '../../ui/SelectField.vue';
import { computed, ref } from 'vue';
import { present, newPiece, positionsOf, practiceSchema, setModels, writeCsv, type BuyFor } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { download, fileName } from '../../ui/download';
import { massText } from '../../ui/words';
import { useBuyList } from './useBuyList';
import { useMoney } from '../../ui/useMoney';
import * as texts from '../../words/match/buySheet';

const { money } = useMoney();
const garage = useGarage();
const answers = useAnswer();
const view = useView();
const notice = useNotice();
const least = ref<BuyFor>('money');
const list = useBuyList(least);
const QUALITIES = positionsOf('quality');
function quality(value: unknown) {
  const g = present(garage.doc).garage;
  const next = practiceSchema.parse({ ...g.practice, quality: value });
  garage.edit(texts.changeTheQuality, [], { ...g, practice: next });
}
const nothing = computed(
  () => list.value && list.value.cures.length + list.value.hopeless.length + list.value.functions.length === 0,
);
function csv() {
  const l = list.value;
  if (!l) return;
  const rows = [
    ...l.singles.map((s) => ['piece', s.piece.name, s.count, s.piece.price, s.piece.mass, '']),
    ...l.sets.map((s) => [
      'set',
      s.set.name,
      1,
      s.set.price,
      '',
      texts.usedToTheToolbox(s.used.join(', '), s.left.join(', ')),
    ]),
  ];
  const text = writeCsv(['kind', 'name', 'count', 'price €', texts.massG, 'note'], rows);
  download(fileName(texts.toBuy(garage.bike?.name ?? 'bike'), 'csv'), text, 'text/csv');
}
/** All of it into the toolbox, noted as still to be bought: the answer is at once what it will be. */
function plan() {
  const l = list.value;
  if (!l) return;
  const pieces = [
    ...l.singles.map((s) => ({ ...s.piece, id: crypto.randomUUID() as string, count: s.count, note: texts.toBuy2 })),
    ...l.sets.flatMap(({ set }) =>
      setModels(set).map((m) => newPiece(m, { id: crypto.randomUUID(), set: set.name, note: texts.toBuy2 })),
    ),
  ];
  garage.edit(
    texts.planTheBuyList,
    pieces.map((after) => ({ table: 'pieces' as const, id: after.id, before: null, after })),
  );
  notice.done(texts.toolsAreInTheToolbox(pieces.length));
}
</script>

<template>
  <div class="buy">
    <p class="ask">
      <SelectField
        :label="texts.least"
        :items="[
          { title: texts.price, value: 'money' },
          { title: texts.weight, value: 'mass' },
        ]"
        v-model="least"
      />
      <SelectField
        :label="texts.quality"
        :items="QUALITIES"
        :model-value="garage.doc?.garage.practice.quality"
        @update:model-value="quality"
      />
    </p>
    <p v-if="!list" class="empty">{{ texts.calculating }}</p>
    <template v-else>
      <p v-if="nothing" class="empty">
        {{ texts.yourToolsReachEveryFastener }}
      </p>
      <template v-else>
        <div class="sheet-head">
          <h2>
            {{ texts.for2(list.cures.length, list.cures.length === 1 ? texts.gap : texts.gaps)
            }}<template v-if="list.functions.length > 0">{{
              texts.andTo(list.functions.map((f) => f.does).join(', '))
            }}</template>
          </h2>
          <span class="num">{{ money(list.price) }}, {{ massText(view.units, list.mass) }}</span>
        </div>
        <div v-for="s in list.singles" :key="s.piece.id" class="row buy-row">
          <span class="title"
            >{{ s.piece.name }}<span v-if="s.count > 1" class="num"> ×{{ s.count }}</span></span
          >
          <span class="num">{{ massText(view.units, s.piece.mass) }}</span>
          <span class="num">{{ money(s.piece.price) }}</span>
        </div>
        <div v-for="s in list.sets" :key="s.set.name" class="row buy-row">
          <span
            ><span class="title">{{ s.set.name }}</span
            ><span class="sub">{{ texts.used(s.used.join(', ')) }}</span
            ><span v-if="s.left.length > 0" class="sub">{{ texts.toTheToolbox(s.left.join(', ')) }}</span></span
          >
          <span />
          <span class="num">{{ money(s.set.price) }}</span>
        </div>
        <p v-for="o in list.forOthers" :key="o.bike" class="note">
          {{ texts.gainsByIt(o.bike, o.fasteners.join(', ').toLowerCase()) }}
        </p>
        <p v-if="list.hopeless.length > 0" class="note gap">
          {{ texts.nothingInTheCatalogueReaches(list.hopeless.map((f) => f.name.toLowerCase()).join(', ')) }}
        </p>
        <p class="note soft">
          {{ texts.overTheCataloguesUsualPrices(list.proven ? texts.provenBest : texts.bestFoundNotProvenBest) }}
        </p>
        <p v-if="answers.answer" class="note">
          {{ texts.theToolsInTheBag }} <span class="num">{{ money(answers.answer.kit.worth) }}</span>{{
            texts.withTheseAbout
          }}
          <span class="num">{{ money(answers.answer.kit.worth + list.price) }}</span><template
            v-if="garage.doc?.garage.practice.worth !== null"
            >{{ texts.againstYourLimitOf }}
            <span class="num">{{ money(garage.doc?.garage.practice.worth ?? 0) }}</span></template
          >{{ texts.theLimitIsSetIn }} <router-link to="/kit">{{ texts.kit }}</router-link>.
        </p>
        <p v-if="list.singles.length + list.sets.length > 0" class="acts">
          <v-btn variant="tonal" :to="{ path: '/print/buy', query: { least } }">{{ texts.print }}</v-btn>
          <v-btn @click="plan">{{ texts.addAllToTheToolbox }}</v-btn>
          <v-btn variant="tonal" @click="csv">{{ texts.exportCsv }}</v-btn>
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
.ask {
  padding: 10px 16px 2px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.acts a {
  text-decoration: none;
}
.buy-row {
  grid-template-columns: minmax(0, 1fr) 70px 70px;
}
.buy-row .num {
  text-align: right;
}
.title,
.sub {
  display: block;
}
.note {
  padding: 8px 16px 0;
  font-size: 14.5px;
}
.acts {
  display: flex;
  gap: 12px;
  padding: 14px 16px;
}
</style>
