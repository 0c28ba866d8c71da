<script setup lang="ts">
/** Kinds of spare of the rider's own: what own repairs may use up, what may be marked “always”, what may have to match the bike. */
import { computed, ref } from 'vue';
import { present, ownKindSchema, SUPPLIES, TRAITS, type OwnKind, type Trait } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import NumberField from '../../ui/NumberField.vue';
import { useRules } from '../../ui/useRules';
import * as texts from '../../words/kit/ownKinds';

const garage = useGarage();
const view = useView();
const fresh = (): OwnKind => ({
  id: crypto.randomUUID(),
  name: '',
  unit: texts.piece,
  mass: 50,
  size: { length: 80, width: 50, height: 20 },
  price: 5,
  traits: [],
  matches: false,
  note: '',
});
const draft = ref<OwnKind | null>(null);
const tried = ref(false);
const { value: ready, faults } = useRules(
  ownKindSchema,
  () => draft.value && { ...draft.value, name: draft.value.name.trim(), unit: draft.value.unit.trim() },
);
const taken = computed(() => {
  const name = draft.value?.name.trim().toLowerCase() ?? '';
  return (
    SUPPLIES.some((k) => k.kind.toLowerCase() === name) ||
    (garage.doc?.kinds ?? []).some((k) => k.id !== draft.value?.id && k.name.toLowerCase() === name)
  );
});
/** Nothing is said of what nobody has typed in yet. */
const faultAt = (field: 'name' | 'unit') => {
  if (!draft.value || (!tried.value && draft.value[field].trim() === '')) return [];
  if (field === 'name' && taken.value) return [texts.thereIsAKindOf];
  return faults.value[field] ?? [];
};
const used = (k: OwnKind) => (garage.doc?.supplies ?? []).filter((s) => s.kind === k.name).length;
function save() {
  tried.value = true;
  if (!draft.value || !ready.value || taken.value) return;
  const before = (garage.doc?.kinds ?? []).find((k) => k.id === present(draft.value).id);
  const after = ready.value;
  // Stocks are told apart by the name: they follow it.
  const stocks =
    before && before.name !== after.name ? (garage.doc?.supplies ?? []).filter((s) => s.kind === before.name) : [];
  garage.edit(texts.addTheSpare(after.name), [
    { table: 'kinds', id: after.id, before: before ?? null, after },
    ...stocks.map((s) => ({ table: 'supplies' as const, id: s.id, before: s, after: { ...s, kind: after.name } })),
  ]);
  draft.value = null;
  tried.value = false;
}
function open(k: OwnKind | null) {
  draft.value = k ? (JSON.parse(JSON.stringify(k)) as OwnKind) : fresh();
  tried.value = false;
}
</script>

<template>
  <section class="kinds" :aria-label="texts.yourOwnKindsOfSpare">
    <h2>{{ texts.yourOwnKindsOfSpare }}</h2>
    <div v-for="k in garage.doc?.kinds ?? []" :key="k.id" class="kind">
      <strong>{{ k.name }}</strong>
      <span class="soft"
        >{{ texts.massOfOne(massText(view.units, k.mass), k.unit) }}{{ k.matches ? texts.mustMatchTheBike : '' }}</span
      >
      <span v-if="used(k) > 0" class="soft">{{ texts.ownedTakeItsStockOut }}</span>
      <v-btn variant="plain" @click="open(k)">{{ texts.edit }}</v-btn>
      <v-btn
        variant="text"
        size="small"
        :disabled="used(k) > 0"
        @click="garage.remove(texts.takeOut(k.name), { table: 'kinds', id: k.id })"
        >{{ texts.deleteIt }}</v-btn
      >
    </div>
    <p v-if="(garage.doc?.kinds ?? []).length === 0" class="soft">
      {{ texts.aSpareThatIsIn }}
    </p>
    <v-btn v-if="!draft" variant="outlined" @click="open(null)">{{ texts.addAKind }}</v-btn>
    <v-form v-else class="form" @submit.prevent="save">
      <v-text-field
        v-model="draft.name"
        :label="texts.nameOfTheSpare"
        density="compact"
        variant="outlined"
        :error-messages="faultAt('name')"
      />
      <v-text-field
        v-model="draft.unit"
        :label="texts.oneIsCalled"
        density="compact"
        variant="outlined"
        :error-messages="faultAt('unit')"
      />
      <NumberField v-model="draft.mass" :label="texts.oneWeighs" quantity="mass" :min="0" :max="100000" />
      <NumberField v-model="draft.size.length" :label="texts.length" quantity="length" :min="1" :max="2000" />
      <NumberField v-model="draft.size.width" :label="texts.width" quantity="length" :min="1" :max="2000" />
      <NumberField v-model="draft.size.height" :label="texts.height" quantity="length" :min="1" :max="2000" />
      <NumberField v-model="draft.price" :label="texts.price" money :min="0" :max="100000" />
      <v-select
        :model-value="draft.traits"
        :items="[...TRAITS]"
        :label="texts.itIs"
        multiple
        chips
        density="compact"
        variant="outlined"
        hide-details
        @update:model-value="draft.traits = $event as Trait[]"
      />
      <v-checkbox v-model="draft.matches" :label="texts.itMustMatchTheBike" density="compact" hide-details />
      <div class="buttons">
        <v-btn type="submit" variant="outlined">{{ texts.save }}</v-btn>
        <v-btn variant="text" @click="draft = null">{{ texts.cancel }}</v-btn>
      </div>
    </v-form>
  </section>
</template>

<style scoped>
.kinds {
  margin-top: 16px;
}
.kind {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  border-bottom: 1px solid var(--hair);
}
.form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 10px 14px;
  align-items: start;
  margin-top: 8px;
}
.buttons {
  display: flex;
  gap: 8px;
}
</style>
