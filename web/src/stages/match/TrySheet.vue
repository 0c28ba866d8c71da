<script setup lang="ts">
/** Lay out the proposed set and go round the bike: each head is marked as tried, or what stopped it, which becomes a fact. */
import { computed } from 'vue';
import { STATION_NAMES, STATIONS, STOPPED, stoppedBy, workedBy, type Fastener, type Stopped } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import DropMenu from '../../ui/DropMenu.vue';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import { toneOf } from '../../ui/words';
import * as texts from '../../words/match/trySheet';
import * as edits from '../../words/edits';

const garage = useGarage();
const answers = useAnswer();
const view = useView();
const notice = useNotice();

const kitChains = computed(() => answers.answer?.kitChains ?? {});
const chosen = computed(() =>
  garage.fasteners
    .filter((f) => f.leftOut === null && kitChains.value[f.id])
    .sort((a, b) => STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station)),
);
const open = computed(() => chosen.value.filter((f) => f.evidence === 'assumed' || f.evidence === 'measured'));
const done = computed(() => chosen.value.length - open.value.length);
const pieces = computed(() => answers.answer?.kit.pieces ?? []);
const words = (f: Fastener) => (kitChains.value[f.id] ?? []).map((c) => c.join(' + ')).join(texts.andFarEnd);
const by = () => ({ who: view.who, when: new Date().toISOString() });

function works(f: Fastener) {
  garage.put(edits.tried(f.name), 'fasteners', workedBy(f, kitChains.value[f.id] ?? [], by()));
  notice.say(texts.triedWorks(f.name));
}
function stopped(f: Fastener, what: Stopped, end: 'near' | 'far') {
  const chain = answers.answer?.kitUse[f.id]?.[end === 'near' ? 0 : 1];
  if (!chain) return;
  garage.put(`${f.name}: ${what}`, 'fasteners', stoppedBy(f, what, chain, end, by()));
  view.fastenerId = f.id;
  notice.say(texts.theSetIsSolvedAgain(f.name, what));
}
</script>

<template>
  <div class="try">
    <p class="lead">
      {{ texts.layThese }} <strong class="num">{{ pieces.reduce((s, k) => s + k.count, 0) }}</strong>
      {{ texts.toolsOnTheFloorLeave }} <strong class="num">{{ done }}</strong> {{ texts.of2 }}
      <span class="num">{{ chosen.length }}</span> {{ texts.fastenersAreTried }}
    </p>
    <v-expansion-panels
      ><v-expansion-panel
        ><v-expansion-panel-title>{{ texts.whatToLayOut }}</v-expansion-panel-title
        ><v-expansion-panel-text
          ><p class="soft">
            {{ pieces.map((k) => (k.count > 1 ? `${k.piece.name} ×${k.count}` : k.piece.name)).join(', ') }}
          </p></v-expansion-panel-text
        ></v-expansion-panel
      ></v-expansion-panels
    >
    <p v-if="chosen.length > 0 && open.length === 0" class="empty good">{{ texts.everyHeadThatTheKit }}</p>
    <div
      v-for="f in open"
      :key="f.id"
      class="row try-row"
      :class="{ picked: f.id === view.fastenerId }"
      role="group"
      :aria-label="f.name"
    >
      <HeadGlyph :head="f.head" :tone="toneOf(f)" />
      <v-btn variant="text" class="text" @click="view.fastenerId = f.id">
        <span class="title"
          >{{ f.name }} <span class="soft">{{ STATION_NAMES[f.station].toLowerCase() }}</span></span
        >
        <span class="sub">{{ words(f) }}</span>
      </v-btn>
      <span class="acts">
        <v-btn :aria-label="texts.works(f.name)" @click="works(f)">{{ texts.works2 }}</v-btn>
        <DropMenu :label="texts.stopped" :name="texts.whatStoppedIt(f.name)" :hint="texts.whatStoppedIt2" quiet>
          <v-list-item v-for="s in STOPPED" :key="s" role="menuitem" @click="stopped(f, s, 'near')">{{
            s
          }}</v-list-item>
          <template v-if="f.far">
            <v-list-item
              v-for="s in STOPPED.slice(0, 7)"
              :key="`far ${s}`"
              role="menuitem"
              @click="stopped(f, s, 'far')"
            >
              {{ texts.farEnd(s) }}
            </v-list-item>
          </template>
        </DropMenu>
      </span>
    </div>
  </div>
</template>

<style scoped>
.lead,
details {
  padding: 10px 16px 4px;
  font-size: 15px;
}
summary {
  cursor: pointer;
}
.try-row {
  grid-template-columns: 34px minmax(0, 1fr) auto;
}
.picked {
  background: var(--picked);
  box-shadow: inset 4px 0 0 var(--ink);
}
.title,
.sub {
  display: block;
}
.acts {
  display: flex;
  gap: 12px;
  align-items: center;
}
@media (max-width: 760px) {
  .acts {
    grid-column: 2 / -1;
  }
  .acts :deep(.word) {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
  summary,
  .text {
    min-height: 44px;
  }
}
</style>
