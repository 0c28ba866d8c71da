<script setup lang="ts">
/** How the crew shares: what each must have alone, who splits off when, cars on the way, and how it is shared out. */
import { ref, shallowRef } from 'vue';
import { VEHICLES, type Crew, type CrewAnswer, type CrewSwitchCost, type Split, type Vehicle } from '@necessaire/core';
import { useCrew } from '../../stores/crew';
import { halves, placed } from '../../stores/crewEdits';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import NumberField from '../../ui/NumberField.vue';
import SelectField from '../../ui/SelectField.vue';
import TextField from '../../ui/TextField.vue';
import { massText } from '../../ui/words';
import { ALONE_WORDS, SWITCH_WORDS, VEHICLE_WORDS } from '../../words/crew';
import * as texts from '../../words/crew/rulesSheet';
import * as edits from '../../words/edits';

const props = defineProps<{ of: Crew; answer: CrewAnswer }>();
const crew = useCrew();
const garage = useGarage();
const view = useView();
const costs = shallowRef<CrewSwitchCost[] | null>(null);
const working = ref(false);

const everybody = () => props.answer.names;
function addSplit() {
  const riders = everybody()
    .filter((n) => n.bike)
    .map((n) => n.key);
  crew.set(texts.addASplit2, {
    splits: [...props.of.splits, { id: crypto.randomUUID(), name: texts.twoHalves, groups: halves(riders), legs: [] }],
  });
}
const setSplit = (s: Split, fields: Partial<Split>) =>
  crew.set(edits.change(s.name), { splits: props.of.splits.map((x) => (x.id === s.id ? { ...x, ...fields } : x)) });
const groupOf = (s: Split, key: string) => s.groups.findIndex((g) => g.includes(key));
function place(s: Split, key: string, to: number) {
  const groups = placed(s, key, to);
  if (groups) setSplit(s, { groups });
}
function addVehicle() {
  const last = garage.trip?.legs.at(-1);
  crew.set(texts.addACar, {
    vehicles: [
      ...props.of.vehicles,
      {
        ...{ id: crypto.randomUUID(), name: texts.theCar, kind: 'car' as const },
        ...{ legs: last ? [last.id] : [], limit: 100_000, litres: 200 },
      },
    ],
  });
}
const setVehicle = (v: Vehicle, fields: Partial<Vehicle>) =>
  crew.set(edits.change(v.name), { vehicles: props.of.vehicles.map((x) => (x.id === v.id ? { ...x, ...fields } : x)) });
const legItems = () => (garage.trip?.legs ?? []).map((l) => ({ title: l.name, value: l.id }));
const aloneItems = Object.entries(ALONE_WORDS).map(([value, title]) => ({ value, title }));
async function cost() {
  const { doc } = garage;
  if (!doc) return;
  working.value = true;
  costs.value = await crew.ask((w) => w.switchCosts(doc, props.of, today()));
  working.value = false;
}
function setStrangers(on: boolean) {
  const { doc } = garage;
  if (!doc) return;
  const others = on ? ('any' as const) : ('along' as const);
  garage.edit(texts.changeWhoseBikesAreHelped, [], {
    ...doc.garage,
    practice: { ...doc.garage.practice, others },
  });
}
const costOf = (name: string) => {
  const c = costs.value?.find((x) => x.name === name);
  if (!c) return '';
  const mass = `${c.mass >= 0 ? '+' : '−'}${massText(view.units, Math.abs(c.mass))}`;
  return texts.greatestSharePoints(
    mass,
    c.share >= 0 ? '+' : '−',
    Math.abs(c.share * 100).toFixed(1),
    c.gaps > 0 ? texts.moreGaps(c.gaps) : '',
  );
};
</script>

