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
  crew.set('add a split', {
    splits: [...props.of.splits, { id: crypto.randomUUID(), name: 'Two halves', groups: halves(riders), legs: [] }],
  });
}
const setSplit = (s: Split, fields: Partial<Split>) =>
  crew.set(`change ${s.name}`, { splits: props.of.splits.map((x) => (x.id === s.id ? { ...x, ...fields } : x)) });
const groupOf = (s: Split, key: string) => s.groups.findIndex((g) => g.includes(key));
function place(s: Split, key: string, to: number) {
  const groups = placed(s, key, to);
  if (groups) setSplit(s, { groups });
}
function addVehicle() {
  const last = garage.trip?.legs.at(-1);
  crew.set('add a car', {
    vehicles: [
      ...props.of.vehicles,
      {
        ...{ id: crypto.randomUUID(), name: 'The car', kind: 'car' as const },
        ...{ legs: last ? [last.id] : [], limit: 100_000, litres: 200 },
      },
    ],
  });
}
const setVehicle = (v: Vehicle, fields: Partial<Vehicle>) =>
  crew.set(`change ${v.name}`, { vehicles: props.of.vehicles.map((x) => (x.id === v.id ? { ...x, ...fields } : x)) });
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
  const others = on ? ('any stranger’s too' as const) : ('the bikes that ride along' as const);
  garage.edit('change whose bikes are helped', [], {
    ...doc.garage,
    practice: { ...doc.garage.practice, others },
  });
}
const costOf = (name: string) => {
  const c = costs.value?.find((x) => x.name === name);
  if (!c) return '';
  const mass = `${c.mass >= 0 ? '+' : '−'}${massText(view.units, Math.abs(c.mass))}`;
  return `${mass}, greatest share ${c.share >= 0 ? '+' : '−'}${Math.abs(c.share * 100).toFixed(1)} points${c.gaps > 0 ? `, ${c.gaps} more gaps` : ''}`;
};
</script>

<template>
  <div>
    <section>
      <h2>Each has alone</h2>
      <p class="soft">What everybody can mend on their own bike with what they carry themselves.</p>
      <v-checkbox
        v-for="a in aloneItems"
        :key="a.value"
        :label="a.title"
        :model-value="of.alone.includes(a.value)"
        hide-details
        density="compact"
        @update:model-value="
          crew.set('change what each has alone', {
            alone: $event ? [...of.alone, a.value] : of.alone.filter((x) => x !== a.value),
          })
        "
      />
    </section>
    <section>
      <h2>Splits</h2>
      <p class="soft">Each part must get home by itself: its likely repairs, to the next workshop.</p>
      <div v-for="s in of.splits" :key="s.id" class="card">
        <TextField
          label="Name of the split"
          :value="s.name"
          :most="120"
          @take="setSplit(s, { name: $event.trim() || s.name })"
        />
        <v-select
          label="On which legs (none: on any)"
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
            ...s.groups.map((_, i) => ({ title: `Part ${i + 1}`, value: i })),
            { title: 'A new part', value: s.groups.length },
            { title: n.bike ? 'Alone' : 'Not there', value: -1 },
          ]"
          :model-value="groupOf(s, n.key)"
          @update:model-value="place(s, n.key, $event as number)"
        />
        <v-btn variant="text" @click="crew.set(`delete ${s.name}`, { splits: of.splits.filter((x) => x.id !== s.id) })">
          Delete {{ s.name }}
        </v-btn>
      </div>
      <v-btn variant="outlined" @click="addSplit">Add a split</v-btn>
    </section>
    <section>
      <h2>Cars and bags on the way</h2>
      <div v-for="v in of.vehicles" :key="v.id" class="card">
        <TextField label="Name" :value="v.name" :most="120" @take="setVehicle(v, { name: $event.trim() || v.name })" />
        <SelectField
          label="What it is"
          :items="VEHICLES.map((k) => ({ title: VEHICLE_WORDS[k], value: k }))"
          :model-value="v.kind"
          @update:model-value="setVehicle(v, { kind: $event as Vehicle['kind'] })"
        />
        <v-select
          label="Is there on (none: on all legs)"
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
          label="Carries at most"
          quantity="weight"
          :min="0"
          :max="500000"
          :model-value="v.limit"
          @update:model-value="setVehicle(v, { limit: $event })"
        />
        <v-btn
          variant="text"
          @click="crew.set(`delete ${v.name}`, { vehicles: of.vehicles.filter((x) => x.id !== v.id) })"
        >
          Delete {{ v.name }}
        </v-btn>
      </div>
      <v-btn variant="outlined" @click="addVehicle">Add a car, van or bag</v-btn>
    </section>
    <section>
      <h2>Sharing out</h2>
      <div v-for="(w, key) in SWITCH_WORDS" :key="key">
        <v-switch
          :label="w.name"
          :model-value="of[key]"
          hide-details
          density="compact"
          inset
          @update:model-value="crew.set(`change: ${w.name.toLowerCase()}`, { [key]: !!$event })"
        />
        <p class="soft hint">
          {{ w.says }} <strong v-if="costOf(key)" class="num">{{ costOf(key) }}</strong>
        </p>
      </div>
      <v-switch
        label="One stopped bike holds up everybody"
        :model-value="of.waits"
        hide-details
        density="compact"
        inset
        @update:model-value="crew.set('change who waits', { waits: !!$event })"
      />
      <p class="soft hint">Hours at stake count for all who wait.</p>
      <v-switch
        label="Strangers’ bikes on the way are helped too"
        :model-value="garage.doc?.garage.practice.others === 'any stranger’s too'"
        hide-details
        density="compact"
        inset
        @update:model-value="setStrangers(!!$event)"
      />
      <p class="soft hint">As one rider more, of whose bike nobody knows anything: its usual heads are turned too.</p>
      <NumberField
        label="A companion fetches what is missing, if within (h; 0: never)"
        :min="0"
        :max="200"
        :model-value="of.fetch"
        @update:model-value="crew.set('change who fetches', { fetch: $event })"
      />
      <p class="acts">
        <v-btn variant="outlined" :loading="working" @click="cost">What does each cost here?</v-btn>
        <v-btn v-if="of.fixed.length > 0" variant="text" @click="crew.set('let the program choose', { fixed: [] })">
          Undo my {{ of.fixed.length }} own choices
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
