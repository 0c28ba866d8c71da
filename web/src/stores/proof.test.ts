import '../testing/browser';
import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import { liesIn, passOf, pauseDrill, rehearsal, stepDone, stuckAt } from '@necessaire/core';
import { clearStorage, leavePages } from '../testing/browser';
import { answered, demoServer, lightDemo, loadPage } from '../testing/demoPage';
import type { FakeServer } from '../testing/fakeServer';
import { until } from '../testing/until';
import { started } from '../testing/worker';
import { today } from '../ui/day';
import { useProof } from './proof';

let server: FakeServer;
const garage = lightDemo(today());
beforeEach(() => {
  clearStorage();
  server = demoServer(garage);
});
afterAll(() => {
  for (const w of started) w.terminate();
  leavePages();
});
async function load() {
  const page = await loadPage(server);
  const proof = useProof();
  await answered(page);
  return { ...page, proof };
}
const given = { dry: false, dark: false, who: 'me' };
/** The demo’s own way to mend a tube, front wheel. */
const tube = (proof: ReturnType<typeof useProof>) =>
  rehearsal(proof.made!, 'puncture-tube', 'Patch the tube', 'front')!;

describe('a drill on the page', () => {
  test('is a row from its first press on; each step is one edit, and undone as one', async () => {
    const { garage, proof } = await load();
    const before = garage.doc!.drills.length;
    expect(proof.start(tube(proof), given)).toBe(true);
    expect(garage.doc!.drills).toHaveLength(before + 1);
    expect(proof.drill).toMatchObject({ state: 'running', step: 0, trouble: 'puncture-tube', wheel: 'front' });
    expect(proof.unfinished[0]?.id).toBe(proof.drill!.id);
    const steps = proof.rehearsed!.steps.length;
    proof.step((d, at) => stepDone(d, at, steps), 'step 1');
    expect(proof.drill?.step).toBe(1);
    garage.undo();
    expect(proof.drill?.step).toBe(0);
    garage.redo();
    proof.step((d, at) => pauseDrill(d, at), 'pause');
    expect([proof.drill?.state, proof.drill?.since]).toEqual(['paused', null]);
    proof.close();
    expect(proof.drill).toBeNull();
    expect(proof.unfinished).toHaveLength(1);
  });
  test('torn off it is taken up, paused, where this browser last saw it run', async () => {
    const first = await load();
    first.proof.start(tube(first.proof), given);
    const { id } = first.proof.drill!;
    first.proof.close();
    await until(() => first.garage.keeping === 'kept', 'saved');
    const { proof } = await load();
    const row = proof.unfinished.find((d) => d.id === id)!;
    expect(row.state).toBe('running');
    const seen = new Date(Date.parse(row.started) + 90_000).toISOString();
    localStorage.setItem('necessaire-drill-beat', JSON.stringify({ id, at: seen }));
    proof.takeUp(row);
    expect(proof.drill).toMatchObject({ id, state: 'paused', since: null, seconds: [90] });
    proof.close();
  });
  test('a note of this browser that is none counts for nothing', async () => {
    const { proof } = await load();
    proof.start(tube(proof), given);
    const row = proof.drill!;
    proof.close();
    for (const note of [
      '{',
      'null',
      JSON.stringify({ id: 'another', at: row.started }),
      JSON.stringify({ id: row.id, at: 'noon' }),
    ]) {
      localStorage.setItem('necessaire-drill-beat', note);
      proof.takeUp({ ...row });
      expect([note, proof.drill?.state, proof.drill?.seconds]).toEqual([note, 'paused', [0]]);
      proof.close();
    }
  });
  test('stuck becomes a fact in the same edit: undone, both are gone', async () => {
    const { garage, proof } = await load();
    const r = tube(proof);
    proof.start(r, given);
    const thing = r.steps[0]!.needs[0]!.lies.find((l) => l.key.startsWith('piece '))!;
    const item = thing.key.replace(/ \d+$/u, '');
    const said = proof.stuck(stuckAt(proof.drill!, 'missing', thing.name), {
      reason: 'missing',
      item,
      name: thing.name,
    });
    expect(said).toContain(thing.name);
    expect([garage.doc!.loans.length, proof.drill!.stuck.length]).toEqual([1, 1]);
    garage.undo();
    expect([garage.doc!.loans.length, proof.drill!.stuck.length]).toEqual([0, 0]);
    proof.close();
  });
  test('at its end it says what it would change, and changes that when it is taken', async () => {
    const { garage, proof } = await load();
    const r = tube(proof);
    proof.start(r, { ...given });
    expect(proof.ending([], true)?.rows).toEqual([]);
    const turned = r.turned;
    for (let i = 0; i < r.steps.length; i++)
      proof.step(
        (d, at) => ({ ...stepDone(d, at, r.steps.length, turned), seconds: d.seconds.map(() => 120) }),
        'step',
      );
    expect(proof.drill?.state).toBe('done');
    const patches = garage.doc!.supplies.find((s) => s.kind === 'patch')!.quantity;
    const end = proof.ending([{ kind: 'patch', units: 2 }], true)!;
    expect(end.proven.length).toBe(new Set(turned).size);
    expect(proof.take(end)).toBe(true);
    expect(garage.doc!.supplies.find((s) => s.kind === 'patch')!.quantity).toBe(patches - 2);
    expect(garage.doc!.fasteners.filter((f) => turned.includes(f.id)).every((f) => f.evidence === 'proven')).toBe(true);
    expect(garage.doc!.watches.some((w) => w.since === today() && w.from === 'drill')).toBe(true);
    proof.close();
  });
});

