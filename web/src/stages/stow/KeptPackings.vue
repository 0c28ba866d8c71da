<script setup lang="ts">
/** Packings written down; the present one beside a kept one; packed again as it was. */
import SelectField from '../../ui/SelectField.vue';
import LineField from '../../ui/LineField.vue';
import { computed, ref } from 'vue';
import {
  present,
  comparePackings,
  figure,
  keptItems,
  packingFigures,
  unitOf,
  type KeptPacking,
  type Packing,
  withUnit,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import { massText } from '../../ui/words';
import * as texts from '../../words/stow/keptPackings';
import * as edits from '../../words/edits';

const props = defineProps<{ packing: Packing }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const name = ref('');
const kept = computed(() => (garage.doc?.packings ?? []).filter((p) => p.bikeId === garage.bike?.id));
function keep() {
  if (!garage.bike) return;
  const row: KeptPacking = {
    id: crypto.randomUUID(),
    bikeId: garage.bike.id,
    name: name.value.trim() || texts.packingOf(today()),
    made: new Date().toISOString(),
    items: keptItems(props.packing, garage.places),
    figures: packingFigures(props.packing),
    note: '',
  };
  garage.put(edits.save(row.name), 'packings', row);
  notice.done(texts.isSaved(row.name));
  name.value = '';
}
const against = ref('');
const other = computed(() => kept.value.find((p) => p.id === against.value) ?? kept.value.at(-1) ?? null);
const difference = computed(() => (other.value ? comparePackings(props.packing, garage.places, other.value) : null));
const mm = (v: number) => `${figure(view.units, 'length', Math.abs(v))} ${unitOf(view.units, 'length')}`;
const lines = computed(() => {
  const d = difference.value;
  if (!d) return [];
  const line = (is: number, least: number, more: string, less: string, text: string) =>
    Math.abs(is) < least ? [] : [{ text: `${text} ${is > 0 ? more : less}`, worse: is > 0 }];
  return [
    ...line(d.higher, 0.5, texts.higher, texts.lower, mm(d.higher)),
    ...line(d.further, 0.5, texts.furtherBack, texts.furtherForward, mm(d.further)),
    ...line(d.side, 0.005, texts.moreToOneSide, texts.lessToOneSide, withUnit(view.units, 'moment', Math.abs(d.side))),
    ...line(-d.front, 50, texts.lessOnTheFrontAxle, texts.moreOnTheFrontAxle, massText(view.units, Math.abs(d.front))),
    ...line(d.back, 1, texts.moreOnTheRider, texts.lessOnTheRider, massText(view.units, Math.abs(d.back))),
    ...line(d.mass, 1, texts.heavier, texts.lighter, massText(view.units, Math.abs(d.mass))),
    ...line(
      d.minutes,
      0.05,
      texts.moreOpeningOfPlaces,
      texts.lessOpeningOfPlaces,
      `${Math.abs(d.minutes).toFixed(1)} min`,
    ),
    ...line(d.broken, 0.5, texts.moreRulesBroken, texts.fewerRulesBroken, String(Math.abs(d.broken))),
  ];
});
/** Puts everything back where it lay, as far as piece and place are still there: one undo takes it back. */
function packAgain(p: KeptPacking) {
  const { bike, doc } = garage;
  if (!bike || !doc) return;
  const here = new Set(props.packing.stowed.map((s) => s.item.key));
  const places = new Set(garage.places.map((x) => x.id));
  const wanted = p.items.filter((i) => i.placeId !== null && here.has(i.key) && places.has(i.placeId));
  const before = doc.pins.filter((x) => x.bikeId === bike.id);
  const rows = wanted.map((i) => ({
    id: before.find((x) => x.item === i.key)?.id ?? crypto.randomUUID(),
    bikeId: bike.id,
    placeId: present(i.placeId),
    item: i.key,
  }));
  const stays = new Set(rows.map((r) => r.id));
  garage.edit(texts.packAsIn(p.name), [
    ...before
      .filter((x) => !stays.has(x.id))
      .map((x) => ({ table: 'pins' as const, id: x.id, before: x, after: null })),
    ...rows.map((r) => ({
      table: 'pins' as const,
      id: r.id,
      before: before.find((x) => x.id === r.id) ?? null,
      after: r,
    })),
  ]);
  notice.done(texts.thingsLieAsIn(wanted.length, p.name));
}
</script>

<template>
  <div class="kept">
    <div class="keep">
      <LineField
        :label="texts.name"
        v-model="name"
        maxlength="120"
        :placeholder="texts.packingForThePlateau"
        @keydown.enter="keep"
      />
      <v-btn @click="keep">{{ texts.saveThisLayout }}</v-btn>
    </div>
    <p v-if="kept.length === 0" class="soft">
      {{ texts.noLayoutsSavedYetSave }}
    </p>
    <template v-else>
      <SelectField
        class="against"
        :label="texts.nowAgainst"
        :items="kept.map((p) => ({ title: `${p.name}, ${p.made.slice(0, 10)}`, value: p.id }))"
        :model-value="other?.id ?? ''"
        @update:model-value="against = $event"
      />
      <section v-if="difference" :aria-label="texts.difference" class="difference">
        <p v-if="lines.length === 0">{{ texts.loadUnchanged }}</p>
        <ul v-else class="figures">
          <li v-for="l in lines" :key="l.text" :class="l.worse ? 'gap' : 'good'">{{ l.text }}</li>
        </ul>
        <ul class="moved">
          <li v-for="m in difference.moved.slice(0, 40)" :key="m.key">
            <strong>{{ m.name }}</strong>
            <template v-if="m.change === 'moved'">: {{ m.from ?? texts.loose }} → {{ m.to ?? texts.loose }}</template>
            <template v-else-if="m.change === 'new'">{{ texts.newIn(m.to?.toLowerCase() ?? texts.noPlace) }}</template>
            <template v-else>{{ texts.noLongerInTheKit }}</template>
          </li>
        </ul>
        <p v-if="difference.moved.length === 0" class="soft">{{ texts.everythingLiesWhereItLay }}</p>
      </section>
      <p v-if="other" class="acts">
        <v-btn variant="tonal" @click="packAgain(other)">{{ texts.packAsItWasThen }}</v-btn>
        <v-btn
          variant="tonal"
          class="gap"
          @click="garage.remove(edits.remove(other.name), { table: 'packings', id: other.id })"
        >
          {{ texts.drop(other.name) }}
        </v-btn>
      </p>
    </template>
  </div>
</template>

<style scoped>
.kept {
  border-top: 1px solid var(--line);
  padding-top: 8px;
  display: grid;
  gap: 8px;
}
.keep {
  display: flex;
  gap: 12px;
  align-items: end;
}
.keep .line-field {
  flex: 0 1 300px;
}
.against {
  max-width: 340px;
}
.figures,
.moved {
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 14px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-weight: 600;
  padding-bottom: 4px;
}
.moved {
  columns: 2 260px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
</style>
