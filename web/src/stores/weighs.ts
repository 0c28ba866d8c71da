import { defineStore } from 'pinia';
import type { HowSure, PreventionCost, SwitchCost, Weighs } from '@necessaire/core';
import { longWork } from './longWork';

/** Where the weight is: bolts, marks, purchases. */
export const useWeighs = defineStore('weighs', () =>
  longWork<Weighs>((w, doc, question, onProgress) => w.weighs(doc, question, onProgress)),
);

/** What each other position of each switch of practice costs or saves. */
export const useSwitchCosts = defineStore('switchCosts', () =>
  longWork<SwitchCost[]>((w, doc, question, onProgress) => w.switches(doc, question, onProgress)),
);

/** What each measure before leaving would do. */
export const usePreventionCosts = defineStore('preventionCosts', () =>
  longWork<PreventionCost[]>((w, doc, question, onProgress) => w.prevention(doc, question, onProgress)),
);

/** What of the kit hangs on how good the rates are. */
export const useHowSure = defineStore('howSure', () =>
  longWork<HowSure>((w, doc, question, onProgress) => w.howSure(doc, question, onProgress)),
);
