import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { wholeAnswer, writeGarageFile, type GarageDocument } from '@necessaire/core';
import { demoGarage } from '@necessaire/demo';
import { loadSolver } from '@necessaire/solver';
import { eachSecondTool } from '../../core/src/testing/smallGarage.js';
import type { crewSummary } from './crew.js';
import { summaryOf, type Summary } from './kit.js';
import { main } from './main.js';

let folder: string;
let file: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'necessaire-cli-'));
  file = join(folder, 'garage.json');
  writeFileSync(file, writeGarageFile(garage()));
});
/** Of the demo the fasteners that repairs ask for, one that nothing reaches, and each second of the tools that only turn something. */
const thinned = (doc: GarageDocument): GarageDocument => ({
  ...doc,
  fasteners: doc.fasteners.filter((f) => f.role !== null || f.name === 'Shock preload ring'),
  pieces: eachSecondTool(doc.pieces),
});
const garage = () => thinned(demoGarage('lightest'));

afterAll(() => rmSync(folder, { recursive: true }));

async function run(...args: string[]) {
  let out = '';
  let err = '';
  const code = await main(args, { out: (t) => (out += t), err: (t) => (err += t) });
  return { code, out, err };
}
const broken = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

describe('necessaire crew', () => {
  test('lists of the core for each and all, as JSON and as text', async () => {
    const { code, out } = await run('crew', file, '--json');
    expect(code).toBe(0);
    const said = JSON.parse(out) as ReturnType<typeof crewSummary>;
    expect(said.trip).toBe('Three days on the Tamber ridge');
    expect(said.carriers.map((c) => c.name)).toEqual(['Mirel', 'Oke', 'Tal', 'Bo', 'The car']);
    for (const c of said.carriers) expect(c.carries.reduce((s, l) => s + l.mass, 0)).toBeCloseTo(c.mass, 6);
    expect(said.carriers.reduce((s, c) => s + c.mass, 0)).toBeCloseTo(said.mass, 6);
    const doc = garage();
    const two = doc.crews.map((c) => ({ ...c, members: c.members.slice(0, 2), vehicles: [], splits: [] }));
    const few = broken('two.json', writeGarageFile({ ...doc, crews: two }));
    const text = await run('crew', few, '--trip', 'three days on the tamber ridge');
    expect(text.out).toMatch(/^Three days on the Tamber ridge: \d\.\d\d kg for 2 carriers, (proven|within)/);
    expect(text.out).toMatch(/\nMirel: \d\.\d\d of 14\.00 kg\n {2}\S/);
  });
  test('a trip that is ridden alone has no crew: exit 2 and what to do', async () => {
    const { code, err, out } = await run('crew', file, '--trip', 'Nine days on the Ossel plateau');
    expect(code).toBe(2);
    expect(err).toMatch(/nobody rides along on Nine days on the Ossel plateau: add them under Crew/);
    expect(out).toBe('');
  });
});

describe('necessaire prove', () => {
  const practised = () =>
    broken('practised.json', writeGarageFile(thinned(demoGarage('worth', new Date().toISOString().slice(0, 10)))));
  test('says how ready one is, which drill is next and what is to be checked', async () => {
    const { code, out } = await run('prove', practised(), '--json');
    expect(code).toBe(0);
    const told = JSON.parse(out) as {
      ready: number;
      hoursAtStake: number;
      hoursProven: number;
      drills: { worth: number; minutes: number }[];
      checks: { name: string; standing: string; due: string | null }[];
    };
    expect(told.ready).toBeCloseTo(told.hoursProven / told.hoursAtStake, 12);
    expect(told.ready).toBeGreaterThan(0.05);
    const rates = told.drills.map((d) => d.worth / d.minutes);
    expect(rates).toEqual([...rates].sort((a, b) => b - a));
    expect(told.checks.find((k) => k.name === 'Battery')?.standing).toBe('found');
    expect(told.checks.find((k) => k.name === 'Throttle')?.due).toMatch(/^20\d\d-/u);
    const text = await run('prove', practised());
    expect(text.out).toMatch(/^Quarrel 450, Nine days on the Ossel plateau\nready \d+ % {3}at risk/u);
    expect(text.out).toMatch(/DRILLS\n +\d+ min {2}/u);
    expect(text.out).not.toMatch(/done +/u);
  });
  test('gives the checks as a calendar file', async () => {
    const { code, out } = await run('prove', practised(), '--calendar');
    expect(code).toBe(0);
    expect(out.startsWith('BEGIN:VCALENDAR\r\n')).toBe(true);
    expect(out).toContain('SUMMARY:Nine days on the Ossel plateau');
  });
  test('bad input, no trip, no bike: exit 2 with what to do', async () => {
    const none = (fields: object) =>
      broken('less.json', JSON.stringify({ ...JSON.parse(writeGarageFile(demoGarage())), ...fields }));
    expect((await run('prove', none({ trips: [], crews: [] }))).err).toMatch(/trips: there is no trip/u);
    expect((await run('prove', none({ bikes: [], fasteners: [], places: [] }))).err).toMatch(
      /bikes: there is no bike/u,
    );
    expect((await run('prove', none({ bikes: 3 }))).code).toBe(2);
  });
});

