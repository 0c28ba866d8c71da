<script setup lang="ts">
/** A scale that streams: what it shows, whether it stands still, and a press that gives the piece this mass. */
import LineField from '../../ui/LineField.vue';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { readLine, type Piece } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useInstruments } from '../../stores/instruments';
import { useView } from '../../stores/view';
import { useWedge } from '../../ui/useWedge';
import { massText } from '../../ui/words';
import * as texts from '../../words/match/scaleStrip';
import * as edits from '../../words/edits';

const props = defineProps<{ piece: Piece }>();
const garage = useGarage();
const instruments = useInstruments();
const view = useView();
const typed = ref<number | null>(null);
let leave = () => {};
onMounted(() => (leave = instruments.use()));
onBeforeUnmount(() => leave());
useWedge('scale', (value) => (typed.value = value));

const live = computed(() => instruments.scale);
const shown = computed(() => (live.value && !live.value.lost ? live.value.value : typed.value));
const still = computed(() => (live.value && !live.value.lost ? live.value.stable : typed.value !== null));
const sane = computed(() => shown.value !== null && shown.value > 0 && shown.value < 500_000);

function take() {
  if (!sane.value || shown.value === null) return;
  typed.value = null;
  garage.put(edits.weigh(props.piece.name), 'pieces', { ...props.piece, mass: shown.value, weighed: true });
}
function typeIn(text: string) {
  const read = readLine(text, 'scale');
  typed.value = read?.instrument === 'scale' ? read.value : null;
}
</script>

<template>
  <p class="scale" :class="{ off: !live || live.lost }" role="group" :aria-label="texts.scale">
    <template v-if="live && !live.lost">
      <span class="num big">{{ shown === null ? '–' : massText(view.units, shown) }}</span>
      <span class="soft"
        >{{ live.device }}{{ still ? '' : texts.settling }}{{ live.missed ? texts.linesLost(live.missed) : '' }}</span
      >
      <v-btn :disabled="!still || !sane" @click="take">{{ texts.takeThisMass }}</v-btn>
    </template>
    <template v-else>
      <span class="soft">{{
        live
          ? texts.notHeardForSIs(live.device, live.ago)
          : instruments.line === 'broken'
            ? texts.noConnectionToTheServer
            : texts.noScaleConnected
      }}</span>
      <LineField
        hide-label
        :label="texts.whatTheScaleShows"
        figures
        placeholder="86 g"
        inputmode="decimal"
        @update:model-value="typeIn"
      />
      <v-btn variant="tonal" :disabled="!sane" @click="take">{{ texts.takeIt }}</v-btn>
    </template>
  </p>
</template>

<style scoped>
.scale {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.big {
  font-size: 24px;
  font-weight: 600;
}
.line-field {
  width: 96px;
}
</style>
