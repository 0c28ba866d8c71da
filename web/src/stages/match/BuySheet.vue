<script setup lang="ts">
/** What to buy so that nothing is out of reach: single pieces against sets, for the least money or the least mass. */
import SelectField from '../../ui/SelectField.vue';
import { computed, ref } from 'vue';
import { newPiece, practiceSchema, setModels, writeCsv, type BuyFor } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { download, fileName } from '../../ui/download';
import { massText } from '../../ui/words';
import { useBuyList } from './useBuyList';
import { useMoney } from '../../ui/useMoney';

const { money } = useMoney();
const garage = useGarage();
const answers = useAnswer();
const view = useView();
const notice = useNotice();
const least = ref<BuyFor>('money');
const list = useBuyList(least);
const QUALITIES = practiceSchema.shape.quality.options;
function quality(value: unknown) {
  const g = garage.doc!.garage;
  const next = practiceSchema.parse({ ...g.practice, quality: value });
  garage.edit('change the quality', [], { ...g, practice: next });
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
      `used: ${s.used.join(', ')}; to the toolbox: ${s.left.join(', ')}`,
    ]),
  ];
  const text = writeCsv(['kind', 'name', 'count', 'price €', 'mass g', 'note'], rows);
  download(fileName(`${garage.bike?.name ?? 'bike'} to buy`, 'csv'), text, 'text/csv');
}
/** All of it into the toolbox, noted as still to be bought: the answer is at once what it will be. */
function plan() {
  const l = list.value;
  if (!l) return;
  const pieces = [
    ...l.singles.map((s) => ({ ...s.piece, id: crypto.randomUUID() as string, count: s.count, note: 'to buy' })),
    ...l.sets.flatMap(({ set }) =>
      setModels(set).map((m) => newPiece(m, { id: crypto.randomUUID(), set: set.name, note: 'to buy' })),
    ),
  ];
  garage.edit(
    'plan the buy list',
    pieces.map((after) => ({ table: 'pieces' as const, id: after.id, before: null, after })),
  );
  notice.done(`${pieces.length} tools are in the toolbox, noted "to buy".`);
}
</script>

<template>
  <div class="buy">
    <p class="ask">
      <SelectField
        label="Least"
        :items="[
          { title: 'money', value: 'money' },
          { title: 'mass', value: 'mass' },
        ]"
        v-model="least"
      />
      <SelectField
        label="Quality"
        :items="QUALITIES"
        :model-value="garage.doc?.garage.practice.quality"
        @update:model-value="quality"
      />
    </p>
    <p v-if="!list" class="empty">Calculating …</p>
    <template v-else>
      <p v-if="nothing" class="empty">
        Your tools reach every fastener and does what the trip asks for: nothing to buy.
      </p>
      <template v-else>
        <div class="sheet-head">
          <h2>
            For {{ list.cures.length }} {{ list.cures.length === 1 ? 'gap' : 'gaps'
            }}<template v-if="list.functions.length > 0"
              >, and to {{ list.functions.map((f) => f.does).join(', ') }}</template
            >
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
            ><span class="sub">Used: {{ s.used.join(', ') }}</span
            ><span v-if="s.left.length > 0" class="sub">To the toolbox: {{ s.left.join(', ') }}</span></span
          >
          <span />
          <span class="num">{{ money(s.set.price) }}</span>
        </div>
        <p v-for="o in list.forOthers" :key="o.bike" class="note">
          {{ o.bike }} gains by it: {{ o.fasteners.join(', ').toLowerCase() }}.
        </p>
        <p v-if="list.hopeless.length > 0" class="note gap">
          Nothing in the catalogue reaches {{ list.hopeless.map((f) => f.name.toLowerCase()).join(', ') }}: check the
          access and the torque, or make a tool.
        </p>
        <p class="note soft">
          {{ list.proven ? 'Proven best' : 'Best found, not proven best' }} over the catalogue’s usual prices and masses
          (planning values).
        </p>
        <p v-if="answers.answer" class="note">
          The tools in the bag are worth <span class="num">{{ money(answers.answer.kit.worth) }}</span>; with these
          about <span class="num">{{ money(answers.answer.kit.worth + list.price) }}</span><template
            v-if="garage.doc?.garage.practice.worth !== null"
            >, against your limit of
            <span class="num">{{ money(garage.doc?.garage.practice.worth ?? 0) }}</span></template
          >. The limit is set in <router-link to="/kit">Kit</router-link>.
        </p>
        <p v-if="list.singles.length + list.sets.length > 0" class="acts">
          <v-btn variant="tonal" :to="{ path: '/print/buy', query: { least } }">Print</v-btn>
          <v-btn @click="plan">Add all to the toolbox</v-btn>
          <v-btn variant="tonal" @click="csv">Export CSV</v-btn>
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
