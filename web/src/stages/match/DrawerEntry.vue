<script setup lang="ts">
/** What one owns in one line, as people say it: tools, spares and supplies; or part of a name, to find it in the toolbox, in the catalogue or in a set. */
import { computed } from 'vue';
import {
  findModels,
  itemsComplete,
  readItems,
  setModels,
  setsLike,
  type PieceModel,
  type ReadItem,
  type ToolSet,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import LineInput from '../../ui/line/LineInput.vue';
import LineSays from '../../ui/line/LineSays.vue';
import { useAnswers } from '../../ui/line/useAnswers';
import { useOwnWords } from '../../ui/line/useOwnWords';
import { massText } from '../../ui/words';
import { ITEM_LINES } from '../../words/lines';
import { ITEM_TERMS, itemText } from './items';
import { usePutItems } from './usePutItems';
import { useMoney } from '../../ui/useMoney';
import * as texts from '../../words/match/drawerEntry';

const asked = defineModel<string>({ required: true });
const { money } = useMoney();
const emit = defineEmits<{ list: [text: string] }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const words = useOwnWords();

const typed = computed(() => asked.value.trim());
const reading = computed(() =>
  readItems(asked.value, { inch: view.units === 'inch', own: words.own.value, book: garage.book }),
);
const found = computed(() => (typed.value ? findModels(typed.value, 6) : []));
const sets = computed(() => (/\bsets?\b/iu.test(typed.value) ? setsLike(typed.value).slice(0, 6) : []));
/** What Enter would add. */
const items = computed(() => (itemsComplete(reading.value) ? reading.value.items : []));

/** As many are shown by name. */
const FEW = 6;
const toolMass = computed(() =>
  items.value.reduce(
    (m, i) => m + (i.at === 'tool' ? (i.tool.said.mass ?? i.tool.model.mass) * (i.tool.said.count ?? 1) : 0),
    0,
  ),
);

const { put: putItems } = usePutItems();
function put(list: readonly ReadItem[]) {
  if (putItems(list)) asked.value = '';
}
function putWhole(): boolean {
  const whole = items.value.length > 0;
  if (whole) put(items.value);
  return whole;
}
const { shown, turn, hold, take, mean } = useAnswers(asked, reading, putWhole);
const add = (model: PieceModel) => put([{ at: 'tool', tool: { model, said: {}, set: null } }]);
const addSet = (set: ToolSet) =>
  put(setModels(set).map((model) => ({ at: 'tool' as const, tool: { model, said: {}, set: set.name } })));
function enter() {
  if (putWhole() || !typed.value) return;
  const { asks, faults } = reading.value;
  notice.say(faults[0]?.message ?? asks[0]?.question ?? '');
  hold();
}
</script>

<template>
  <form class="find" @submit.prevent="enter">
    <span class="prompt" aria-hidden="true">›</span>
    <LineInput
      id="piece"
      ref="box"
      v-model="asked"
      :label="texts.whatYouOwnInOne"
      :placeholder="ITEM_LINES.placeholder"
      :reading="shown"
      :says="texts.pieceSays"
      @list="emit('list', $event)"
      @keydown.tab="turn"
    />
    <v-btn variant="text" class="add" type="submit"
      ><kbd class="key">{{ texts.enter }}</kbd> {{ texts.addIt }}</v-btn
    >
  </form>
  <div id="piece-says" class="says" aria-live="polite">
    <LineSays v-if="typed" ref="says" :reading="shown" :terms="ITEM_TERMS" @take="take" @mean="mean">
      <span v-if="items.length > 0" class="makes"
        ><template v-for="(item, i) in items.slice(0, FEW)" :key="i"
          ><strong>{{ itemText(item, garage.book) }}</strong
          ><template v-if="item.at === 'tool' && items.length <= FEW"
            >,
            <span class="num">{{ massText(view.units, item.tool.said.mass ?? item.tool.model.mass) }}</span></template
          ><span v-else-if="item.at === 'spare'" class="soft"> {{ ' ' }}{{ texts.spares }}</span
          ><template v-if="i < Math.min(FEW, items.length) - 1">; </template></template
        ><template v-if="items.length > FEW">
          {{ ' ' }}{{ texts.andMoreTools(items.length - FEW) }}
          <span class="num">{{ massText(view.units, toolMass) }}</span></template
        ></span
      >
    </LineSays>
    <span v-else class="soft"
      >{{ texts.kindAndSizeThen }} <code v-for="h in ITEM_LINES.hints(view.units)" :key="h">{{ h }}</code>{{ texts.or }}
      <code v-for="l in ITEM_LINES.alone" :key="l">{{ l }}</code></span
    >
  </div>
  <template v-if="found.length > 0">
    <div class="sheet-head">
      <h2>{{ texts.addFromTheCatalogue }}</h2>
      <span class="soft">{{ texts.typicalValues }}</span>
    </div>
    <div v-for="m in found" :key="m.name" class="row piece-row">
      <span class="title">{{ m.name }}</span>
      <span class="num">{{ massText(view.units, m.mass) }}</span>
      <v-btn variant="tonal" :aria-label="texts.add2(m.name)" @click="add(m)">{{ texts.add }}</v-btn>
    </div>
  </template>
  <template v-if="sets.length > 0">
    <div class="sheet-head">
      <h2>{{ texts.sets }}</h2>
    </div>
    <div v-for="s in sets" :key="s.name" class="row piece-row">
      <span
        ><span class="title">{{ s.name }}</span
        ><span class="sub">{{ texts.toolsAbout(s.holds.length, money(s.price)) }}</span></span
      >
      <span />
      <v-btn variant="tonal" :aria-label="texts.addTheSet(s.name)" @click="addSet(s)">{{ texts.add }}</v-btn>
    </div>
  </template>
</template>

<style scoped>
.find {
  display: flex;
  align-items: center;
  gap: 10px;
  height: 46px;
  border-bottom: 2px solid var(--ink);
  padding: 0 16px;
}
.prompt {
  color: var(--gap);
  font-size: 22px;
  font-weight: 600;
}
.find:focus-within {
  box-shadow: inset 4px 0 0 var(--ink);
}
.add {
  font-family: var(--v-font-heading);
  font-size: 15px;
  white-space: nowrap;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.says {
  min-height: 32px;
  padding: 5px 16px;
  border-bottom: 1px solid var(--hair);
  font-size: 14px;
}
code {
  margin-left: 5px;
  font-family: var(--figures);
  font-size: 12.5px;
  white-space: nowrap;
}
.piece-row {
  grid-template-columns: minmax(0, 1fr) auto auto;
}
.piece-row .sub {
  display: block;
}
</style>
