<script setup lang="ts">
/** What stays at home, each with its reason. */
import { whyHome, type AtHome, type KitPiece, type Piece } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useCoverage } from '../../stores/coverage';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import * as texts from '../../words/kit/homeList';
import * as edits from '../../words/edits';

const props = defineProps<{ left: readonly Piece[]; carried: readonly KitPiece[] }>();
const answers = useAnswer();
const garage = useGarage();
const view = useView();
const notice = useNotice();
/** Names before the others are counted. */
const FEW = 3;

/** Which heads each tool goes on: asked for when the reasons for staying at home are looked at. */
const coverage = useCoverage();
const few = (names: readonly string[]) =>
  names.slice(0, FEW).join(', ') + (names.length > FEW ? texts.andOthers(names.length - FEW) : '');
function homeWords(why: AtHome): string {
  switch (why.code) {
    case 'marked never':
      return texts.youMarkedItNever;
    case 'broken':
      return texts.itIsBroken;
    case 'another bike':
      return texts.onlyForBike(garage.doc?.bikes.find((b) => b.id === why.bikeId)?.name);
    case 'turned by others':
      return texts.turnedByOthers(few(why.tools));
    case 'not worth it':
      return texts.notWorthIt(few(why.fasteners).toLowerCase());
    case 'done by others':
      return texts.doneByOthers(few(why.tools));
    case 'turns nothing':
      return texts.turnsNothingHere;
    case 'not asked for':
      return texts.notAskedFor;
  }
}
const homeReason = (p: Piece): string =>
  coverage.value && answers.answer && garage.bike
    ? homeWords(
        whyHome(p, {
          pieces: props.carried,
          kitUse: answers.answer.kitUse,
          coverage: coverage.value,
          bikeId: garage.bike.id,
        }),
      )
    : '';
/** Packed whatever the kit is chosen by. */
function takeAnyway(p: Piece) {
  if (garage.put(edits.takeAlong(p.name), 'pieces', { ...p, mark: 'always' }))
    notice.done(texts.isPackedAlways(p.name));
}
</script>

<template>
  <div class="sheet-head">
    <h2>{{ texts.leftAtHome }}</h2>
    <span class="num soft">{{ left.length }}</span>
  </div>
  <div role="list" :aria-label="texts.leftAtHome">
    <div v-for="p in left" :key="p.id" role="listitem" class="row line">
      <span
        ><span class="title">{{ p.name }}</span
        ><span class="sub">{{ homeReason(p) }}</span></span
      ><span class="num soft"
        >{{ massText(view.units, p.mass) }}
        <v-btn variant="plain" class="own" :aria-label="texts.takeItAnyway(p.name)" @click="takeAnyway(p)">{{
          texts.takeAnyway
        }}</v-btn></span
      >
    </div>
  </div>
</template>
