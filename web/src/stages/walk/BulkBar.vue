<script setup lang="ts">
/** What is done to several rows at once: one edit, so one undo. */
import { CONDITIONS, EVIDENCE, LEAVE_OUT, STATION_NAMES, STATIONS, type Fastener } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import DropMenu from '../../ui/DropMenu.vue';
import { climbed } from './climbed';
import * as texts from '../../words/walk/bulkBar';
import { counted } from '../../words/counted';

const props = defineProps<{ chosen: Fastener[] }>();
const emit = defineEmits<{ clear: []; all: [] }>();
const garage = useGarage();
const notice = useNotice();

function change(label: string, to: (f: Fastener) => Fastener | null) {
  const n = props.chosen.length;
  garage.edit(
    texts.labelRows(label, counted(n, 'row')),
    props.chosen.map((before) => ({ table: 'fasteners' as const, id: before.id, before, after: to(before) })),
  );
  notice.done(texts.rowsDone(counted(n, 'row'), label));
}
const TRAITS = [
  { key: 'shakesLoose', label: 'shakes loose' },
  { key: 'getsLost', label: texts.getsLost },
  { key: 'breaks', label: 'breaks' },
  { key: 'accessory', label: 'accessory' },
] as const;
const every = (key: (typeof TRAITS)[number]['key']) => props.chosen.every((f) => f[key]);
</script>

<template>
  <div class="bulk panel" role="toolbar" :aria-label="texts.chosenRows">
    <strong
      ><span class="num">{{ chosen.length }}</span> {{ texts.chosen }}</strong
    >
    <DropMenu :label="texts.evidence" :hint="texts.setEvidenceLevel">
      <v-list-item
        v-for="e in EVIDENCE"
        :key="e"
        role="menuitem"
        @click="change(e, (f) => climbed(f, e, texts.severalAtOnce))"
      >
        {{ e }}
      </v-list-item>
    </DropMenu>
    <DropMenu :label="texts.mark" :hint="texts.whatTheyAreKnownFor">
      <v-list-item
        v-for="t in TRAITS"
        :key="t.key"
        role="menuitem"
        @click="change(every(t.key) ? `not ${t.label}` : t.label, (f) => ({ ...f, [t.key]: !every(t.key) }))"
      >
        {{ every(t.key) ? texts.not(t.label) : t.label }}
      </v-list-item>
      <v-list-item
        v-for="(_f, c) in CONDITIONS"
        :key="c"
        role="menuitem"
        @click="change(c, (f) => ({ ...f, condition: c }))"
      >
        {{ texts.condition(c) }}
      </v-list-item>
    </DropMenu>
    <DropMenu :label="texts.move" :hint="texts.toAnotherStation">
      <v-list-item
        v-for="s in STATIONS"
        :key="s"
        role="menuitem"
        @click="change(texts.movedTo(STATION_NAMES[s].toLowerCase()), (f) => ({ ...f, station: s }))"
      >
        {{ STATION_NAMES[s] }}
      </v-list-item>
    </DropMenu>
    <DropMenu :label="texts.leaveOut" :hint="texts.whyNoRoadsideJobTurns">
      <v-list-item
        v-for="r in LEAVE_OUT"
        :key="r"
        role="menuitem"
        @click="change('left out', (f) => ({ ...f, leftOut: r }))"
      >
        {{ r }}
      </v-list-item>
      <v-list-item role="menuitem" @click="change(texts.countIn, (f) => ({ ...f, leftOut: null }))">{{
        texts.includeAgain
      }}</v-list-item>
    </DropMenu>
    <v-btn
      variant="plain"
      @click="
        change('deleted', () => null);
        emit('clear');
      "
    >
      {{ texts.deleteIt }}
    </v-btn>
    <v-btn variant="plain" @click="emit('all')">{{ texts.allShown }}</v-btn>
    <v-btn variant="plain" @click="emit('clear')">{{ texts.none }}</v-btn>
  </div>
</template>

<style scoped>
.bulk {
  position: sticky;
  bottom: 0;
  z-index: 4;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  padding: 8px 16px;
  min-height: 48px;
  background: var(--panel);
  color: var(--panel-ink);
}
.bulk :deep(.word) {
  color: var(--panel-ink);
  font-weight: 500;
}
@media (max-width: 760px) {
  .bulk .v-btn--variant-plain,
  .bulk :deep(.word) {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