describe('necessaire kit', () => {
  test('gives the answer of the core, as JSON', async () => {
    const doc = garage();
    const answer = wholeAnswer(doc, { bikeId: doc.bikes[1]!.id, tripId: doc.trips[0]!.id }, await loadSolver());
    const { code, out } = await run('kit', file, '--bike', 'carrack 1100', '--json');
    expect(code).toBe(0);
    expect(JSON.parse(out) as Summary).toEqual(
      JSON.parse(JSON.stringify(summaryOf(doc, answer, doc.bikes[1]!, doc.trips[0]!.name))),
    );
  });
  test('and as text', async () => {
    const { code, out } = await run('kit', file);
    expect(code).toBe(0);
    expect(out).toMatch(/^Quarrel 450, Nine days on the Ossel plateau\nreached \d+\/\d+ {3}kit \d\.\d\d kg/);
    expect(out).toMatch(/proven lightest/);
    expect(out).toMatch(/OUT OF REACH\n(?: {2}.*\n)* {2}Shock preload ring: .*Cure: Hook spanner 68/);
  });
  test.each([
    ['no file', ['kit', '/nowhere/at/all.json'], /there is no such file/],
    ['no command', [], /say: necessaire kit FILE/],
    ['an unknown option', ['kit', 'x', '--fast'], /Unknown option/],
  ])('%s: exit 2 and how to say it', async (_what, args, message) => {
    const { code, err, out } = await run(...args);
    expect(code).toBe(2);
    expect(err).toMatch(message);
    expect(out).toBe('');
  });
  test('bad input: exit 2 with the path to the culprit', async () => {
    const text = writeGarageFile(demoGarage('lightest'));
    const wrong = JSON.parse(text);
    wrong.fasteners[2].torque.value = -4;
    const { code, err } = await run('kit', broken('wrong.json', JSON.stringify(wrong)));
    expect(code).toBe(2);
    expect(err).toMatch(/wrong\.json: fasteners\[2\]\.torque\.value: too small: at least 0/);
    expect((await run('kit', broken('cut.json', text.slice(0, 900)))).err).toMatch(/cut short/);
    expect((await run('kit', file, '--bike', 'Nobody')).err).toMatch(
      /no bike is called "Nobody": Quarrel 450, Carrack 1100/,
    );
    const none = JSON.stringify({ ...JSON.parse(text), bikes: [], fasteners: [], places: [] });
    expect((await run('kit', broken('none.json', none))).code).toBe(2);
  });
  test('the program itself, as a rider starts it', () => {
    const program = resolve(process.cwd(), 'cli/bin/necessaire.mjs');
    const doc = garage();
    const few = broken(
      'few.json',
      writeGarageFile({ ...doc, fasteners: doc.fasteners.slice(0, 3), pieces: doc.pieces.slice(0, 40) }),
    );
    const out = execFileSync(process.execPath, [program, 'kit', few, '--json'], { encoding: 'utf8' });
    expect((JSON.parse(out) as Summary).proven).toBe(true);
  });
});
