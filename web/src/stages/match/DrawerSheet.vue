<script setup lang="ts">
/** The toolbox: pieces owned, entered in one line, each opened to all that is known of it. */
import LineField from '../../ui/LineField.vue';
import SelectField from '../../ui/SelectField.vue';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  figure,
  lacksSize,
  ownSets,
  PIECE_COLUMNS,
  printShape,
  readPieces,
  unitOf,
  writePieces,
  type Difference,
  type Piece,
  withSize,
  withUnit,
  sourceWords,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import CsvDialog from '../../ui/CsvDialog.vue';
import { download, fileName } from '../../ui/download';
import DropMenu from '../../ui/DropMenu.vue';
import NumberField from '../../ui/NumberField.vue';
import { massText } from '../../ui/words';
import DrawerEntry from './DrawerEntry.vue';
import ItemList from './ItemList.vue';
import PieceEditor from './PieceEditor.vue';
import ScaleStrip from './ScaleStrip.vue';
import * as texts from '../../words/match/drawerSheet';
import * as edits from '../../words/edits';

const garage = useGarage();
const view = useView();
const notice = useNotice();
const answers = useAnswer();
const asked = ref('');
/** A pasted list that is being read; null while none is. */
const listing = ref<string | null>(null);
/** The piece in the editor; `new` for one that is made. */
const altering = shallowRef<Piece | 'new' | null>(null);

const plain = (text: string) =>
  text.toLowerCase().replaceAll('¼', '1/4').replaceAll('½', '1/2').replaceAll('⅜', '3/8').replaceAll('⁄', '/');
const words = computed(() => plain(asked.value).split(/\s+/).filter(Boolean));
const matches = (p: Piece) => words.value.every((w) => plain(`${p.name} ${p.set} ${p.kept}`).includes(w));
/** The toolbox by the words typed; all of it while the line says something that no piece is called. */
const owned = computed(() => {
  const all = garage.doc?.pieces ?? [];
  const hits = all.filter((p) => words.value.length === 0 || matches(p));
  return hits.length > 0 ? hits : all;
});
const picked = computed(() => garage.doc?.pieces.find((p) => p.id === view.pieceId) ?? null);
/** What a piece turns and what it is held by, in words. */
const turns = (p: Piece) => [...new Set(p.modes.map((m) => printShape(m.turns)))].slice(0, 6).join(', ');
const heldBy = (p: Piece) =>
  [
    ...new Set(
      p.modes.map((m) =>
        m.offer.by === 'hand' ? texts.handArm(withUnit(view.units, 'length', m.offer.arm)) : printShape(m.offer.shape),
      ),
    ),
  ]
    .slice(0, 3)
    .join(', ');
const bears = (p: Piece) =>
  withUnit(view.units, 'torque', p.modes.length > 0 ? Math.min(...p.modes.map((m) => m.bears)) : 0);
const sub = (p: Piece) =>
  [
    p.kind === 'home-made' ? 'home-made' : '',
    p.mark ? texts.inTheKit2(p.mark) : '',
    p.condition !== 'good' ? p.condition : '',
    p.quality === 'cheap' ? 'cheap' : '',
    p.onlyBike ? texts.onlyFor2(garage.doc?.bikes.find((b) => b.id === p.onlyBike)?.name ?? texts.oneBike) : '',
    p.set,
    p.kept ? texts.keptIn(p.kept) : '',
    p.note,
  ]
    .filter(Boolean)
    .join(' · ');

const sizeFault = ref<string | null>(null);
/** A tool that was kept without its size gets it. */
function measure(p: Piece, size: string) {
  const read = withSize(p, size, { inch: view.units === 'inch' });
  sizeFault.value = read.ok ? null : read.reason;
  if (!read.ok) return;
  garage.put(edits.measure(p.name), 'pieces', read.piece);
  notice.say(texts.itIsRecordedAs(read.piece.name));
}
const change = (p: Piece, label: string, fields: Partial<Piece>) => garage.put(label, 'pieces', { ...p, ...fields });
function remove(p: Piece) {
  garage.remove(texts.takeOut(p.name), { table: 'pieces', id: p.id });
  notice.done(texts.takenOutOfTheToolbox(p.name));
  view.pieceId = null;
}
const conditionOf = (text: string): Piece['condition'] => (text === 'worn' || text === 'broken' ? text : 'good');
const markOf = (text: string): Piece['mark'] =>
  text === 'always' || text === 'twice' || text === 'never' ? text : null;

