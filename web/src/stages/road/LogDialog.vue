<script setup lang="ts">
/** Write it down in one more press: a fall, a repair, something used, missed or lent, a check; with time and place. */
import { computed, ref } from 'vue';
import { pieceKey, spareKey, type CheckDue, type ProofTold, type ProveCase } from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import type { RowChange } from '../../stores/changes';
import { fallRows, fixedRows, kitWay, lentRows, missedRows, usedRows, type Thing } from '../../stores/roadEdits';
import { momentNow, whenAndWhere, whereNow } from '../../sync/position';
import LineField from '../../ui/LineField.vue';
import { fixedWords, matches } from '../../words/road';
import * as texts from '../../words/road/logDialog';
import * as edits from '../../words/edits';

const props = defineProps<{ told: ProofTold; of: ProveCase }>();
const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const proof = useProof();
const notice = useNotice();
const typed = ref('');
const does = ref<'used' | 'lent' | 'missed'>('used');

/** Problems that are offered without typing, the likeliest; service comes after them. */
const LIKELY = 6;
const SERVICES = 3;
const things = computed<Thing[]>(() => [
  ...props.of.kit.pieces.map((p) => ({ item: pieceKey(p.piece.id), name: p.piece.name })),
  ...props.of.kit.spares.filter((s) => s.quantity > 0).map((s) => ({ item: spareKey(s.kind), name: s.name })),
]);
const fixable = computed(() => {
  const ways = [...props.of.exposures]
    .sort((a, b) => b.lambda - a.lambda)
    .flatMap((e) => {
      const r = matches(typed.value, e.trouble.name) ? kitWay(props.of, e.trouble.id) : null;
      return r ? [r] : [];
    });
  const service = (r: (typeof ways)[number]) => r.trouble.subject === 'service';
  return [...ways.filter((r) => !service(r)).slice(0, LIKELY), ...ways.filter(service).slice(0, SERVICES)];
});
const shown = computed(() => things.value.filter((t) => matches(typed.value, t.name)));
const nameOf = (k: CheckDue) => checkWords(k.about).name;
const checks = computed(() =>
  props.told.checks
    .filter((k) => k.standing !== 'done' && k.standing !== 'skipped' && k.standing !== 'later')
    .filter((k) => matches(typed.value, nameOf(k)))
    .slice(0, 12),
);
function write(label: string, rows: RowChange[], says: string) {
  if (rows.length === 0 || !garage.edit(label, rows)) return;
  notice.done(says);
  emit('close');
}
const fall = () => write(texts.logFall, fallRows(props.of, momentNow()), texts.fallLoggedAndOnThe);
function repair(r: (typeof fixable.value)[number]) {
  const { doc } = garage;
  if (!doc) return;
  const said = whenAndWhere(r.trouble.name);
  const fixed = fixedRows(doc, props.of, r, { ...momentNow(), who: proof.who, dark: false, said });
  write(edits.log(r.trouble.name), fixed.rows, fixedWords(r.trouble.name, fixed.ending));
}
function thing(t: Thing) {
  const { doc } = garage;
  if (!doc) return;
  const at = momentNow();
  switch (does.value) {
    case 'used':
      return write(edits.used(t.name), usedRows(doc, props.of, t, at), texts.isUsed(t.name));
    case 'lent':
      return write(edits.lent(t.name), lentRows(doc, t, '', at), texts.isLentOutOfYour(t.name));
    case 'missed':
      return missed(t.name);
  }
}
const missed = (name: string) =>
  write(edits.missing(name), missedRows(props.of, name, '', momentNow()), texts.isNotedAsMissing(name));
function check(k: CheckDue) {
  if (!proof.check(k, 'ok', whereNow())) return;
  notice.done(texts.isChecked(nameOf(k)));
  emit('close');
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="760"
    scrollable
    :aria-label="texts.writeItDown"
    @update:model-value="emit('close')"
  >
    <div class="card dialog-card">
      <div class="top-line">
        <h1>{{ texts.writeItDown }}</h1>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </div>
      <LineField v-model="typed" :label="texts.find" :placeholder="texts.tubeChainEvening" kind="search" />
      <section>
        <h2>{{ texts.happened }}</h2>
        <div class="presses">
          <v-btn class="press" @click="fall">{{ texts.aFall }}</v-btn>
          <v-btn v-for="r in fixable" :key="r.trouble.id" variant="tonal" class="press" @click="repair(r)"
            ><span class="two"
              ><strong>{{ r.trouble.name }}</strong
              ><small>{{ texts.fixed(r.wayName) }}</small></span
            ></v-btn
          >
        </div>
      </section>
      <section>
        <div class="top-line">
          <h2>{{ texts.fromTheKit }}</h2>
          <v-btn-toggle v-model="does" :aria-label="texts.whatBecameOfIt">
            <v-btn value="used">{{ texts.used }}</v-btn>
            <v-btn value="lent">{{ texts.lent }}</v-btn>
            <v-btn value="missed">{{ texts.notThere }}</v-btn>
          </v-btn-toggle>
        </div>
        <div class="presses">
          <v-btn v-for="t in shown" :key="t.item" variant="tonal" class="press" @click="thing(t)">{{ t.name }}</v-btn>
          <v-btn v-if="does === 'missed' && typed.trim()" variant="outlined" class="press" @click="missed(typed)">{{
            texts.notInTheKit(typed.trim())
          }}</v-btn>
        </div>
        <p v-if="shown.length === 0" class="soft">{{ texts.nothingOfThatNameIs }}</p>
      </section>
      <section v-if="checks.length > 0" :aria-label="texts.checkedAndInOrder">
        <h2>{{ texts.checkedAndInOrder }}</h2>
        <div class="presses">
          <v-btn v-for="k in checks" :key="k.key" variant="tonal" class="press" @click="check(k)">{{
            nameOf(k)
          }}</v-btn>
        </div>
        <p class="soft">
          {{ texts.foundSomething }} <router-link to="/prove?tab=checks">{{ texts.sayWhatInProve }}</router-link>
        </p>
      </section>
    </div>
  </v-dialog>
</template>

<style scoped>
.card {
  display: grid;
  gap: 10px;
}
.top-line {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 8px 12px;
}
section {
  border-top: 1px solid var(--hair);
  padding-top: 8px;
}
.presses {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(160px, 40%), 1fr));
  gap: 8px;
  padding: 8px 0;
}
.press {
  min-height: 64px;
  font-size: 17px;
  line-height: 1.15;
}
.two {
  display: grid;
}
.two small {
  font-size: 13px;
  color: var(--soft);
}
</style>
