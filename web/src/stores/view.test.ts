import '../testing/browser';
import { beforeEach, expect, test } from '@jest/globals';
import { FAULT_TREES } from '@necessaire/core';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { clearStorage } from '../testing/browser';
import { keepSymptomOrder, symptomsInOrder } from '../stages/road/symptomOrder';
import { tellPlace, whenAndWhere, whereNow } from '../sync/position';
import { useView } from './view';

beforeEach(clearStorage);
const load = () => {
  setActivePinia(createPinia());
  return useView();
};

test('how a screen looks is as it was left', async () => {
  const view = load();
  expect([view.theme, view.units, view.garageId, view.who]).toEqual(['light', 'metric', null, '']);
  view.theme = 'dark';
  view.units = 'inch';
  view.bikeId = 'b';
  view.who = 'Ines';
  await nextTick();
  expect(document.documentElement.dataset['theme']).toBe('dark');
  const again = load();
  expect([again.theme, again.units, again.bikeId, again.who]).toEqual(['dark', 'inch', 'b', 'Ines']);
  // What is under the cursor is of this visit alone.
  expect(again.fastenerId).toBeNull();
});
test('what the browser kept of it that is none, or too long, does no harm', () => {
  for (const text of ['{', '3', JSON.stringify({ units: 'furlongs', who: 7 })]) {
    localStorage.setItem('necessaire.view', text);
    const view = load();
    expect([text, view.units, view.who]).toEqual([text, 'metric', '']);
  }
  localStorage.setItem('necessaire.view', JSON.stringify({ who: 'x'.repeat(500) }));
  expect(load().who.length).toBeLessThanOrEqual(60);
});

test('what is wrong: people first, then as it was worked out at the last visit', () => {
  const fixed = FAULT_TREES.filter((t) => t.inOrder).map((t) => t.id);
  const ids = () => symptomsInOrder().map((t) => t.id);
  expect(ids().slice(0, fixed.length).sort()).toEqual([...fixed].sort());
  expect(ids()[fixed.length]).toBe('flat');
  expect(ids().sort()).toEqual(FAULT_TREES.map((t) => t.id).sort());
  const rest = FAULT_TREES.filter((t) => !t.inOrder).map((t) => t.id);
  const weight = new Map(rest.map((id, i) => [id, (i * 7) % rest.length]));
  keepSymptomOrder((t) => weight.get(t.id)!);
  expect(ids().slice(fixed.length)).toEqual([...rest].sort((a, b) => weight.get(b)! - weight.get(a)!));
  // A search that is newer than what was kept stands last; what cannot be read is as nothing.
  localStorage.setItem('necessaire.symptoms', JSON.stringify([rest[3]]));
  expect(ids()[fixed.length]).toBe(rest[3]);
  expect(ids()).toHaveLength(FAULT_TREES.length);
  for (const text of ['{', '"flat"']) {
    localStorage.setItem('necessaire.symptoms', text);
    expect([text, ids().length]).toEqual([text, FAULT_TREES.length]);
  }
});

test('an event is written down with its time, and its place once the device told it', () => {
  const now = new Date(2026, 5, 1, 9, 5);
  expect(whenAndWhere('Puncture', now)).toBe('09:05 Puncture');
  expect(whereNow()).toBe('');
  tellPlace({ lat: 47.123_456, lon: -9.5 });
  expect(whenAndWhere('Puncture', now)).toBe('09:05 Puncture at 47.12346, -9.50000');
  expect(whereNow()).toBe('47.12346, -9.50000');
});