// Whole tables of the toolbox.
const reading = ref(false);
const readTable = (text: string) => readPieces(text, garage.doc?.pieces ?? [], () => crypto.randomUUID());
function writeTable(rows: Piece[]) {
  garage.put(texts.readToolsFromATable(rows.length), 'pieces', ...rows);
  notice.done(texts.toolsRead(rows.length));
  reading.value = false;
}
const CONDITIONS = [
  { title: texts.good, value: 'good' },
  { title: texts.worn, value: 'worn' },
  { title: texts.broken, value: 'broken' },
];
const QUALITIES = [
  { title: texts.good, value: 'good' },
  { title: texts.cheap, value: 'cheap' },
];
const csvOut = () => download(fileName('drawer', 'csv'), writePieces(garage.doc?.pieces ?? []), 'text/csv');

/** What came as a set, against what the kit takes of it. */
const sets = computed(() => {
  const kit = answers.answer?.kit;
  return kit ? ownSets(garage.doc?.pieces ?? [], kit) : [];
});

/** What the mark on the opened piece costs, worked out beside the answer; null while it is not known. */
const cost = shallowRef<Difference | null>(null);
watch(
  () => [garage.version, picked.value?.id, garage.bike?.id, garage.trip?.id] as const,
  async () => {
    cost.value = null;
    const [{ doc, bike, trip }, piece] = [garage, picked.value];
    if (!doc || !bike || !piece || (piece.mark === null && piece.onlyBike === null)) return;
    const made = await answers.ask((w) => w.markCost(doc, { bikeId: bike.id, tripId: trip?.id ?? null }, piece.id));
    if (garage.doc === doc && picked.value?.id === piece.id) cost.value = made;
  },
  { immediate: true },
);
const costWords = computed(() => {
  const c = cost.value;
  if (!c) return '';
  if (Math.abs(c.grams) < 0.05) return texts.addsNoWeightTheKit;
  const goes = [
    c.leaves.length > 0 ? texts.wouldLeave(c.leaves.join(', ')) : '',
    c.comes.length > 0 ? texts.wouldCome(c.comes.join(', ')) : '',
  ];
  return texts.costsWithoutIt(
    massText(view.units, c.grams),
    goes.filter(Boolean).join('; ') || texts.nothingElseChanges,
  );
});
</script>

