import { defineStore } from 'pinia';
import type { SwitchCost, Weighs } from '@necessaire/core';
import { longWork } from './longWork';

/** Where the weight is: bolts, marks, purchases. */
export const useWeighs = defineStore('weighs', () =>
  longWork<Weighs>((w, doc, question, onProgress) => w.weighs(doc, question, onProgress)),
);

/** What each other position of each switch of practice costs or saves. */
export const useSwitchCosts = defineStore('switchCosts', () =>
  longWork<SwitchCost[]>((w, doc, question, onProgress) => w.switches(doc, question, onProgress)),
);
