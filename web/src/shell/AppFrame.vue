<script setup lang="ts">
import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { useDisplay } from 'vuetify';
import { useExplain } from '../stores/explain';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { keepOffline } from '../sync/offline';
import AlertBar from './AlertBar.vue';
import BriefLine from './BriefLine.vue';
import ReadoutPanel from './ReadoutPanel.vue';
import StageRail from './StageRail.vue';
import { useNotice } from './notice';
import * as texts from '../words/shell/appFrame';

/** What is not on the first view is loaded when it is asked for. */
const FirstBike = defineAsyncComponent(() => import('../garages/FirstBike.vue'));
const search = () => import('./CommandBox.vue');
const CommandBox = defineAsyncComponent(search);
const ConflictDialog = defineAsyncComponent(() => import('./ConflictDialog.vue'));
const ExplainPanel = defineAsyncComponent(() => import('./ExplainPanel.vue'));
const saying = () => import('./NoticeLine.vue');
const alerts = () => import('./AlertLines.vue');
const NoticeLine = defineAsyncComponent(saying);
const PartTabs = defineAsyncComponent(() => import('./PartTabs.vue'));
const KeysDialog = defineAsyncComponent(() => import('./KeysDialog.vue'));

/** Fetched once the first view stands, so that they open at once: the search, and the menus of the first line. */
const AFTER: readonly (() => Promise<unknown>)[] = [
  search,
  () => import('../ui/OpenMenu.vue'),
  () => import('./BikeItems.vue'),
  () => import('./TripItems.vue'),
  () => import('../garages/GarageItems.vue'),
];

const garage = useGarage();
const view = useView();
const notice = useNotice();
const explain = useExplain();

const main = ref<HTMLElement>();
const { width } = useDisplay();
const narrow = computed(() => width.value <= 760);

const SEARCH_AFTER_MS = 1500;
const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.matches('input:not([type=checkbox]):not([type=range]), textarea, select') || target.isContentEditable);

function onKey(event: KeyboardEvent) {
  const command = event.ctrlKey || event.metaKey;
  const key = event.key.toLowerCase();
  if (command && key === 'k') {
    event.preventDefault();
    view.commandOpen = true;
  } else if (view.commandOpen && !command && !document.getElementById('command')) {
    // Fast fingers type before the search is loaded: nothing of it is lost.
    event.preventDefault();
    if (event.key === 'Escape') view.commandOpen = false;
    else if (event.key === 'Enter') view.typedAhead += '\n';
    else if (event.key.length === 1) view.typedAhead += event.key;
  } else if (command && key === 'z' && !typing(event.target)) {
    event.preventDefault();
    notice.undone(event.shiftKey ? garage.redo() : garage.undo(), event.shiftKey);
  } else if (command && key === 'y' && !typing(event.target)) {
    event.preventDefault();
    notice.undone(garage.redo(), true);
  } else if (event.key === '?' && !command && !typing(event.target)) {
    event.preventDefault();
    view.keysOpen = true;
  } else if (event.key === '/' && !command && !typing(event.target)) {
    const entry = document.querySelector<HTMLElement>('input[data-entry], [data-entry] input');
    if (entry) {
      event.preventDefault();
      entry.focus();
    }
  }
}
onMounted(() => {
  // What says that the server is away must not be fetched from it then.
  void saying().catch(() => undefined);
  void alerts().catch(() => undefined);
});
useEventListener('keydown', onKey);
useTimeoutFn(() => {
  // Where that fails they are fetched when they are opened.
  for (const part of AFTER) void part().catch(() => undefined);
  // And all else is kept for days without a network.
  void keepOffline();
}, SEARCH_AFTER_MS);
</script>

<template>
  <div class="frame">
    <a class="skip" href="#stage">{{ texts.skipToTheStage }}</a>
    <BriefLine class="top" />
    <AlertBar class="alert" />
    <StageRail class="rail" />
    <main id="stage" ref="main" class="main" tabindex="-1">
      <FirstBike v-if="!garage.bike" />
      <router-view v-else />
    </main>
    <PartTabs v-if="narrow" class="part" :of="main ?? null" />
    <ReadoutPanel class="foot" />
    <CommandBox v-if="view.commandOpen" />
    <ExplainPanel v-if="explain.shown" />
    <ConflictDialog v-if="garage.questions.length > 0" />
    <NoticeLine v-if="notice.said > 0" />
    <KeysDialog v-if="view.keysOpen" />
  </div>
</template>

<style scoped>
.frame {
  height: 100dvh;
  display: grid;
  grid-template: var(--top) auto minmax(0, 1fr) var(--foot) / var(--rail) minmax(0, 1fr);
  grid-template-areas: 'top top' 'alert alert' 'rail main' 'foot foot';
}
.top {
  grid-area: top;
}
.alert {
  grid-area: alert;
}
.rail {
  grid-area: rail;
}
.main {
  grid-area: main;
  min-width: 0;
  min-height: 0;
  outline: none;
}
.foot {
  grid-area: foot;
}
.part {
  grid-area: part;
}
.skip {
  position: absolute;
  left: -999px;
  z-index: 10;
  background: var(--sheet);
  padding: 8px 12px;
}
.skip:focus {
  left: 8px;
  top: 8px;
}
/* A phone held across: the work gets the height, the figures stand in Kit. */
@media (max-height: 480px) and (min-width: 761px) {
  .frame {
    grid-template: 44px auto minmax(0, 1fr) / var(--rail) minmax(0, 1fr);
    grid-template-areas: 'top top' 'alert alert' 'rail main';
  }
  .rail {
    overflow-y: auto;
  }
  .foot {
    display: none;
  }
}
@media (max-width: 760px) {
  .frame {
    grid-template: auto auto minmax(0, 1fr) auto auto 60px / minmax(0, 1fr);
    grid-template-areas: 'top' 'alert' 'main' 'part' 'foot' 'rail';
  }
}
</style>
