<script setup lang="ts">
/** What a spare must match, read off each bike once; beside it what is owned, whether it fits, keeps, and where it lies. */
import LineField from '../../ui/LineField.vue';
import SelectField from '../../ui/SelectField.vue';
import { computed, ref } from 'vue';
import {
  present,
  compareFits,
  fitFaults,
  fitVerdict,
  goodUntil,
  newSupply,
  whyNot,
  type Supply,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import { massText } from '../../ui/words';
import NumberField from '../../ui/NumberField.vue';
import TextField from '../../ui/TextField.vue';
import OwnKinds from './OwnKinds.vue';
import * as texts from '../../words/kit/fitSheet';
import * as edits from '../../words/edits';

const garage = useGarage();
const view = useView();
const bikes = computed(() => {
  const all = garage.doc?.bikes ?? [];
  const crew = new Set([garage.bike?.id, ...(garage.trip?.along ?? [])]);
  return all.filter((b) => crew.has(b.id)).concat(all.filter((b) => !crew.has(b.id)));
});
const own = computed(() => garage.doc?.kinds ?? []);
const lines = computed(() => compareFits(bikes.value, own.value));
/** What does not go together on a bike, at the line where it was read. */
const faultAt = (bikeId: string, slot: string) => {
  const bike = bikes.value.find((b) => b.id === bikeId);
  return bike ? (fitFaults(bike).find((f) => f.slot === slot)?.why ?? null) : null;
};
function read(bikeId: string, slot: string, text: string) {
  const bike = garage.doc?.bikes.find((b) => b.id === bikeId);
  if (!bike) return;
  const fit = { ...bike.fit, [slot]: text.trim() };
  if (text.trim() === '') delete fit[slot];
  garage.put(texts.readTheOf(slot, bike.name), 'bikes', { ...bike, fit });
}
/** The same reading for another bike in one press. */
const supplies = computed(() => [...(garage.doc?.supplies ?? [])].sort((a, b) => (a.kind < b.kind ? -1 : 1)));
const change = (s: Supply, fields: Partial<Supply>) =>
  garage.put(edits.change(garage.book.of(s.kind).name.toLowerCase()), 'supplies', { ...s, ...fields });
const serves = (s: Supply) =>
  bikes.value.filter((b) => whyNot(s, b, today(), own.value) === null && fitVerdict(s, b, own.value) !== 'another');
const adding = ref('');
function add() {
  const kind = garage.book.all.find((k) => k.kind === adding.value);
  if (!kind) return;
  garage.put(
    edits.own(kind.name.toLowerCase()),
    'supplies',
    newSupply({ id: crypto.randomUUID(), kind: kind.kind, quantity: 1 }),
  );
  adding.value = '';
}
const CONDITIONS: { value: Supply['condition']; title: string }[] = [
  { value: 'new', title: texts.newOne },
  { value: 'used, known good', title: texts.usedKnownGood },
  { value: 'spent', title: texts.spent },
];
const MARKS: { value: NonNullable<Supply['mark']> | 'useful'; title: string }[] = [
  { value: 'always', title: texts.always },
  { value: 'useful', title: texts.ifUseful },
  { value: 'never', title: texts.never },
];
const date = (text: string) => (/^\d{4}-\d{2}-\d{2}$/.test(text) ? text : null);
function until(s: Supply): string {
  const day = goodUntil(s);
  if (!day) return '';
  return day < today() ? texts.pastItsDateSince(day) : texts.keepsUntil(day);
}
</script>

<template>
  <div>
    <p class="lead">
      {{ texts.whatASpareMustMatch }}
    </p>
    <v-table class="fit">
      <thead>
        <tr>
          <th scope="col">{{ texts.reading }}</th>
          <th v-for="b in bikes" :key="b.id" scope="col">{{ b.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="l in lines" :key="l.line.slot">
          <th scope="row">
            {{ l.line.slot }}<small>{{ l.line.ask }}</small>
            <small v-if="l.same" class="good">{{ texts.oneSpareServesAllOf }}</small>
            <small v-if="l.line.caution" class="careful">{{ l.line.caution }}</small>
          </th>
          <td v-for="b in bikes" :key="b.id">
            <TextField
              v-if="l.says.some((s) => s.bikeId === b.id)"
              :label="texts.of2(l.line.slot, b.name)"
              hide-label
              :most="120"
              :value="present(l.says.find((s) => s.bikeId === b.id)).reading"
              @take="read(b.id, l.line.slot, $event)"
            />
            <span v-else class="soft">{{ texts.none }}</span>
            <span v-if="faultAt(b.id, l.line.slot)" role="alert" class="gap">{{
              texts.countedNowhere(view.inWords(faultAt(b.id, l.line.slot)))
            }}</span>
          </td>
        </tr>
      </tbody>
    </v-table>
    <h2 class="head">{{ texts.sparesAndSuppliesOwned }}</h2>
    <div
      v-for="s in supplies"
      :key="s.id"
      class="supply"
      :class="{ off: serves(s).length === 0 }"
      role="group"
      :aria-label="garage.book.of(s.kind).name"
    >
      <strong class="name">{{ garage.book.of(s.kind).name }}</strong>
      <p class="says">
        <span v-if="serves(s).length > 0">{{
          texts.serves(
            serves(s)
              .map((b) => b.name)
              .join(', '),
          )
        }}</span>
        <span v-else class="gap">{{ bikes[0] ? view.inWords(whyNot(s, bikes[0], today(), own)) : '' }}</span>
        <span v-if="s.mark === 'always' && s.fittedOn === null">
          {{ ' ' }}{{ texts.alwaysPacked(massText(view.units, garage.book.of(s.kind).mass * s.quantity)) }}</span
        >
        <span v-if="until(s)" :class="{ gap: until(s).startsWith('past') }"> · {{ until(s) }}</span>
      </p>
      <div class="fields">
        <NumberField
          :label="texts.quantity"
          :model-value="s.quantity"
          :min="0"
          :max="1000"
          @update:model-value="change(s, { quantity: Math.round($event) })"
        />
        <TextField
          :label="texts.madeFor"
          :value="s.fits"
          :placeholder="texts.asTheFitSheetReads"
          :most="120"
          @take="change(s, { fits: $event.trim() })"
        />
        <SelectField
          :label="texts.condition"
          :items="CONDITIONS"
          :model-value="s.condition"
          @update:model-value="change(s, { condition: $event as Supply['condition'] })"
        />
        <SelectField
          :label="texts.location"
          :items="[
            { title: texts.inTheToolbox, value: '' },
            ...bikes.map((b) => ({ title: texts.alreadyFittedOnTheBike(b.name), value: b.id })),
          ]"
          :model-value="s.fittedOn ?? ''"
          @update:model-value="change(s, { fittedOn: $event || null })"
        />
        <v-select
          :label="texts.inTheKit"
          density="compact"
          variant="outlined"
          hide-details
          class="mark"
          :items="MARKS"
          :model-value="s.mark ?? texts.useful"
          @update:model-value="
            change(s, { mark: $event === 'useful' ? null : ($event as NonNullable<Supply['mark']>) })
          "
        />
        <LineField
          :label="texts.bought"
          kind="date"
          :model-value="s.bought ?? ''"
          @change="change(s, { bought: date(($event.target as HTMLInputElement).value) })"
        />
        <LineField
          :label="texts.opened"
          kind="date"
          :model-value="s.opened ?? ''"
          @change="change(s, { opened: date(($event.target as HTMLInputElement).value) })"
        />
        <v-btn
          variant="tonal"
          @click="
            garage.remove(edits.remove(garage.book.of(s.kind).name.toLowerCase()), { table: 'supplies', id: s.id })
          "
        >
          {{ texts.remove }}
        </v-btn>
      </div>
    </div>
    <p class="add">
      <SelectField
        :label="texts.addASpare"
        :items="[
          { title: texts.chooseAKind, value: '' },
          ...garage.book.all.map((k) => ({ title: k.name, value: k.kind })),
        ]"
        v-model="adding"
      />
      <v-btn :disabled="!adding" @click="add">{{ texts.addIt }}</v-btn>
    </p>
    <OwnKinds />
  </div>
</template>

<style scoped>
.mark {
  min-width: 130px;
}
.lead {
  color: var(--soft);
  margin: 6px 0;
}
.fit {
  border-collapse: collapse;
  width: 100%;
}
.fit th,
.fit td {
  border-bottom: 1px solid var(--hair);
  padding: 4px 8px 4px 0;
  text-align: left;
  vertical-align: top;
  font-weight: 500;
}
.fit td {
  min-width: 150px;
}
.fit thead th {
  font-family: var(--v-font-heading);
  font-size: 15px;
  border-bottom-color: var(--line);
}
small {
  display: block;
  font-size: 12.5px;
  font-weight: 400;
  color: var(--soft);
}
small.good {
  color: var(--proven);
}
.careful {
  border-left: 3px solid var(--assumed);
  padding-left: 6px;
}
.head {
  margin: 22px 0 4px;
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
.supply {
  border-bottom: 1px solid var(--hair);
  padding: 8px 0 10px;
}
.supply.off .name {
  text-decoration: line-through;
}
.says {
  display: inline;
  margin-left: 10px;
  font-size: 13.5px;
  color: var(--soft);
}
.fields {
  display: grid;
  grid-template-columns: 74px repeat(auto-fit, minmax(118px, 1fr));
  gap: 6px 10px;
  align-items: end;
  margin-top: 4px;
}
.add {
  display: flex;
  gap: 12px;
  align-items: end;
  margin-top: 12px;
}
@media (max-width: 760px) {
  /* Stacked, a field needs the bike's name again. */
  .fit :deep(.hidden-label) {
    position: static;
    width: auto;
    height: auto;
    clip-path: none;
  }

  .fields {
    grid-template-columns: 1fr 1fr;
  }
  .fit thead {
    display: none;
  }
  .fit tr,
  .fit th,
  .fit td {
    display: block;
    border: 0;
  }
  .fit tr {
    border-bottom: 1px solid var(--line);
    padding: 6px 0;
  }
}
</style>