describe('what is told of proof', () => {
  test('who may drill is the rider, and whoever rides along', async () => {
    const { garage, proof } = await load();
    expect(proof.people).toEqual([{ title: garage.doc!.garage.rider.name || 'You', value: 'me' }]);
  });
  test('a check that was gone through counts at once, with who, when and at which km', async () => {
    const { garage, proof } = await load();
    const due = passOf(proof.told!.checks, 'before')[0]!;
    expect(proof.check(due, 'ok', '  all well  ')).toBe(true);
    expect(garage.doc!.checks.at(-1)).toMatchObject({
      ...{ check: due.key, result: 'ok', note: 'all well', who: 'me' },
      km: garage.bike!.odometer,
    });
    expect(['done', 'later']).toContain(proof.told!.checks.find((k) => k.key === due.key)?.standing);
  });
  test('looking at what is watched is a check and a look at once', async () => {
    const { garage, proof } = await load();
    const watch = garage.doc!.watches[0]!;
    const due = proof.told!.checks.find((k) => k.key === `watch ${watch.id}`)!;
    proof.check(due, 'found', 'loose again');
    expect(garage.doc!.watches[0]!.looked.at(-1)).toMatchObject({ ok: false, note: 'loose again', on: today() });
    garage.undo();
    expect(garage.doc!.watches[0]!.looked).toEqual(watch.looked);
    expect(garage.doc!.checks.some((k) => k.check === due.key)).toBe(false);
  });
  test('a thing that lies elsewhere lies there from now on', async () => {
    const { garage, proof } = await load();
    proof.start(tube(proof), given);
    const key = proof.rehearsed!.steps[0]!.needs[0]!.lies[0]!.key;
    const place = garage.places.at(-1)!;
    proof.stuck(stuckAt(proof.drill!, 'wrong place', 'x'), { reason: 'wrong place', item: key, placeId: place.id });
    expect(garage.doc!.pins.find((p) => p.item === key)).toMatchObject(
      liesIn(key, place.id, { id: garage.doc!.pins.find((p) => p.item === key)!.id, bikeId: garage.bike!.id }),
    );
    proof.close();
  });
});