<template>
  <div>
    <section>
      <h2>{{ texts.eachHasAlone }}</h2>
      <p class="soft">{{ texts.whatEverybodyCanMendOn }}</p>
      <v-checkbox
        v-for="a in aloneItems"
        :key="a.value"
        :label="a.title"
        :model-value="of.alone.includes(a.value)"
        hide-details
        density="compact"
        @update:model-value="
          crew.set(texts.changeWhatEachHasAlone, {
            alone: $event ? [...of.alone, a.value] : of.alone.filter((x) => x !== a.value),
          })
        "
      />
    </section>
    <section>
      <h2>{{ texts.splits }}</h2>
      <p class="soft">{{ texts.eachPartMustGetHome }}</p>
      <div v-for="s in of.splits" :key="s.id" class="card">
        <TextField
          :label="texts.nameOfTheSplit"
          :value="s.name"
          :most="120"
          @take="setSplit(s, { name: $event.trim() || s.name })"
        />
        <v-select
          :label="texts.onWhichLegsNoneOn"
          multiple
          chips
          density="compact"
          variant="outlined"
          hide-details
          :items="legItems()"
          :model-value="s.legs"
          @update:model-value="setSplit(s, { legs: $event })"
        />
        <SelectField
          v-for="n in answer.names"
          :key="n.key"
          :label="n.name"
          :items="[
            ...s.groups.map((_, i) => ({ title: texts.part(i + 1), value: i })),
            { title: texts.aNewPart, value: s.groups.length },
            { title: n.bike ? texts.alone : texts.notThere, value: -1 },
          ]"
          :model-value="groupOf(s, n.key)"
          @update:model-value="place(s, n.key, $event as number)"
        />
        <v-btn
          variant="text"
          @click="crew.set(edits.remove(s.name), { splits: of.splits.filter((x) => x.id !== s.id) })"
        >
          {{ texts.delete2(s.name) }}
        </v-btn>
      </div>
      <v-btn variant="outlined" @click="addSplit">{{ texts.addASplit }}</v-btn>
    </section>
    <section>
      <h2>{{ texts.carsAndBagsOnThe }}</h2>
      <div v-for="v in of.vehicles" :key="v.id" class="card">
        <TextField
          :label="texts.name"
          :value="v.name"
          :most="120"
          @take="setVehicle(v, { name: $event.trim() || v.name })"
        />
        <SelectField
          :label="texts.whatItIs"
          :items="VEHICLES.map((k) => ({ title: VEHICLE_WORDS[k], value: k }))"
          :model-value="v.kind"
          @update:model-value="setVehicle(v, { kind: $event as Vehicle['kind'] })"
        />
        <v-select
          :label="texts.isThereOnNoneOn"
          multiple
          chips
          density="compact"
          variant="outlined"
          hide-details
          :items="legItems()"
          :model-value="v.legs"
          @update:model-value="setVehicle(v, { legs: $event })"
        />
        <NumberField
          :label="texts.carriesAtMost"
          quantity="weight"
          :min="0"
          :max="500000"
          :model-value="v.limit"
          @update:model-value="setVehicle(v, { limit: $event })"
        />
        <v-btn
          variant="text"
          @click="crew.set(edits.remove(v.name), { vehicles: of.vehicles.filter((x) => x.id !== v.id) })"
        >
          {{ texts.delete2(v.name) }}
        </v-btn>
      </div>
      <v-btn variant="outlined" @click="addVehicle">{{ texts.addACarVanOr }}</v-btn>
    </section>
    <section>
      <h2>{{ texts.sharingOut }}</h2>
      <div v-for="(w, key) in SWITCH_WORDS" :key="key">
        <v-switch
          :label="w.name"
          :model-value="of[key]"
          hide-details
          density="compact"
          inset
          @update:model-value="crew.set(edits.changeRule(w.name.toLowerCase()), { [key]: !!$event })"
        />
        <p class="soft hint">
          {{ w.says }} <strong v-if="costOf(key)" class="num">{{ costOf(key) }}</strong>
        </p>
      </div>
      <v-switch
        :label="texts.oneStoppedBikeHoldsUp"
        :model-value="of.waits"
        hide-details
        density="compact"
        inset
        @update:model-value="crew.set(texts.changeWhoWaits, { waits: !!$event })"
      />
      <p class="soft hint">{{ texts.hoursAtStakeCountFor }}</p>
      <v-switch
        :label="texts.strangersBikesOnTheWay"
        :model-value="garage.doc?.garage.practice.others === 'any'"
        hide-details
        density="compact"
        inset
        @update:model-value="setStrangers(!!$event)"
      />
      <p class="soft hint">{{ texts.asOneRiderMoreOf }}</p>
      <NumberField
        :label="texts.aCompanionFetchesWhatIs"
        :min="0"
        :max="200"
        :model-value="of.fetch"
        @update:model-value="crew.set(texts.changeWhoFetches, { fetch: $event })"
      />
      <p class="acts">
        <v-btn variant="outlined" :loading="working" @click="cost">{{ texts.whatDoesEachCostHere }}</v-btn>
        <v-btn v-if="of.fixed.length > 0" variant="text" @click="crew.set(texts.letTheProgramChoose, { fixed: [] })">
          {{ texts.undoMyOwnChoices(of.fixed.length) }}
        </v-btn>
      </p>
    </section>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  gap: 8px;
  padding: 8px 0 10px;
  border-bottom: 1px solid var(--hair);
  margin-bottom: 10px;
}
.hint {
  margin: 0 0 8px;
  font-size: 13px;
}
</style>
