import '../testing/browser';
import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import { createApp } from 'vue';
import { createMemoryHistory, createRouter, routerKey } from 'vue-router';
import { newFastener, type UnitSystem } from '@necessaire/core';
import { findEntries } from '../search/find';
import { useEntries } from '../search/entries';
import { useRiderCells } from '../shell/readout/riderCells';
import { useNotice } from '../shell/notice';
import { useStages } from '../shell/stages';
import { clearStorage, leavePages } from '../testing/browser';
import { answered, answering, demoServer, loadPage } from '../testing/demoPage';
import type { FakeServer } from '../testing/fakeServer';
import { until } from '../testing/until';
import { started } from '../testing/worker';
import { PAGES } from '../words/pages';
import { NOT_FETCHED } from '../workers/called';
import { useExplain } from './explain';
import { useView } from './view';

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
let server: FakeServer;
const { asked, plain } = answering;
beforeEach(() => {
  clearStorage();
  answering.how = plain;
  asked.length = 0;
  server = demoServer();
});
afterAll(() => {
  for (const w of started) w.terminate();
  leavePages();
});

/** A page with the demo open, and what is told of it. */
async function load() {
  const router = createRouter({
    history: createMemoryHistory('/'),
    routes: [{ path: '/:rest(.*)*', component: { template: '' } }],
  });
  const page = await loadPage(server);
  const app = createApp({ template: '' });
  app.provide(routerKey, router);
  const told = app.runWithContext(() => ({ entries: useEntries(), cells: useRiderCells(), stages: useStages() }));
  return { ...page, router, ...told };
}
type Page = Awaited<ReturnType<typeof load>>;
const ready = (page: Page) => answered(page);

