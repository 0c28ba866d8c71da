<script setup lang="ts">
/** Kits written down: named, frozen with their numbers, packed again as they were, laid side by side; and the list carried by habit. */
import SelectField from '../../ui/SelectField.vue';
import LineField from '../../ui/LineField.vue';
import { computed, ref, shallowRef } from 'vue';
import { present, compareKits, keptOf, withFigures, writeKit, type KeptKit, withUnit } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import { download, fileName } from '../../ui/download';
import { counted, massText, percent } from '../../ui/words';
import KeptEditor from './KeptEditor.vue';
import { useMoney } from '../../ui/useMoney';
import * as texts from '../../words/kit/keptKits';
import * as edits from '../../words/edits';

const { money } = useMoney();
const garage = useGarage();
const answers = useAnswer();
const view = useView();
const notice = useNotice();
const name = ref('');
const kits = computed(() => garage.doc?.kits ?? []);
const editing = shallowRef<KeptKit | 'new' | null>(null);
const kit = computed(() => answers.answer?.kit ?? null);
/** The kit worked out now, as if it were kept. */
const kitNow = computed<KeptKit | null>(() =>
  kit.value && answers.answer
    ? keptOf(kit.value, {
        id: '00000000-0000-4000-8000-000000000000',
        name: texts.theKitNow,
        bikeId: garage.bike?.id ?? null,
        tripId: garage.trip?.id ?? null,
        made: new Date().toISOString(),
        chosen: answers.answer.chosen,
      })
    : null,
);
function keep() {
  if (!kitNow.value) return;
  const kept = {
    ...kitNow.value,
    id: crypto.randomUUID(),
    name: name.value.trim() || texts.kitOf(today()),
    made: new Date().toISOString(),
  };
  garage.put(edits.save(kept.name), 'kits', kept);
  notice.done(texts.isSaved(kept.name, massText(view.units, kept.figures.mass)));
  name.value = '';
}
/** A list of the rider's own is looked at by the same model before it is kept. */
async function keepList(list: KeptKit) {
  const { doc, bike, trip } = garage;
  if (!doc || !bike) return;
  editing.value = null;
  const plain = JSON.parse(JSON.stringify(list)) as KeptKit;
  const point = await answers.ask((w) =>
    w.ownList(doc, { bikeId: bike.id, tripId: trip?.id ?? null, today: today() }, plain),
  );
  const a = answers.answer;
  garage.put(
    edits.save(plain.name),
    'kits',
    point ? withFigures(plain, point, (a?.kit.saved ?? 0) + (a?.kit.atStake ?? 0), a?.chosen ?? 0) : plain,
  );
}
function use(k: KeptKit | null) {
  if (!garage.trip) return;
  garage.put(k ? edits.pack(k.name) : texts.workAKitOutAgain, 'trips', {
    ...garage.trip,
    kit: { ...garage.trip.kit, use: k?.id ?? null },
  });
}
const used = computed(() => garage.trip?.kit.use ?? null);
const freeze = (k: KeptKit) =>
  garage.put(k.frozen ? edits.unlock(k.name) : edits.lock(k.name), 'kits', { ...k, frozen: !k.frozen });
const jsonOut = (k: KeptKit) =>
  download(fileName(k.name, 'json'), `${JSON.stringify(k, null, 2)}\n`, 'application/json');
const csvOut = (k: KeptKit) => download(fileName(k.name, 'csv'), writeKit(k), 'text/csv');

const first = ref('');
const second = ref('');
const choices = computed(() => [...(kitNow.value ? [kitNow.value] : []), ...kits.value]);
const pair = computed(() => {
  const of = (id: string, other: number) => choices.value.find((k) => k.id === id) ?? choices.value[other];
  const [a, b] = [of(first.value, 0), of(second.value, 1)];
  return a && b && a !== b ? { a, b, ...compareKits(a, b) } : null;
});
const FIGURES = [
  { name: texts.weighs, of: (k: KeptKit) => massText(view.units, k.figures.mass) },
  { name: texts.room, of: (k: KeptKit) => withUnit(view.units, 'volume', k.figures.bulk) },
  { name: texts.worth, of: (k: KeptKit) => money(k.figures.price) },
  { name: texts.hoursSaved, of: (k: KeptKit) => `${k.figures.saved.toFixed(1)} h` },
  { name: texts.leftAtStake, of: (k: KeptKit) => `${k.figures.atStake.toFixed(1)} h` },
  { name: texts.getsHomeUnaided, of: (k: KeptKit) => percent(k.figures.home, 1) },
  { name: texts.fastenersReached, of: (k: KeptKit) => `${k.figures.reached}` },
];
const tripName = (k: KeptKit) => garage.doc?.trips.find((t) => t.id === k.tripId)?.name ?? texts.noTrip;
</script>