<template>
  <div>
    <DrawerEntry v-model="asked" @list="listing = $event" />
    <div class="sheet-head">
      <h2>{{ texts.inTheToolbox }}</h2>
      <span
        ><v-btn variant="plain" class="make" @click="altering = 'new'">{{ texts.makeATool }}</v-btn
        ><DropMenu :label="texts.table" :hint="texts.theWholeToolboxAsA" quiet>
          <v-list-item role="menuitem" @click="listing = ''">{{ texts.pasteAList }}</v-list-item>
          <v-list-item role="menuitem" @click="reading = true">{{ texts.importCsv }}</v-list-item>
          <v-list-item role="menuitem" @click="csvOut">{{ texts.exportCsv }}</v-list-item>
        </DropMenu>
        <span class="num soft of">{{ owned.length }}</span></span
      >
    </div>
    <p v-if="(garage.doc?.pieces.length ?? 0) === 0" class="empty">
      {{ texts.theToolboxIsEmptyType }} <code class="num">{{ texts.combination13 }}</code>.
    </p>
    <template v-for="p in owned" :key="p.id">
      <v-btn
        variant="text"
        class="row piece-row"
        :class="{ picked: p.id === view.pieceId }"
        :aria-expanded="p.id === view.pieceId"
        @click="view.pieceId = p.id === view.pieceId ? null : p.id"
      >
        <span
          ><span class="title"
            >{{ p.name }}<span v-if="p.count > 1" class="soft num"> ×{{ p.count }}</span></span
          >
          <span v-if="sub(p)" class="sub">{{ sub(p) }}</span></span
        >
        <span class="num">{{ massText(view.units, p.mass) }}</span>
      </v-btn>
      <div v-if="picked && p.id === picked.id" class="detail" role="group" :aria-label="texts.about(p.name)">
        <NumberField
          :label="texts.mass"
          quantity="mass"
          :model-value="p.mass"
          @update:model-value="change(p, `weigh ${p.name}`, { mass: $event, source: 'user', weighed: false })"
        />
        <NumberField
          :label="texts.howMany"
          :min="1"
          :max="200"
          :model-value="p.count"
          @update:model-value="change(p, `count ${p.name}`, { count: Math.round($event) })"
        />
        <SelectField
          :label="texts.inTheKit"
          :items="[
            { title: texts.ifUseful, value: '' },
            { title: texts.always, value: 'always' },
            { title: texts.alwaysTwoOfThem, value: 'twice' },
            { title: texts.never, value: 'never' },
          ]"
          :model-value="p.mark ?? ''"
          @update:model-value="change(p, `mark ${p.name}`, { mark: markOf($event) })"
        />
        <NumberField
          :label="texts.price"
          money
          :max="100000"
          :model-value="p.price"
          @update:model-value="change(p, texts.priceOf(p.name), { price: $event })"
        />
        <SelectField
          :label="texts.condition"
          :items="CONDITIONS"
          :model-value="p.condition"
          @update:model-value="
            change(p, texts.conditionOf(p.name), {
              condition: conditionOf($event),
            })
          "
        />
        <SelectField
          :label="texts.onlyFor"
          :items="[
            { title: texts.anyBike, value: '' },
            ...(garage.doc?.bikes ?? []).map((b) => ({ title: b.name, value: b.id })),
          ]"
          :model-value="p.onlyBike ?? ''"
          @update:model-value="change(p, texts.bikeOf(p.name), { onlyBike: $event || null })"
        />
        <LineField
          class="span"
          :label="texts.keptAtHomeIn"
          maxlength="80"
          :model-value="p.kept"
          :placeholder="texts.garageWall"
          @change="change(p, texts.placeOf(p.name), { kept: ($event.target as HTMLInputElement).value.trim() })"
        />
        <SelectField
          :label="texts.quality"
          :items="QUALITIES"
          :model-value="p.quality"
          @update:model-value="
            change(p, texts.qualityOf(p.name), {
              quality: $event === 'cheap' ? 'cheap' : 'good',
            })
          "
        />
        <LineField
          v-if="lacksSize(p)"
          class="span"
          :label="texts.itsSizeOnceYouHave"
          placeholder="14"
          :fault="sizeFault"
          @change="measure(p, ($event.target as HTMLInputElement).value)"
        />
        <p class="facts">
          <template v-if="lacksSize(p)">{{ texts.turnsNothingUntilItsSize }}</template>
          <template v-if="p.modes.length > 0">{{ texts.turnsHeldByBears(turns(p), heldBy(p), bears(p)) }}</template>
          <template v-if="p.functions.length > 0"> {{ ' ' }}{{ texts.does(p.functions.join(', ')) }}</template>
          <template v-if="p.set"> {{ ' ' }}{{ texts.from(p.set) }}</template>
          <span class="soft">
            {{ ' ' }}{{ texts.figures(sourceWords(p.source), p.weighed ? texts.massFromTheScale : '') }}</span
          >
        </p>
        <p v-if="costWords" class="facts" role="status">{{ costWords }}</p>
        <p class="span acts">
          <v-btn variant="tonal" @click="altering = p">{{ texts.edit }}</v-btn>
          <v-btn variant="tonal" class="gap" @click="remove(p)">{{ texts.deleteIt }}</v-btn>
        </p>
        <ScaleStrip :piece="p" />
      </div>
    </template>
    <template v-for="s in sets" :key="s.name">
      <div class="sheet-head">
        <h2>{{ s.name }}</h2>
        <span class="num">{{ massText(view.units, s.mass) }}</span>
      </div>
      <p class="set">
        <template v-if="s.taken.length > 0"
          >{{ texts.theKitTakes }} <strong>{{ s.taken.map((p) => p.name).join(', ') }}</strong>.</template
        ><template v-else>{{ texts.theKitTakesNothingOf }}</template>
        <template v-if="s.left.length > 0">
          {{ ' ' }}{{ texts.leftAtHomeWhichFrees(s.left.map((p) => p.name).join(', ')) }}
          <span class="num">{{
            texts.and(
              massText(view.units, s.freedMass),
              figure(view.units, 'volume', s.freedBulk),
              unitOf(view.units, 'volume'),
            )
          }}</span>.</template
        >
      </p>
    </template>
    <CsvDialog
      v-if="reading"
      what="pieces"
      :columns="PIECE_COLUMNS"
      :reader="readTable"
      @close="reading = false"
      @write="writeTable"
    />
    <ItemList v-if="listing !== null" :text="listing" @close="listing = null" />
    <PieceEditor v-if="altering" :piece="altering === 'new' ? null : altering" @close="altering = null" />
  </div>
</template>

<style scoped>
.make {
  margin-right: 14px;
  font-size: 14px;
}
.set {
  padding: 6px 16px 10px;
  font-size: 14.5px;
  line-height: 1.35;
}
.of {
  margin-left: 12px;
}
.facts {
  grid-column: 1 / -1;
  font-size: 14px;
}
.span {
  grid-column: span 2;
}
.acts {
  display: flex;
  gap: 10px;
  grid-column: 1 / -1;
}
.piece-row {
  grid-template-columns: minmax(0, 1fr) auto auto;
  width: 100%;
}
.piece-row .sub {
  display: block;
}
.piece-row:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.picked {
  background: var(--picked);
}
.detail {
  display: grid;
  grid-template-columns: 1fr 1fr 1.4fr;
  gap: 8px 12px;
  padding: 10px 16px 14px;
  border-bottom: 1px solid var(--line);
  background: var(--picked);
  align-items: end;
}
.small {
  font-size: 13px;
  color: var(--soft);
  display: block;
}
</style>