describe('the answer of a page', () => {
  test('is what core says of the garage as it is, and follows an edit with what it changed', async () => {
    const page = await load();
    await ready(page);
    const { doc, question } = asked.at(-1)!;
    expect(page.answers.answer?.kit.mass).toBe((await plain(doc, question)).kit.mass);
    expect(page.answers.shownBefore).toBeNull();
    const was = page.answers.shown!;
    const carried = page.answers.answer!.kit.pieces.find((p) => p.needed.length > 3)!.piece;
    page.garage.put('leave it', 'pieces', { ...carried, mark: 'never' });
    await until(() => page.answers.shownBefore !== null, 'a second answer');
    await ready(page);
    expect(page.answers.shownBefore).toEqual(was);
    const mass = page.cells.value.find((c) => c.key === 'mass')!;
    const moved = page.answers.shown!.mass - was.mass;
    expect(mass.diff.startsWith(moved > 0 ? '+' : '−')).toBe(true);
    expect(mass.good).toBe(moved < 0);
  });
  test('of another bike is another question: no difference is shown', async () => {
    const page = await load();
    await ready(page);
    useView().bikeId = page.garage.doc!.bikes[1]!.id;
    await until(() => asked.at(-1)?.question.bikeId === page.garage.doc!.bikes[1]!.id, 'asked of the other bike');
    await ready(page);
    expect(page.answers.shownBefore).toBeNull();
    expect(page.cells.value.every((c) => c.diff === '')).toBe(true);
  });
  test('of the last visit is the answer where nothing has changed: nothing is worked out again', async () => {
    const first = await load();
    await ready(first);
    const { answer, figures } = first.answers;
    asked.length = 0;
    const page = await load();
    await ready(page);
    expect([page.answers.answer, page.answers.figures]).toEqual([answer, figures]);
    expect(asked).toEqual([]);
    // An edit is answered anew, beside it.
    page.garage.put('ties', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity: 17 });
    await until(() => asked.length > 0, 'asked');
    await ready(page);
    expect(page.answers.shownBefore).toEqual(figures);
    // And what is changed elsewhere meanwhile is no answer any more.
    asked.length = 0;
    const other = await load();
    other.garage.put('ties', 'supplies', { ...other.garage.doc!.supplies[0]!, quantity: 18 });
    await until(() => asked.length > 0, 'asked again');
    await ready(other);
  });
  test('of the last visit stands dimmed where another program gave it, until this one’s is there', async () => {
    const first = await load();
    await ready(first);
    const mass = first.answers.answer!.kit.mass;
    let go: () => void = () => undefined;
    const held = new Promise<void>((done) => (go = done));
    answering.how = async (doc, question) => {
      await held;
      return plain(doc, question);
    };
    const program = globalThis as unknown as { __BUILD__: string };
    program.__BUILD__ = 'a newer one';
    try {
      const page = await load();
      await until(() => page.answers.answer !== null, 'the last one');
      expect([page.answers.old, page.answers.busy, page.answers.answer?.kit.mass]).toEqual([true, true, mass]);
      go();
      await ready(page);
      expect(page.answers.old).toBe(false);
    } finally {
      program.__BUILD__ = 'test';
    }
  });
  test('that fails says why, keeps what was shown, and the next one mends it', async () => {
    const page = await load();
    await ready(page);
    const mass = page.answers.answer!.kit.mass;
    const quiet = console.error;
    console.error = () => undefined;
    answering.how = () => Promise.reject(new Error('the solver stopped'));
    page.garage.put('more ties', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity: 9 });
    await until(() => page.answers.failed !== null, 'it says so');
    console.error = quiet;
    expect([page.answers.old, page.answers.busy, page.answers.answer?.kit.mass]).toEqual([true, false, mass]);
    answering.how = plain;
    page.garage.put('more ties', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity: 8 });
    await until(() => page.answers.failed === null, 'it is mended');
  });
  test('that lacks a part of the program says so, and is tried again when the server answers', async () => {
    const page = await load();
    await ready(page);
    const quiet = console.error;
    console.error = () => undefined;
    answering.how = () => Promise.reject(new Error(NOT_FETCHED));
    server.ways = ['is lost'];
    page.garage.put('more ties', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity: 9 });
    await until(() => page.answers.failed !== null && page.garage.trouble !== null, 'it says so');
    expect(page.answers.failed).toMatch(/did not arrive, because the server did not answer/u);
    // What is asked beside it fails as well, and is said; nobody waits for it for ever.
    expect(await page.answers.ask(() => Promise.reject(new Error(NOT_FETCHED)))).toBeNull();
    expect(useNotice().text).toBe(page.answers.failed);
    console.error = quiet;
    answering.how = plain;
    server.ways = ['arrives'];
    await until(() => page.answers.failed === null, 'it came back by itself');
    expect(asked.at(-1)!.doc.supplies[0]!.quantity).toBe(9);
    await ready(page);
  });
  test('whose worker breaks is given by another one', async () => {
    const page = await load();
    await ready(page);
    const quiet = console.error;
    console.error = () => undefined;
    let go = () => {};
    answering.how = (doc, question) => new Promise<void>((r) => (go = r)).then(() => plain(doc, question));
    page.garage.put('more ties', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity: 9 });
    const count = asked.length;
    await until(() => asked.length > count, 'it was asked');
    const broken = started.at(-1)!;
    broken.break();
    await until(() => page.answers.failed !== null, 'it says so');
    console.error = quiet;
    expect(broken.ended).toBe(true);
    go();
    answering.how = plain;
    page.garage.put('more ties', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity: 8 });
    await until(() => page.answers.failed === null, 'another one');
    expect(started.at(-1)).not.toBe(broken);
  });
  test('of many edits in a row is of the last of them', async () => {
    const page = await load();
    await ready(page);
    for (const quantity of [11, 12, 13, 14])
      page.garage.put('ties', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity });
    await until(() => asked.at(-1)?.doc.supplies[0]?.quantity === 14, 'asked of the last');
    await ready(page);
    // The first that was under way, and one for all that came meanwhile.
    expect(asked.length).toBeLessThanOrEqual(3);
  });
  test('counts what is only typed so far, and says so; it is no answer to come back to', async () => {
    const page = await load();
    await ready(page);
    const chosen = page.answers.shown!.chosen;
    const bikeId = page.garage.bike!.id;
    page.answers.draft = newFastener({ id: uuid(77), bikeId, head: { form: 'hex', size: '13' } });
    await until(() => page.answers.draftShown, 'the draft in it');
    expect(page.answers.shown!.chosen).toBe(chosen + 1);
    expect(page.garage.doc!.fasteners.some((f) => f.id === uuid(77))).toBe(false);
    page.answers.draft = null;
    await until(() => !page.answers.draftShown, 'without it');
    expect(page.answers.shown!.chosen).toBe(chosen);
  });
});