<template>
  <div>
    <div class="keep">
      <LineField
        :label="texts.name"
        v-model="name"
        maxlength="120"
        :placeholder="texts.kitForThePlateau"
        @keydown.enter="keep"
      />
      <v-btn :disabled="!kitNow" @click="keep">{{ texts.saveThisKit }}</v-btn>
      <v-btn variant="tonal" @click="editing = 'new'">{{ texts.enterWhatYouCarryNow }}</v-btn>
    </div>
    <KeptEditor v-if="editing" :kit="editing === 'new' ? null : editing" @keep="keepList" @close="editing = null" />
    <p v-if="kits.length === 0" class="empty">
      {{ texts.noKitsSavedYetA }}
    </p>
    <article v-for="k in kits" :key="k.id" class="kept-kit" :class="{ used: used === k.id }" :aria-label="k.name">
      <h2>
        {{ k.name }}<template v-if="k.frozen"> {{ ' ' }}{{ texts.locked }}</template>
      </h2>
      <p class="facts num">
        {{
          texts.hSavedHome(
            massText(view.units, k.figures.mass),
            k.figures.saved.toFixed(1),
            percent(k.figures.home, 1),
            counted(k.pieces.length, 'tool'),
            counted(k.supplies.length, 'spare'),
          )
        }}
      </p>
      <p class="soft">{{ tripName(k) }}, {{ k.made.slice(0, 10) }}</p>
      <p class="acts">
        <v-btn v-if="used === k.id" @click="use(null)">{{ texts.backToTheCalculatedKit }}</v-btn>
        <v-btn variant="tonal" v-else @click="use(k)">{{ texts.packItAsItIs }}</v-btn>
        <v-btn variant="tonal" @click="freeze(k)">{{ k.frozen ? texts.unlock : texts.lock }}</v-btn>
        <v-btn variant="tonal" v-if="!k.frozen" @click="editing = k">{{ texts.edit }}</v-btn>
        <v-btn variant="tonal" @click="csvOut(k)">{{ texts.csv }}</v-btn>
        <v-btn variant="tonal" @click="jsonOut(k)">{{ texts.json }}</v-btn>
        <v-btn
          variant="tonal"
          v-if="!k.frozen"
          @click="garage.remove(edits.remove(k.name), { table: 'kits', id: k.id })"
        >
          {{ texts.deleteIt }}
        </v-btn>
      </p>
    </article>
    <section v-if="choices.length > 1" class="compare" :aria-label="texts.sideBySide">
      <h2>{{ texts.sideBySide }}</h2>
      <div class="pick">
        <SelectField
          :label="texts.first"
          :items="[
            { title: String(present(choices[0]).name), value: '' },
            ...choices.slice(1).map((k) => ({ title: k.name, value: k.id })),
          ]"
          v-model="first"
        />
        <SelectField
          :label="texts.second"
          :items="[
            { title: String(present(choices[1]).name), value: '' },
            ...choices.map((k) => ({ title: k.name, value: k.id })),
          ]"
          v-model="second"
        />
      </div>
      <v-table v-if="pair">
        <thead>
          <tr>
            <th scope="col">{{ texts.what }}</th>
            <th scope="col">{{ pair.a.name }}</th>
            <th scope="col">{{ pair.b.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in FIGURES" :key="f.name">
            <th scope="row">{{ f.name }}</th>
            <td class="num">{{ f.of(pair.a) }}</td>
            <td class="num">{{ f.of(pair.b) }}</td>
          </tr>
          <tr v-for="d in pair.different" :key="d.name" class="diff">
            <th scope="row">
              {{ d.name }}<small class="num">{{ massText(view.units, d.mass) }}</small>
            </th>
            <td class="num">{{ d.inFirst || '–' }}</td>
            <td class="num">{{ d.inSecond || '–' }}</td>
          </tr>
        </tbody>
      </v-table>
      <p v-if="pair" class="soft">
        {{ texts.theSameInBoth(pair.same.map((d) => d.name).join(', ') || texts.nothing) }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.keep,
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
  margin: 8px 0;
}
.keep .line-field,
.pick .line-field {
  flex: 1 1 180px;
}
.kept-kit {
  border-bottom: 1px solid var(--line);
  padding: 10px 0 10px 12px;
  border-left: 4px solid transparent;
}
.kept-kit.used {
  border-left-color: var(--ink);
}
.kept-kit h2,
.compare h2 {
  text-transform: none;
  letter-spacing: 0;
  color: var(--ink);
  font-size: 18px;
}
.facts {
  font-size: 14px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 6px;
}
.acts .v-btn {
  font-size: 14px;
  padding: 3px 10px;
}
.compare {
  margin-top: 20px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: right;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0 4px 12px;
  font-weight: 500;
  vertical-align: baseline;
}
th[scope='row'],
th:first-child {
  text-align: left;
  padding-left: 0;
}
.diff td {
  font-weight: 600;
}
small {
  color: var(--soft);
  margin-left: 8px;
  font-weight: 400;
}
</style>
