<script setup lang="ts">
import { computed } from 'vue';
import { figure, unitOf, type Fastener } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useView } from '../../stores/view';
import EvidenceBars from '../../ui/EvidenceBars.vue';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import { subWords, toneOf } from '../../ui/words';
import * as texts from '../../words/walk/fastenerRow';

const props = defineProps<{ fastener: Fastener; picked: boolean; choosing?: boolean; chosen?: boolean }>();
const emit = defineEmits<{ press: [event: MouseEvent] }>();
const view = useView();
const answers = useAnswer();
const reached = computed(() => answers.byFastener.get(props.fastener.id)?.reached ?? true);
const sub = computed(() => props.fastener.leftOut ?? subWords(props.fastener, view.units));
</script>

<template>
  <div role="listitem">
    <v-btn
      variant="text"
      class="row fastener"
      :class="{ picked, chosen }"
      :data-fastener="fastener.id"
      :aria-pressed="choosing ? chosen : picked"
      @click="emit('press', $event)"
    >
      <span v-if="choosing" class="box" aria-hidden="true"
        ><svg v-if="chosen" viewBox="0 0 20 20" width="20" height="20"><path d="M3 10l5 5L17 4" /></svg
      ></span>
      <HeadGlyph v-else :head="fastener.head" :tone="toneOf(fastener)" />
      <span class="text">
        <span class="title"
          >{{ fastener.name }}<span v-if="fastener.count > 1" class="soft num count"> ×{{ fastener.count }}</span></span
        >
        <span v-if="sub" class="sub">{{ sub }}</span>
      </span>
      <span v-if="!reached" class="out" :title="texts.noChainOfYourTools"
        ><svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true"><path d="M2 2l10 10M12 2L2 12" /></svg
        >{{ texts.gap }}</span
      >
      <span v-else />
      <span class="torque num"
        >{{ fastener.torque ? figure(view.units, 'torque', fastener.torque.value) : '–'
        }}<span class="soft unit">{{ fastener.torque ? ` ${unitOf(view.units, 'torque')}` : '' }}</span></span
      >
      <EvidenceBars :evidence="fastener.evidence" />
    </v-btn>
  </div>
</template>

<style scoped>
.fastener {
  grid-template-columns: 34px minmax(0, 1fr) auto 82px 30px;
  width: 100%;
  scroll-margin: 90px 0 10px;
}
.fastener:hover {
  background: var(--picked);
}
.picked {
  background: var(--picked);
  box-shadow: inset 4px 0 0 var(--ink);
}
.fastener:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.chosen {
  background: var(--picked);
}
.box {
  width: 28px;
  height: 28px;
  border: 2px solid var(--ink);
  display: grid;
  place-items: center;
}
.box path {
  stroke: var(--ink);
  stroke-width: 3;
  fill: none;
}
/* A long name takes another line: it is what one looks for. */
.title,
.sub {
  display: block;
  overflow-wrap: anywhere;
}
.count {
  font-size: 13px;
}
.torque {
  text-align: right;
  font-size: 14.5px;
  white-space: nowrap;
}
.unit {
  font-size: 12px;
}
.out {
  color: var(--gap);
  font-family: var(--v-font-heading);
  font-weight: 600;
  display: inline-flex;
  gap: 4px;
  align-items: center;
}
.out path {
  stroke: currentColor;
  stroke-width: 2.2;
  fill: none;
}
</style>