describe('what is told of it', () => {
  test.each(['metric', 'inch'] as UnitSystem[])(
    'each figure has a unit and says what it is made of, %s',
    async (units) => {
      const page = await load();
      await ready(page);
      useView().units = units;
      const explain = useExplain();
      const cells = page.cells.value;
      expect(cells.map((c) => c.key)).toEqual(['reached', 'gaps', 'mass', 'bulk', 'home', 'atStake', 'ready']);
      const kit = page.answers.answer!.kit;
      const mass = cells.find((c) => c.key === 'mass')!;
      expect([mass.value, mass.unit]).toEqual(
        units === 'metric' ? [(kit.mass / 1000).toFixed(2), 'kg'] : [(kit.mass / 453.592_37).toFixed(2), 'lb'],
      );
      for (const c of cells.filter((x) => x.key !== 'ready')) {
        explain.hide();
        c.explain();
        expect([c.key, explain.shown?.inputs.length === 0, explain.shown?.to?.path.startsWith('/')]).toEqual([
          c.key,
          false,
          true,
        ]);
        // What is shown large is shown in the reason too.
        if (c.key !== 'reached') expect(explain.shown?.value).toContain(c.value);
      }
    },
  );
  test('what is not known yet is a dash with the next step', async () => {
    const page = await load();
    await ready(page);
    page.garage.put('no legs', 'trips', ...page.garage.doc!.trips.map((t) => ({ ...t, legs: [] })));
    await until(() => page.answers.shown?.missing.home === 'no legs', 'nothing is known of the way');
    const home = page.cells.value.find((c) => c.key === 'home')!;
    expect([home.value, home.unit, home.wants]).toEqual(['–', '', 'no legs yet']);
    home.explain();
    expect(useExplain().shown).toMatchObject({ value: '–', to: { path: '/trip' } });
  });
  test('every stage has its live figure', async () => {
    const page = await load();
    await ready(page);
    const live = Object.fromEntries(page.stages.value.map((s) => [s.path, s.live]));
    expect(Object.keys(live)).toEqual(Object.keys(PAGES.stages));
    const { chosen, reached } = page.answers.shown!;
    expect(live['/match']).toBe(`${reached}/${chosen}`);
    expect(live['/trip']).toBe('1640 km');
    expect(live['/kit']).toBe(`${(page.answers.shown!.mass / 1000).toFixed(2)} kg`);
    expect(page.stages.value.find((s) => s.path === '/trip')?.done).toBe(true);
    useView().units = 'inch';
    expect(page.stages.value.find((s) => s.path === '/trip')?.live).toBe('1019 mi');
  });
  test('everything can be searched for, each once, with its answer beside it, and leads where it says', async () => {
    const page = await load();
    await ready(page);
    const all = page.entries.value;
    const keys = all.map((e) => e.key);
    expect(new Set(keys).size).toBe(keys.length);
    const first = (words: string) => findEntries(all, words)[0]!;
    const spanner = page.answers.answer!.packing.stowed.find((s) => /^Combination spanner \d+$/u.test(s.item.name))!;
    const wrench = spanner.item.name.replace('Combination spanner', 'wrench');
    const place = page.garage.places.find((p) => p.id === spanner.placeId)!;
    expect(first(wrench)).toMatchObject({ kind: 'item', placeId: place.id });
    expect(first(wrench).says).toContain(place.name);
    expect(first('review').kind).toBe('page');
    const go = async (words: string) => {
      first(words).run();
      await until(() => page.router.currentRoute.value.path !== '/', 'it went somewhere');
      const { path, query } = page.router.currentRoute.value;
      await page.router.push('/');
      return [path, { ...query }];
    };
    expect(await go('review the trip')).toEqual(['/road', { after: '1' }]);
    expect(await go('a tyre is flat')).toEqual(['/road', { seek: 'flat' }]);
    expect(await go('puncture, tubed')).toEqual(['/kit', { tab: 'mends', problem: 'puncture-tube' }]);
    expect(await go('axle nut front')).toEqual(['/match', {}]);
    expect(useView().fastenerId).not.toBeNull();
    // Every stage and page leads to a stage of the program, or to paper.
    for (const e of all.filter((x) => x.kind === 'stage' || x.kind === 'page')) {
      const [path] = await go(e.name);
      expect([e.name, Object.keys(PAGES.stages).some((s) => s === path) || String(path).startsWith('/print')]).toEqual([
        e.name,
        true,
      ]);
    }
  });
  test('undo and units are commands, named by what they do now', async () => {
    const page = await load();
    await ready(page);
    const by = (key: string) => page.entries.value.find((e) => e.key === key)!;
    expect(by('undo').says).toBe('nothing to undo');
    page.garage.put('ties for rain', 'supplies', { ...page.garage.doc!.supplies[0]!, quantity: 3 });
    expect(by('undo').says).toBe('ties for rain');
    by('undo').run();
    expect([by('undo').says, by('redo').says]).toEqual(['nothing to undo', 'ties for rain']);
    expect(by('units').name).toBe('Inch units');
    by('units').run();
    expect([useView().units, by('units').name]).toEqual(['inch', 'Metric units']);
    by('theme').run();
    expect(by('theme').name).toBe('Light theme');
  });
});
