<script setup lang="ts">
/** What was lent or given on the way: missing from the next kit until it is back or replaced. */
import { computed, ref } from 'vue';
import { lentOut, type Loan } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { today } from '../../ui/day';
import LineField from '../../ui/LineField.vue';
import SelectField from '../../ui/SelectField.vue';
import * as texts from '../../words/crew/lentSheet';
import * as edits from '../../words/edits';

const garage = useGarage();
const notice = useNotice();
const item = ref<string>('');
const to = ref('');
const lent = computed(() => lentOut(garage.doc?.loans ?? []));
const items = computed(() => {
  const left = (key: string, n: number) => n - (lent.value.get(key) ?? 0);
  const tools = (garage.doc?.pieces ?? []).map((p) => ({
    title: p.name,
    value: `piece ${p.id}`,
    left: left(`piece ${p.id}`, p.count),
  }));
  const spares = (garage.doc?.supplies ?? []).map((s) => ({
    title: garage.book.of(s.kind).name,
    value: `spare ${s.id}`,
    left: left(`spare ${s.id}`, s.quantity),
  }));
  return [...tools, ...spares].filter((x) => x.left > 0);
});
const open = computed(() => (garage.doc?.loans ?? []).filter((l) => l.settled === null));
const past = computed(() => (garage.doc?.loans ?? []).filter((l) => l.settled !== null));
const names = computed(() => garage.doc?.companions.map((c) => c.person.name) ?? []);
function lend() {
  const what = items.value.find((x) => x.value === item.value);
  if (!what) return;
  const row: Loan = {
    ...{ id: crypto.randomUUID(), item: what.value, name: what.title, count: 1, to: to.value.trim() },
    ...{ date: today(), settled: null, note: '' },
  };
  if (!garage.put(edits.lend(what.title), 'loans', row)) return;
  notice.say(texts.isLentItIsMissing(what.title, row.to ? texts.toThem(row.to) : ''));
  item.value = '';
}
const settle = (l: Loan, how: NonNullable<Loan['settled']>['how']) =>
  garage.put(edits.isNow(l.name, how), 'loans', { ...l, settled: { how, date: today() } });
</script>

<template>
  <div>
    <section>
      <h2>{{ texts.lendOrGiveAway }}</h2>
      <form @submit.prevent="lend">
        <SelectField v-model="item" :label="texts.what" :items="[{ title: texts.choose, value: '' }, ...items]" />
        <LineField v-model="to" :label="texts.toWhom" maxlength="120" :placeholder="names[0] ?? texts.ada" />
        <p class="acts">
          <v-btn type="submit" variant="flat" :disabled="item === ''">{{ texts.lendIt }}</v-btn>
        </p>
      </form>
    </section>
    <section v-if="open.length > 0">
      <h2>{{ texts.notBackYet }}</h2>
      <ul class="plain">
        <li v-for="l in open" :key="l.id">
          <span
            ><strong>{{ l.name }}</strong> {{ l.to ? texts.to(l.to) : '' }} <span class="soft">{{ l.date }}</span></span
          >
          <span class="acts">
            <v-btn variant="outlined" @click="settle(l, 'back')">{{ texts.itIsBack }}</v-btn>
            <v-btn variant="text" @click="settle(l, 'replaced')">{{ texts.replaced }}</v-btn>
          </span>
        </li>
      </ul>
    </section>
    <p v-else class="empty">{{ texts.nothingIsLent }}</p>
    <section v-if="past.length > 0">
      <h2>{{ texts.settled }}</h2>
      <ul class="plain">
        <li v-for="l in past" :key="l.id" class="soft">
          {{ l.name }} {{ l.to ? texts.to(l.to) : '' }}, {{ l.settled?.how }} {{ l.settled?.date }}
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
}
.plain li {
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
